import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { offeredUp, type Progress } from '@firm-line/core/stations/make/making';
import type { LineView } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { VectorField } from '../../kit/fields/vector-field';
import { Disclosure } from '../../kit/disclosure';
import { PlanStore } from '../../session/plan-store';

const NO_MISS: Vec3 = [0, 0, 0];

/** A finished line held between its ports: where B misses, and what one change at which bend would bring it home. */
@Component({
  selector: 'fl-offer-up',
  imports: [Disclosure, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure class="card px-5" summary="Trial fit: miss at B" [startsOpen]="miss() !== null">
      <div class="border-t border-rule py-4">
        <p class="text-sm">
          Seat end A, let the tube roll freely, and enter how far B is from its port. 0: the end
          seats.
        </p>
        <div class="mt-2 grid grid-cols-3 gap-3">
          <fl-vector-field
            [labels]="['aft (fore −)', 'right (left −)', 'up (down −)']"
            [valueMm]="miss() ?? none"
            (changed)="set($event)"
          />
        </div>
        @for (change of changes(); track $index) {
          <p class="mt-2 border-t border-rule pt-2" [class.text-sm]="$index > 0">{{ change }}</p>
        }
      </div>
    </fl-disclosure>
  `,
})
export class OfferUp {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  readonly progress = input<Progress | null>(null);
  protected readonly none = NO_MISS;
  protected readonly miss = computed(() => this.view().line.missMm ?? null);
  protected readonly changes = computed(() => {
    const miss = this.miss();
    if (!miss || Math.hypot(...miss) < 0.05) return [];
    const full = (mm: number): string => formatLengthUnit(mm, this.store.units(), 1);
    const found = offeredUp(this.view(), miss, this.progress()).slice(0, 3);
    if (!found.length)
      return ['A straight tube has no bend to correct. Check its length and its ports.'];
    if (found[0]!.leftOver)
      return [
        `No single correction is enough: the best leaves ${full(found[0]!.leftMm)}. Make a new line to the corrected card.`,
      ];
    return found
      .filter(({ leftOver }) => !leftOver)
      .map(({ bend, kind, byDeg, leftMm }, i) => {
        const what =
          kind === 'angle'
            ? `take bend ${bend + 1} ${figure(Math.abs(byDeg))}° ${byDeg > 0 ? 'further' : 'open: by hand only, never in the bender'}`
            : `turn the tube ${figure(Math.abs(byDeg))}° ${byDeg > 0 ? 'clockwise' : 'anticlockwise'} at bend ${bend + 1}, looking from A`;
        return `${i ? 'Or' : 'One change:'} ${what}; then ${full(leftMm)} off.`;
      });
  });

  protected set(miss: Vec3): void {
    this.store.apply({
      edit: 'changeLine',
      with: {
        id: this.view().line.id,
        patch: { missMm: miss.every((v) => v === 0) ? null : miss },
      },
    });
  }
}
