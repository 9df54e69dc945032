import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, input, output, viewChild } from '@angular/core';

/** A dialog over the page. What is in it is there while it is open; Escape closes it, and a tap beside it where nothing typed would be lost. */
@Component({
  selector: 'fl-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog
      #dialog
      class="max-h-[92dvh] overflow-auto rounded-xl bg-sheet shadow-xl"
      [class]="look()"
      [attr.aria-label]="label()"
      [attr.closedby]="light() ? 'any' : null"
      (close)="closed.emit()"
    >
      <ng-content />
    </dialog>
  `,
})
export class Dialog {
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  readonly label = input.required<string>();
  /** Its width and place. */
  readonly look = input('w-full max-w-md p-5');
  /** A tap beside it closes it. */
  readonly light = input(false);
  readonly closed = output();

  show(): void {
    if (!this.dialog().nativeElement.open) this.dialog().nativeElement.showModal();
  }
  close(): void {
    this.dialog().nativeElement.close();
  }
}
