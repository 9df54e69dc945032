import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, inject, viewChild } from '@angular/core';
import { CheckField } from '../kit/fields/check-field';
import { STATIONS } from '../stations/registry';
import { Keys } from './keys';

export const KEYS: readonly (readonly [string, string])[] = [
  [`1 – ${STATIONS.length}`, 'Go to a station'],
  ['/', 'Find anything'],
  ['.', 'Go to the next snag'],
  ['s', 'Show all snags'],
  ['u', 'Millimetres or inches'],
  ['Ctrl z', 'Undo'],
  ['Shift Ctrl z', 'Redo'],
  ['m', 'Type a move (in Route)'],
  ['?', 'This list'],
];

@Component({
  selector: 'fl-key-list',
  imports: [CheckField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog closedby="any" #dialog class="w-full max-w-md rounded-xl bg-sheet p-5 shadow-xl" aria-label="Keys">
      <div class="flex items-center justify-between">
        <h2 class="h2">Keys</h2>
        <button type="button" class="btn" (click)="dialog.close()">Close</button>
      </div>
      <dl class="mt-3">
        @for (key of keys; track key[0]) {
          <div class="flex border-t border-rule py-2">
            <dt class="w-32 font-mono font-semibold">{{ key[0] }}</dt>
            <dd>{{ key[1] }}</dd>
          </div>
        }
      </dl>
      <fl-check-field
        class="mt-2 border-t border-rule"
        label="Single keys work; Ctrl z does in any case"
        [checked]="keysOf.single()"
        (changed)="keysOf.setSingle($event)"
      />
    </dialog>
  `,
})
export class KeyList {
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  protected readonly keys = KEYS;
  protected readonly keysOf = inject(Keys);
  open(): void {
    this.dialog().nativeElement.showModal();
  }
}
