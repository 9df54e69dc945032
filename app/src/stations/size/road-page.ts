import { ChangeDetectionStrategy, Component, computed, inject, model } from '@angular/core';
import { viewPlan } from '@firm-line/core/plan/results';
import { boilingOf } from './boiling';
import { figure } from '@firm-line/core/lib/faults';
import {
  DEFAULT_BALANCE,
  NO_DISTANCE,
  braking,
  loadsN,
  pushN,
  stoppingM,
  whatIf,
  type Failure,
  type SizeInput,
} from '@firm-line/core/physics/hydraulics';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { LineChart, type ChartLine } from '../../kit/line-chart';
import { PlanStore } from '../../session/plan-store';
import { ChainList } from './chain-list';
import { roadChain } from './chains';
import { Compare } from './compare';
import { HeatCard } from './heat-card';
import { LoadSlider } from './load-slider';
import { RunChoices } from './run-choices';
import { TravelBar } from './travel-bar';

const CURVE_STEPS = 80;

/** The deceleration and adhesion of both axles as the pedal is raised, to z 1. */
function raised(input: SizeInput): {
  z: number;
  front: number;
  rear: number;
  used: { front: number | null; rear: number | null };
}[] {
  let high = pushN(input.pedal, input.booster);
  while (braking(input, high).z < 1 && high < 1e9) high *= 1.5;
  return Array.from({ length: CURVE_STEPS + 1 }, (_, i) => braking(input, (high * i) / CURVE_STEPS))
    .filter(({ z }) => z <= 1.05)
    .map(({ z, forceN, adhesion }) => ({ z, ...forceN, used: adhesion }));
}

/** Why none is drawn. */
/** From foot to road for a vehicle with two axles: the chain, the pedal's travel, balance, stopping, heat, what one change would do. */
@Component({
  selector: 'fl-road-page',
  imports: [HeatCard, LineChart, TravelBar, ChainList, Compare, LoadSlider, RunChoices],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block min-w-0' },
  template: `
    @if (sizing(); as given) {
      @if (now(); as load) {
        <div class="flex min-w-0 flex-col gap-4">
          <section class="card p-4" aria-label="From foot to road">
            <div class="flex flex-wrap items-center gap-x-6 gap-y-2">
              <h2 class="h2 mr-auto">From foot to road</h2>
              <fl-load-slider [(share)]="share" />
              <span class="font-mono">{{ massWords() }}</span>
            </div>
            <fl-chain-list [steps]="chain()" />
          </section>
          <section class="card p-4" aria-label="Where the pedal goes">
            <h2 class="h2">Where the pedal goes</h2>
            <p class="mb-2 text-sm">{{ travelWords() }}</p>
            <fl-travel-bar [size]="load.size" [strokeMm]="given.pedal.strokeMm" />
          </section>
          <section class="card grid gap-4 p-4 xl:grid-cols-2" aria-label="Balance">
            <div>
              <h2 class="h2">Rear against front</h2>
              <fl-line-chart
                label="Rear against front brake force, with the ideal curve"
                xName="front, kN"
                yName="rear, kN"
                [lines]="forceLines()"
              />
            </div>
            <div>
              <h2 class="h2">Grip used</h2>
              <fl-line-chart
                label="Adhesion used by both axles against deceleration"
                xName="deceleration z"
                yName="grip used"
                [xMax]="1"
                [yMax]="1.2"
                [lines]="gripLines()"
              />
            </div>
            <p class="text-sm xl:col-span-2">{{ balanceWords() }}</p>
          </section>
          <section class="card p-4" aria-label="Stopping and one circuit failed">
            <h2 class="h2">Stopping from {{ store.quantities().speed(load.fromKmh) }}</h2>
            <table class="mt-1 w-full text-left">
              <thead class="text-sm text-ink-soft">
                <tr>
                  <th class="font-normal">Brakes</th>
                  <th class="text-right font-normal">z</th>
                  <th class="text-right font-normal">distance</th>
                  <th class="text-right font-normal">limit</th>
                  <th class="pl-4 font-normal">pedal</th>
                </tr>
              </thead>
              <tbody>
                @for (row of stops(); track row.name) {
                  <tr class="border-t border-rule">
                    <td class="py-1">{{ row.name }}</td>
                    <td class="text-right font-mono">{{ row.z }}</td>
                    <td class="text-right font-mono">{{ row.distance }}</td>
                    <td class="text-right font-mono">{{ row.limit }}</td>
                    <td class="pl-4">{{ row.pedal }}</td>
                  </tr>
                }
              </tbody>
            </table>
            <p class="mt-2 text-sm text-ink-soft">
              {{ load.limits ? 'Limits: ' + load.limits.source + '.' : noLimits() }}
              With one tandem chamber failed, half the stroke is assumed.
            </p>
          </section>
          @if (load.heat; as heating) {
            <section class="card p-4" aria-label="Heat of the brakes">
              <h2 class="h2">Heat</h2>
              <fl-heat-card [heating]="heating" [boils]="boils()" />
            </section>
          }
          <section class="card p-4" aria-label="What if">
            <h2 class="h2">Effect of one change</h2>
            <ul>
              @for (change of changes(); track change.what) {
                <li class="flex flex-wrap gap-x-4 border-t border-rule py-1">
                  <span class="w-72">{{ change.what }}</span><span class="flex-1 font-semibold">{{
                    change.effect
                  }}</span>
                </li>
              }
            </ul>
          </section>
          <section class="card p-4" aria-label="One run"><fl-run-choices /></section>
          <section class="card p-4" aria-label="Compare"><fl-compare [share]="share()" /></section>
        </div>
      } @else {
        <p class="p-8">These figures cannot be calculated. Check them.</p>
      }
    }
  `,
})
export class RoadPage {
  protected readonly store = inject(PlanStore);
  protected readonly boils = computed(() => boilingOf(viewPlan(this.store.plan())));
  private readonly quantities = this.store.quantities;
  /** From empty (0) to laden (1). */
  readonly share = model.required<number>();

