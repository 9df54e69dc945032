import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FRESH_PEDALS, type PedalBox, PEDAL_BOX } from '@firm-line/core/plan';
import { PEDAL_ROOM } from '@firm-line/core/plan/typical';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** Room round the pedals, with what is wanted. */
@Component({
  selector: 'fl-pedal-room',
  imports: [FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-4' },
  template: `
    <h2 class="h2">Pedal clearances</h2>
    <p class="text-sm text-ink-soft">
      Pad edge to pad edge. Required clearances are common practice. Check wearing your driving
      boots.
    </p>
    <div class="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
      @for (row of rows(); track row.key) {
        <fl-field
          [of]="fields[row.key]"
          [hint]="row.hint"
          [value]="row.value"
          (changed)="set(row.key, $event)"
        />
      }
    </div>
    @for (snag of snags(); track snag.key) {
      <p class="mt-2 text-sm">△ {{ snag.text }}</p>
    }
  `,
})
export class PedalRoom {
  protected readonly fields = PEDAL_BOX.fields;
  private readonly store = inject(PlanStore);
  private readonly pedals = computed(() => this.store.plan().pedals ?? FRESH_PEDALS);
  protected readonly snags = computed(() =>
    this.store.snags().filter(({ rule }) => rule === 'pedal-room'),
  );
  protected readonly rows = computed(() => {
    const full = (mm: number): string => formatLengthUnit(mm, this.store.units());
    return (Object.keys(PEDAL_ROOM) as (keyof PedalBox)[]).map((key) => {
      const { leastMm, mostMm } = PEDAL_ROOM[key];
      const hint =
        mostMm === null ? `${full(leastMm)} or more` : `${full(leastMm)} to ${full(mostMm)}`;
      return { key, hint, value: this.pedals()[key] };
    });
  });
  protected set(key: keyof PedalBox, value: number | null): void {
    this.store.apply({
      edit: 'setSheet',
      with: { sheet: 'pedals', to: { ...this.pedals(), [key]: value } },
    });
  }
}
