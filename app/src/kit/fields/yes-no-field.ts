import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { SelectField } from './select-field';

/** What was looked at and is so, is not so, or was not looked at, each in words of its own. */
@Component({
  selector: 'fl-yes-no-field',
  imports: [SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<fl-select-field
    [field]="field()"
    [label]="label()"
    [none]="none()"
    [options]="options()"
    [value]="shown()"
    (changed)="changed.emit($event === 'yes' ? true : $event === 'no' ? false : null)"
  />`,
})
export class YesNoField {
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly yes = input.required<string>();
  readonly no = input.required<string>();
  readonly none = input('not checked');
  readonly value = input.required<boolean | null>();
  readonly changed = output<boolean | null>();
  protected readonly options = computed(
    () =>
      [
        ['yes', this.yes()],
        ['no', this.no()],
      ] as const,
  );
  protected readonly shown = computed(() =>
    this.value() === null ? null : this.value() ? ('yes' as const) : ('no' as const),
  );
}
