import { Directive, input } from '@angular/core';

/** A button that is a row of a list: as wide as the list, and marked where it is the chosen one. */
@Directive({
  selector: 'button[flListRow]',
  host: {
    type: 'button',
    'data-row': '',
    class: 'flex min-h-tap w-full items-center gap-2 rounded-lg px-2 py-1 text-left',
    '[class.bg-copper-pale]': 'flListRow()',
    '[class.hover:bg-rule]': '!flListRow()',
    '[attr.aria-current]': 'flListRow() ? true : null',
  },
})
export class ListRow {
  /** Whether the row is selected. */
  readonly flListRow = input.required<boolean>();
}