  protected readonly sizing = computed(() => this.store.plan().sizing ?? null);
  protected readonly now = computed(
    () => viewPlan(this.store.plan()).size?.at(this.share()) ?? null,
  );
  protected readonly massWords = computed(
    () => `${figure(this.now()!.input.vehicle.massKg, 0)} kg`,
  );

  protected readonly chain = computed(() =>
    roadChain(this.now()!, this.sizing()!, this.store.shownUnits(), this.store.units()),
  );
  protected readonly travelWords = computed(() => {
    const { size, input } = this.now()!;
    const words = `${formatLengthUnit(size.travelMm.total, this.store.units())} of ${formatLengthUnit(input.pedal.strokeMm, this.store.units())}, ${figure(100 * size.travelMm.share, 0)} %.`;
    return size.bottoms ? `${words} The pedal runs out of stroke.` : words;
  });
  private readonly curve = computed(() => raised(this.now()!.input));
  protected readonly forceLines = computed((): ChartLine[] => {
    const { input, size } = this.now()!;
    const ideal = Array.from({ length: 41 }, (_, i) => {
      const z = i / 40;
      const load = loadsN(input.vehicle, z);
      return { x: (z * load.front) / 1000, y: (z * Math.max(load.rear, 0)) / 1000 };
    });
    return [
      { name: 'ideal: equal grip', points: ideal, ink: 'ink', dashed: true },
      {
        name: 'these brakes',
        points: this.curve().map(({ front, rear }) => ({ x: front / 1000, y: rear / 1000 })),
        ink: 'copper',
      },
      {
        name: 'at this foot force',
        points: [{ x: size.forceN.front / 1000, y: size.forceN.rear / 1000 }],
        ink: 'stop',
        dots: true,
      },
    ];
  });
  protected readonly gripLines = computed((): ChartLine[] => {
    const used = (axle: 'front' | 'rear') =>
      this.curve().flatMap(({ z, used }) =>
        used[axle] !== null && used[axle]! <= 1.3 ? [{ x: z, y: used[axle]! }] : [],
      );
    const lines: ChartLine[] = [
      { name: 'front', points: used('front'), ink: 'fluid' },
      { name: 'rear', points: used('rear'), ink: 'copper' },
    ];
    const balance = this.now()!.limits?.balance;
    if (!balance) return lines;
    const limit = [0.2, 0.8].map((k) => ({ x: 0.1 + balance.rise * (k - 0.2), y: k }));
    return [...lines, { name: 'limit', points: limit, ink: 'stop', dashed: true }];
  });
  protected readonly balanceWords = computed(() => {
    const { size, rearLeads, limits } = this.now()!;
    const balance = limits?.balance ?? DEFAULT_BALANCE;
    const meet =
      size.balancePointZ === null
        ? 'Front and rear never use equal grip.'
        : `Equal grip at z ${figure(size.balancePointZ, 2)}.`;
    const lead = rearLeads
      ? `The rear locks first from z ${figure(rearLeads.fromZ, 2)} to ${figure(rearLeads.toZ, 2)}.`
      : `The rear stays behind the front from z ${balance.fromZ} to ${balance.toZ}.`;
    const source = limits
      ? ` Dashed limit: z = 0.1 + ${balance.rise}·(k − 0.2), ${balance.source}.`
      : '';
    return `${meet} ${lead}${source}`;
  });
  protected readonly stops = computed(() => {
    const { usableZ, stopM, limits, fromKmh, failed, reserve, size, input } = this.now()!;
    const distance = (m: number): string =>
      Number.isFinite(m) ? this.quantities().distance(m, 0) : '–';
    const failedRow = (left: Failure) => {
      const speed = limits?.residual.fromKmh ?? fromKmh;
      return {
        name: `${left.failed} failed, ${this.quantities().force(left.footN)}${speed === fromKmh ? '' : `, from ${this.quantities().speed(speed)}`}`,
        z: `${figure(left.z, 2)}${left.locks ? ', at its grip' : ''}`,
        distance: distance(stoppingM(speed, left.z, limits?.buildUpS)),
        limit: limits ? distance(limits.residual.mostM(speed)) : '–',
        pedal: left.strokesOut
          ? 'runs out of stroke'
          : left.travelMm === 0
            ? '–'
            : formatLengthUnit(left.travelMm, this.store.units()),
      };
    };
    return [
      {
        name: 'Whole',
        z: figure(usableZ, 2),
        distance: distance(stopM),
        limit: limits ? distance(limits.wholeM(fromKmh)) : '–',
        pedal: `${formatLengthUnit(size.travelMm.total, this.store.units())} of ${formatLengthUnit(input.pedal.strokeMm, this.store.units())}`,
      },
      ...failed.map(failedRow),
      ...(reserve
        ? [
            {
              name: `After ${reserve.applications} full applications without the booster’s supply${limits ? `, ${this.quantities().force(limits.residual.footMostN)}` : ''}`,
              z: figure(reserve.nextZ, 2),
              distance: distance(
                stoppingM(limits?.residual.fromKmh ?? fromKmh, reserve.nextZ, limits?.buildUpS),
              ),
              limit: limits ? distance(limits.residual.mostM(limits.residual.fromKmh)) : '–',
              pedal: `${reserve.stops} in full`,
            },
          ]
        : []),
    ];
  });
  protected readonly noLimits = computed(
    () =>
      NO_DISTANCE[this.store.plan().sizing!.category] ??
      'No published limit is known here for this kind of vehicle: none is drawn.',
  );
  protected readonly changes = computed(() => whatIf(this.now()!.input));
}
