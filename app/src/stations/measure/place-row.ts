import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Target } from '@firm-line/core/plan';
import { Selection } from '../../session/selection';
import { ListRow } from '../../kit/list-row';

export interface PlaceRowView {
  readonly target: Target;
  readonly name: string;
  /** How sure it is, in a word and a figure. */
  readonly sure: string;
  /** Whether it still wants measuring. */
  readonly open: boolean;
}

/** One point or port in the list of places. */
@Component({
  selector: 'fl-place-row',
  imports: [ListRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block border-t border-rule' },
  template: `
    <button [flListRow]="isChosen()" (click)="chosen.emit(row().target)">
      <span class="min-w-0 flex-1 truncate">{{ row().name }}</span>
      <span class="text-sm whitespace-nowrap" [class.font-semibold]="row().open">{{
        row().sure
      }}</span>
    </button>
  `,
})
export class PlaceRow {
  private readonly selection = inject(Selection);
  readonly row = input.required<PlaceRowView>();
  readonly chosen = output<Target>();
  protected readonly isChosen = computed(
    () => this.selection.target()?.id === this.row().target.id,
  );
}
