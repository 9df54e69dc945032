import { ChangeDetectionStrategy, Component, inject, viewChild } from '@angular/core';
import { CheckField } from '../kit/fields/check-field';
import { HINTS, HintsSeen } from '../pieces/hints';
import { STATIONS } from '../stations/registry';
import { stationKey } from './station-key';
import { Keys } from './keys';
import { Dialog } from '../kit/dialog';
import { Theme, type ThemeChoice } from '../kit/theme';
import { Toggle, type ToggleChoice } from '../kit/toggle';

export const KEYS: readonly (readonly [string, string])[] = [
  [`1 – ${stationKey(STATIONS.length - 1).name}`, 'Go to a station'],
  ['/', 'Find anything'],
  ['.', 'Go to the next snag'],
  ['s', 'Show all snags'],
  ['u', 'Millimetres or inches'],
  ['Ctrl z', 'Undo'],
  ['Shift Ctrl z', 'Redo'],
  ['m', 'Type a move (in Route)'],
  ['f', 'Full screen on or off (3-D view)'],
  ['b', 'Collapse or open the side panel'],
  ['v', 'Fit the vehicle to the view'],
  ['?', 'Show this list'],
];

@Component({
  selector: 'fl-key-list',
  imports: [Dialog, CheckField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog
      #dialog
      label="Keys"
      [light]="true"
      look="w-[min(34rem,94vw)] max-h-[92dvh] overflow-auto p-5"
    >
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
      <section class="mt-2 border-t border-rule pt-2" aria-label="First steps">
        <div class="flex items-center gap-3">
          <h3 class="mr-auto font-bold">First steps</h3>
          @if (hints.seen().length) {
            <button type="button" class="btn" (click)="hints.showAgain()">
              Show first steps again
            </button>
          }
        </div>
        <ul class="list-disc pl-5 text-sm">
          @for (hint of allHints; track hint) {
            <li>{{ hint }}</li>
          }
        </ul>
      </section>
      <div class="mt-2 flex flex-wrap items-center gap-3 border-t border-rule pt-2">
        <span class="mr-auto">Theme</span>
        <fl-toggle
          label="Theme"
          [options]="themes"
          [value]="theme.choice()"
          (changed)="theme.choose($event)"
        />
      </div>
      <fl-check-field
        class="mt-2 border-t border-rule"
        label="Use single-key shortcuts (Ctrl z always works)"
        [checked]="keysOf.single()"
        (changed)="keysOf.setSingle($event)"
      />
    </fl-dialog>
  `,
})
export class KeyList {
  private readonly dialog = viewChild.required<Dialog>('dialog');
  protected readonly keys = KEYS;
  protected readonly hints = inject(HintsSeen);
  protected readonly allHints = Object.values(HINTS).flat();
  protected readonly keysOf = inject(Keys);
  protected readonly theme = inject(Theme);
  protected readonly themes = [
    { value: 'system', name: 'same as system' },
    { value: 'light', name: 'light' },
    { value: 'dark', name: 'dark' },
  ] as const satisfies readonly ToggleChoice<ThemeChoice>[];
  open(): void {
    this.dialog().show();
  }
}
