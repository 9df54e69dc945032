import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { formatLength } from '@firm-line/core/lib/units';
import { LevelSign } from '../../../kit/level-sign';
import { ListRow } from '../../../kit/list-row';
import { PlanStore } from '../../../session/plan-store';
import { Selection } from '../../../session/selection';

/** Every hose with its order length and the worst that is found against it; one is chosen. */
@Component({
  selector: 'fl-hose-list',
  imports: [LevelSign, ListRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul class="grid gap-1" data-test="hoses">
      @for (row of rows(); track row.id) {
        <li>
          <button
            [flListRow]="row.chosen"
            (click)="selection.chooseHose(row.id)"
            [attr.data-hose]="row.id"
          >
            <strong class="w-9">{{ row.name }}</strong>
            <span class="min-w-0 flex-1 truncate text-sm">{{ row.title }}</span>
            <span class="font-mono text-sm">{{ row.order }}</span>
            @if (row.level) {
              <fl-level-sign [level]="row.level" />
            }
          </button>
        </li>
      } @empty {
        <li class="py-4">
          <p>
            No hoses yet. Use a hose wherever an end moves: frame bracket to caliper, axle to body.
            A hose also feeds a master cylinder from its reservoir.
          </p>
          <button type="button" class="btn-main mt-3" (click)="added.emit()">New hose</button>
        </li>
      }
    </ul>
  `,
})
export class HoseList {
  private readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  /** A hose is wanted where there is none. */
  readonly added = output();
  protected readonly rows = computed(() => {
    const snags = this.store.laidOutSnags().filter(({ place }) => place.kind === 'hose');
    return this.store.plan().hoses.map(({ id, name, title, orderMm }) => ({
      id,
      name,
      title,
      order: formatLength(orderMm, this.store.units()),
      level: snags.find((snag) => snag.place.id === id)?.level ?? null,
      chosen: id === this.selection.hose()?.id,
    }));
  });
}
