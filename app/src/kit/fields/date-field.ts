import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A day, or none. */
@Component({
  selector: 'fl-date-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="field()">{{ label() }}</label>
    <input
      #on
      type="date"
      class="field w-full"
      [id]="field()"
      [value]="value() ?? ''"
      (change)="changed.emit(on.value || null)"
    />
  `,
})
export class DateField {
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly value = input.required<string | null | undefined>();
  readonly changed = output<string | null>();
}
