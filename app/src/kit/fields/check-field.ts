import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A box to tick, with its words beside it. */
@Component({
  selector: 'fl-check-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="flex min-h-tap items-center gap-3">
      <input
        #box
        type="checkbox"
        class="size-6 shrink-0 accent-fluid"
        [checked]="checked()"
        (change)="changed.emit(box.checked)"
      />
      {{ label() }}
    </label>
  `,
})
export class CheckField {
  readonly checked = input.required<boolean>();
  readonly label = input.required<string>();
  readonly changed = output<boolean>();
}
