import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { ToggleChoice } from './toggle';

/** A slim bar of pages or views beside what they show: down its side on a desk, in a row where there is little width. */
@Component({
  selector: 'fl-side-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class:
      'flex shrink-0 border-rule bg-sheet max-md:flex-wrap max-md:border-b md:w-20 md:flex-col md:border-r print:hidden',
    role: 'group',
    '[attr.aria-label]': 'label()',
  },
  template: `
    @for (option of options(); track option.value) {
      <button
        type="button"
        class="min-h-tap px-2 text-sm leading-tight font-semibold max-md:border-r md:border-b"
        [class]="
          option.value === value() ? 'border-ink bg-ink text-sheet' : 'border-rule hover:bg-paper'
        "
        [attr.aria-pressed]="option.value === value()"
        [attr.aria-label]="option.said"
        (click)="changed.emit(option.value)"
      >
        {{ option.name }}
      </button>
    }
    <ng-content />
  `,
})
export class SideBar<T> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ToggleChoice<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
}
