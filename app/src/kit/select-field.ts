import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

/** What can be chosen: by its id and name, or as a pair of both. */
export type Choice = { readonly id: string; readonly name: string } | readonly [id: string, name: string];

/** A labelled choice of one out of a list. What is chosen and not in the list stands below it, so that it is not lost unseen. */
@Component({
  selector: 'fl-select-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <label class="label block" [attr.for]="field()">{{ label() }}</label>
    <select [id]="field()" class="field w-full" (change)="changed.emit($any($event.target).value)">
      @for (one of all(); track one[0]) {
        <option [value]="one[0]" [selected]="one[0] === value()">{{ one[1] }}</option>
      }
    </select>
  `,
})
export class SelectField {
  /** Id of the select itself. */
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly options = input.required<readonly Choice[]>();
  /** What is chosen; null or empty: nothing, which `none` then says. */
  readonly value = input<string | null>(null);
  /** What no choice is called, where there may be none. */
  readonly none = input<string | null>(null);
  readonly changed = output<string>();
  protected readonly all = computed(() => {
    const list = this.options().map((one) => ('id' in one ? ([one.id, one.name] as const) : one));
    const [none, value] = [this.none(), this.value()];
    const lost = value && !list.some(([id]) => id === value) ? [[value, value] as const] : [];
    return [...(none === null ? [] : [['', none] as const]), ...list, ...lost];
  });
}
