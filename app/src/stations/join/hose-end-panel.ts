import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { BOLT, HOSE_END, type Hose, type HoseEnd } from '@firm-line/core/plan';
import { hoseFittingById } from '@firm-line/core/trade/stock';
import { PlanStore } from '../../session/plan-store';
import { HalfField } from './half-field';
import { FieldOf } from '../../kit/fields/field';

/** What a hose's end screws in with, and what it meets where it stands at no port of the plan. */
@Component({
  selector: 'fl-hose-end-panel',
  imports: [FieldOf, HalfField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2">Hose end</h2>
    <p class="text-sm">
      {{ fitting() }}. Take thread and seat from the maker’s sheet, or measure them. A banjo bolt
      counts as a male banjo.
    </p>
    <fieldset class="mt-2 halves" aria-label="Thread and seat of the hose end">
      <fl-half-field [half]="it().half ?? null" (changed)="change({ half: $event })" />
      @if (banjo()) {
        <fl-field
          [of]="fields.eyes"
          [value]="it().eyes ?? 1"
          (changed)="change({ eyes: $event })"
        />
        @if (it().bolt; as bolt) {
          <fl-field
            [of]="boltFields.lengthMm"
            [value]="bolt.lengthMm"
            (changed)="
              change({ bolt: { lengthMm: $event, eyeMm: bolt.eyeMm, depthMm: bolt.depthMm } })
            "
          />
          <fl-field
            [of]="boltFields.eyeMm"
            [value]="bolt.eyeMm"
            (changed)="
              change({ bolt: { lengthMm: bolt.lengthMm, eyeMm: $event, depthMm: bolt.depthMm } })
            "
          />
          <fl-field
            [of]="boltFields.depthMm"
            [value]="bolt.depthMm"
            (changed)="
              change({ bolt: { lengthMm: bolt.lengthMm, eyeMm: bolt.eyeMm, depthMm: $event } })
            "
          />
        } @else {
          <button
            type="button"
            class="btn self-end px-3"
            (click)="change({ bolt: { lengthMm: 24, eyeMm: 9, depthMm: null } })"
          >
            Measure the bolt
          </button>
        }
      }
    </fieldset>
    @if (!it().portId) {
      <fieldset class="mt-3 halves">
        <legend class="mb-1 font-semibold">Thread and seat of the port</legend>
        <fl-half-field [half]="it().into ?? null" (changed)="change({ into: $event })" />
      </fieldset>
    }
  `,
})
export class HoseEndPanel {
  protected readonly fields = HOSE_END.fields;
  protected readonly boltFields = BOLT.fields;
  private readonly store = inject(PlanStore);
  readonly hose = input.required<Hose>();
  readonly end = input.required<'a' | 'b'>();
  protected readonly eyes = HOSE_END.fields.eyes.of;
  protected readonly it = computed((): HoseEnd => this.hose().ends[this.end()]);
  protected readonly fitting = computed(() => {
    const { name } = hoseFittingById(this.it().fittingId)!;
    return name[0]!.toUpperCase() + name.slice(1);
  });
  protected readonly banjo = computed(() => {
    const { half } = this.it();
    return half?.gender === 'male' && half.end === 'banjo';
  });

  protected change(patch: Partial<HoseEnd>): void {
    const { id, ends } = this.hose();
    this.store.apply({
      edit: 'changeHose',
      with: { id, patch: { ends: { ...ends, [this.end()]: { ...this.it(), ...patch } } } },
    });
  }
}
