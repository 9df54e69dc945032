import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import {
  airNetworkOf,
  placeName,
  turnsOf,
  USED_SHARE,
  type Predicted,
} from '@firm-line/core/stations/fill';
import type { School } from '@firm-line/core/physics/bleeding';
import { fluidFor } from '@firm-line/core/plan';
import { viewPlan, type BleedView } from '@firm-line/core/plan/results';
import { formatVolume } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';
import { AirWork } from '../../worker/air-work';
import { FillFacade } from './fill-facade';

const SCHOOL_NAMES: Record<School, string> = {
  'farthest-first': 'Farthest first',
  'nearest-first': 'Nearest first',
  'as-listed': 'Maker’s order',
};

/** What each school takes and leaves behind on this very plan, by the simulation. */
@Component({
  selector: 'fl-schools-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card block p-5', role: 'region', 'aria-label': 'Schools compared' },
  template: `
    <h2 class="h2">Air left by each order, estimated</h2>
    @if (rows(); as rows) {
      <div class="overflow-x-auto">
        <table class="mt-2 w-full text-left" data-test="schools">
          <thead class="text-sm text-ink-soft">
            <tr>
              <th class="py-1 pr-4 font-normal">Order</th>
              <th class="pr-4 text-right font-normal">
                {{ sheet.method().flows ? 'Portions of 5 mL' : 'Strokes' }}
              </th>
              <th class="pr-4 text-right font-normal">Fluid used</th>
              <th class="pr-4 text-right font-normal">Minutes</th>
              <th class="pr-4 text-right font-normal">Air left</th>
              <th class="font-normal">Where</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows; track row.school) {
              <tr class="border-t border-rule">
                <td class="py-2 pr-4 font-semibold">{{ row.name }}</td>
                <td class="pr-4 text-right font-mono">{{ row.strokes }}</td>
                <td class="pr-4 text-right font-mono">{{ row.ml }}</td>
                <td class="pr-4 text-right font-mono">{{ row.minutes }}</td>
                <td class="pr-4 text-right font-mono" [class.font-bold]="row.some">
                  {{ row.left }}
                </td>
                <td class="text-sm">{{ row.where }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="mt-2">{{ verdict() }}</p>
    } @else if (fault()) {
      <p class="fault mt-2" role="alert">{{ fault() }}</p>
    } @else {
      <p class="mt-2 text-ink-soft" role="status">Calculating…</p>
    }
    <p class="mt-2 text-sm text-ink-soft">
      Air moves with the flow, and rises against it by the bore and slope of each line. The range
      allows for the fluid’s unknown surface tension. Foam and bubbles clinging in calipers are not
      modelled, so real bleeding takes more. Three openings a wheel and three laps are common
      practice.
    </p>
  `,
})
export class SchoolsCard {
  readonly work = input.required<BleedView>();
  protected readonly sheet = inject(FillFacade);
  private readonly store = inject(PlanStore);
  private readonly air = inject(AirWork);
  private readonly found = signal<readonly Predicted[] | null>(null);
  protected readonly fault = signal('');
  /** Orders by school, told apart by what they are: two that are the same are reckoned once each all the same. */
  private readonly asked = computed(() => {
    const view = this.sheet.view();
    const network = airNetworkOf(this.work(), view);
    if (!network) return null;
    const { plan } = view;
    const schools: School[] = ['farthest-first', 'nearest-first', 'as-listed'];
    const orders = schools.flatMap((school) => {
      const so = { ...plan, bleeding: { ...plan.bleeding, school } };
      const work = viewPlan(so).bleeding.find(({ work }) => work === this.work().work);
      return work?.result ? [{ school, order: turnsOf(work, this.sheet.filling(), so).order }] : [];
    });
    return {
      network,
      method: this.sheet.method().id,
      fluidId: fluidFor(plan, this.work().reservoirs),
      share: this.sheet.filling().usedMaster ? USED_SHARE : 1,
      orders,
    };
  });
  protected readonly rows = computed(() => {
    const view = this.sheet.view();
    const { net } = this.work();
    return this.found()?.map(
      ({ school, strokes, ml, minutes, leftMl: [least, most], left, clear }) => ({
        school,
        name: SCHOOL_NAMES[school],
        strokes,
        ml: formatVolume(ml, this.store.shownUnits().volume),
        minutes: Math.max(1, Math.round(minutes)),
        some: most >= 0.05,
        left:
          most < 0.05
            ? 'none'
            : most - least < 0.05
              ? `${most.toFixed(1)} mL`
              : `${least.toFixed(1)} to ${most.toFixed(1)} mL`,
        where: [
          ...(clear ? [] : ['not every wheel runs clear']),
          ...(net && most >= 0.05 ? left.slice(0, 3).map((one) => placeName(view, net, one)) : []),
        ].join(', '),
      }),
    );
  });
  protected readonly verdict = computed(() => {
    const found = this.found() ?? [];
    const best = [...found].sort((a, b) => a.leftMl[1] - b.leftMl[1] || a.ml - b.ml)[0];
    const worst = Math.max(...found.map(({ leftMl }) => leftMl[1]));
    if (!best || found.length < 2) return '';
    return worst - best.leftMl[1] < 0.05
      ? 'On this vehicle the order makes no measurable difference: air hardly rises in narrow lines.'
      : `${SCHOOL_NAMES[best.school]} leaves the least air. A maker’s order still comes first.`;
  });
  constructor() {
    effect((clear) => {
      const asked = this.asked();
      this.found.set(null);
      this.fault.set('');
      if (!asked) return;
      const ended = new AbortController();
      const rest = setTimeout(
        () =>
          void this.air.schools(asked, ended.signal).then(
            (found) => this.found.set(found),
            (error: unknown) => ended.signal.aborted || this.fault.set((error as Error).message),
          ),
        80,
      );
      clear(() => {
        clearTimeout(rest);
        ended.abort();
      });
    });
  }
}
