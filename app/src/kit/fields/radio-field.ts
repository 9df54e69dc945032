import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** One choice that is seen before it is made; `why` says what it is for. */
export interface RadioChoice<T extends string> {
  readonly id: T;
  readonly name: string;
  readonly why?: string;
}

/** A choice of a few, all of them in sight: side by side, or one a row where each says why. */
@Component({
  selector: 'fl-radio-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fieldset>
      <legend [class]="legendClass()">{{ label() }}</legend>
      <div class="flex flex-wrap gap-2" [class.flex-col]="options()[0]?.why">
        @for (option of options(); track option.id) {
          <label
            class="flex min-h-tap cursor-pointer items-center gap-3 rounded-lg border px-3 py-1"
            [class]="option.id === value() ? 'border-fluid bg-fluid-pale' : 'border-rule bg-sheet'"
          >
            <input
              type="radio"
              class="size-5 shrink-0 accent-fluid"
              [name]="field()"
              [value]="option.id"
              [checked]="option.id === value()"
              (change)="changed.emit(option.id)"
            />
            <span
              ><span class="block font-semibold">{{ option.name }}</span>
              @if (option.why) {
                <span class="block text-sm">{{ option.why }}</span>
              }
            </span>
          </label>
        }
      </div>
    </fieldset>
  `,
})
export class RadioField<T extends string> {
  /** What its buttons are called together in the form. */
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly legendClass = input('label');
  readonly options = input.required<readonly RadioChoice<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
}
