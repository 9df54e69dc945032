import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { UNCHECKED, type CaliperFit } from '@firm-line/core/plan';
import { EmptyState } from '../../kit/empty-state';
import { PlanStore } from '../../session/plan-store';
import { CaliperForm } from './caliper-form';
import { WheelEndsFacade } from './wheel-ends-facade';

const UNMEASURED_CALIPER: Omit<CaliperFit, 'key'> = {
  innerGapMm: null,
  outerGapMm: null,
  stackMm: 0,
  moves: 'out',
  box: [],
  bolt: null,
  fittedMm: null,
  padOverMm: null,
  disc: null,
  clears: UNCHECKED,
};

/** Each caliper over its disc, every side for itself. */
@Component({
  selector: 'fl-calipers-page',
  imports: [CaliperForm, EmptyState],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Calipers and shims</h2>
    <p class="mt-1 max-w-prose">
      Measure both gaps with the current shims in. We work out the shims needed. Do each side: they
      differ.
    </p>
    <div class="mt-4 grid gap-4 xl:grid-cols-2">
      @for (fit of fits(); track fit.key) {
        <fl-caliper-form [name]="fit.name" [fit]="fit" (changed)="put($event)" />
      } @empty {
        <fl-empty-state
          heading="No caliper"
          text="This page centers calipers over their discs. First add a caliper in Measure or Plumb."
        />
      }
    </div>
    <p class="mt-4 text-sm text-ink-soft">
      Brakes can kill. The makers’ sheets for caliper, disc and bolts come first, and a qualified
      person checks the work before road use.
    </p>
  `,
})
export class CalipersPage {
  private readonly store = inject(PlanStore);
  private readonly sheet = inject(WheelEndsFacade);
  protected readonly fits = computed(() =>
    this.store
      .plan()
      .parts.filter(({ kind }) => kind === 'caliper')
      .map(({ id, name }) => ({
        ...UNMEASURED_CALIPER,
        ...this.sheet.wheelEnds().calipers.find(({ key }) => key === id),
        key: id,
        name,
      })),
  );

  protected put(caliperFit: CaliperFit): void {
    this.sheet.apply({ edit: 'putCaliperFit', with: { caliperFit } });
  }
}
