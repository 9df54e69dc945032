import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

/** What can be chosen: by its id and name, or as a pair of both. */
export type Choice<T extends string = string> =
  { readonly id: T; readonly name: string } | readonly [id: T, name: string];

/** A labelled choice of one out of a list. What is chosen and not in the list stands below it, so that it is not lost unseen. */
@Component({
  selector: 'fl-select-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="field()" [class.sr-only]="bare()">{{ label() }}</label>
    <select
      #list
      [id]="field()"
      class="field w-full"
      [disabled]="disabled()"
      (change)="changed.emit(known(list.value))"
    >
      @for (one of all(); track one[0]) {
        <option [value]="one[0]" [selected]="one[0] === (value() ?? '')">{{ one[1] }}</option>
      }
    </select>
  `,
})
export class SelectField<T extends string> {
  /** Id of the select itself. */
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly bare = input(false);
  readonly disabled = input(false);
  readonly options = input.required<readonly Choice<T>[]>();
  /** What is chosen; null or empty: nothing, which `none` then says. */
  readonly value = input<T | null>(null);
  /** What no choice is called, where there may be none; choosing it gives an empty text. */
  readonly none = input<string | null>(null);
  readonly changed = output<T>();
  protected readonly all = computed(() => {
    const list = this.options().map((one): readonly [string, string] =>
      'id' in one ? [one.id, one.name] : one,
    );
    const [none, value] = [this.none(), this.value()];
    const lost = value && !list.some(([id]) => id === value) ? [[value, value] as const] : [];
    return [...(none === null ? [] : [['', none] as const]), ...list, ...lost];
  });
  /** The list holds nothing but what can be chosen. */
  protected known(id: string): T {
    return id as T;
  }
}
