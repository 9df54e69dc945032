import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { figure } from '@firm-line/core/fault';
import {
  BALANCE_RANGE_Z,
  braking,
  CATEGORIES,
  loadsN,
  mostAdhesion,
  pushN,
  stoppingM,
  whatIf,
  type Category,
  type SizeInput,
} from '@firm-line/core/hydraulics';
import { typicalSizing, type LoadView } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/units';
import { LineChart, type ChartLine } from '../../kit/line-chart';
import { SnagRow } from '../../kit/snag-row';
import { PlanStore } from '../../plan/plan-store';
import { CATEGORY_NAMES } from './figures';
import { FiguresPanel } from './figures-panel';
import { TravelBar } from './travel-bar';

const STEPS = 80;

/** The deceleration and adhesion of both axles as the pedal is raised, to z 1. */
function raised(
  input: SizeInput,
): { z: number; front: number; rear: number; used: { front: number | null; rear: number | null } }[] {
  let high = pushN(input.pedal, input.booster);
  while (braking(input, high).z < 1 && high < 1e9) high *= 1.5;
  return Array.from({ length: STEPS + 1 }, (_, i) => braking(input, (high * i) / STEPS))
    .filter(({ z }) => z <= 1.05)
    .map(({ z, forceN, adhesion }) => ({ z, ...forceN, used: adhesion }));
}

@Component({
  selector: 'fl-size-station',
  imports: [LineChart, TravelBar, FiguresPanel, SnagRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block flex-1' },
  template: `
    <h1 class="sr-only">Size</h1>
    @if (sizing(); as given) {
      @if (now(); as load) {
        <div class="grid gap-4 p-4 lg:grid-cols-[1fr_24rem]">
          <div class="flex min-w-0 flex-col gap-4">
            <section class="card p-4" aria-label="From foot to road">
              <div class="flex flex-wrap items-center gap-x-6 gap-y-2">
                <h2 class="h2 mr-auto">From foot to road</h2>
                <label class="flex min-h-12 items-center gap-3"
                  >empty
                  <input
                    type="range"
                    min="0"
                    max="100"
                    class="h-12 w-40 accent-fluid"
                    aria-label="Load from empty to laden"
                    [value]="100 * share()"
                    (input)="share.set($any($event.target).valueAsNumber / 100)"
                  />
                  laden</label
                >
                <span class="font-mono">{{ massWords() }}</span>
              </div>
              <ol class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
                @for (step of chain(); track step.name) {
                  <li class="rounded-lg border border-rule px-3 py-2">
                    <p class="label">{{ step.name }}</p>
                    <p class="font-mono text-xl leading-tight" [attr.data-step]="step.name">{{ step.value }}</p>
                    <p class="text-sm leading-tight text-ink-soft">{{ step.note }}</p>
                  </li>
                }
              </ol>
              @for (snag of snags(); track $index) {
                <fl-snag-row class="mt-2" [snag]="snag" [named]="true" />
              }
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
              <h2 class="h2">Stopping from {{ load.fromKmh }} km/h</h2>
              <table class="mt-1 w-full text-left">
                <thead class="text-sm text-ink-soft">
                  <tr>
                    <th class="font-normal">Brakes</th>
                    <th class="text-right font-normal">z</th>
                    <th class="text-right font-normal">metres</th>
                    <th class="text-right font-normal">limit</th>
                    <th class="pl-4 font-normal">pedal</th>
                  </tr>
                </thead>
                <tbody>
                  @for (row of stops(); track row.name) {
                    <tr class="border-t border-rule">
                      <td class="py-1">{{ row.name }}</td>
                      <td class="text-right font-mono">{{ row.z }}</td>
                      <td class="text-right font-mono">{{ row.metres }}</td>
                      <td class="text-right font-mono">{{ row.limit }}</td>
                      <td class="pl-4">{{ row.pedal }}</td>
                    </tr>
                  }
                </tbody>
              </table>
              <p class="mt-2 text-sm text-ink-soft">
                {{
                  load.limits
                    ? 'Limits: ' + load.limits.source + '.'
                    : 'No published limit is known here for this kind of vehicle: none is drawn.'
                }}
                A tandem's failed chamber is reckoned with half the stroke.
              </p>
            </section>
            <section class="card p-4" aria-label="What if">
              <h2 class="h2">What one change would do</h2>
              <ul>
                @for (change of changes(); track change.what) {
                  <li class="flex flex-wrap gap-x-4 border-t border-rule py-1">
                    <span class="w-72">{{ change.what }}</span><span class="flex-1 font-semibold">{{ change.effect }}</span>
                  </li>
                }
              </ul>
            </section>
            <section class="card p-4" aria-label="Compare">
              <div class="flex flex-wrap items-center gap-3">
                <h2 class="h2 mr-auto">Compare two versions</h2>
                <button type="button" class="btn" (click)="hold()">Hold these figures as A</button>
              </div>
              @if (compared().length) {
                <table class="mt-2 w-full text-left">
                  <thead class="text-sm text-ink-soft">
                    <tr>
                      <th class="font-normal">Figure</th>
                      <th class="text-right font-normal">A, held</th>
                      <th class="text-right font-normal">B, now</th>
                    </tr>
                  </thead>
                  <tbody>
                    @for (row of compared(); track row.name) {
                      <tr class="border-t border-rule" [class.font-bold]="row.a !== row.b">
                        <td class="py-1">{{ row.name }}</td>
                        <td class="text-right font-mono">{{ row.a }}</td>
                        <td class="text-right font-mono">{{ row.b }}</td>
                      </tr>
                    }
                  </tbody>
                </table>
              } @else {
                <p class="text-sm text-ink-soft">Hold the figures as they are, change some, and see both side by side.</p>
              }
            </section>
          </div>
          <aside
            class="card self-start p-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:overflow-auto"
            aria-label="Figures"
          >
            <h2 class="h2">The figures</h2>
            <label class="label mt-2 block" for="category">What it is</label>
            <select id="category" class="field w-full" (change)="set('category', $any($event.target).value)">
              @for (category of categories; track category) {
                <option [value]="category" [selected]="category === given.category">{{ categoryNames[category] }}</option>
              }
            </select>
            <p class="my-2 text-sm">
              These figures are a plan. The part makers' sheets and local rules come first, and a qualified person inspects before
              the road. Tube lengths come from the plan's own lines.
            </p>
            <fl-figures-panel [sizing]="given" />
          </aside>
        </div>
      } @else {
        <p class="p-8">These figures cannot be reckoned with: look at them again.</p>
      }
    } @else {
      <div class="mx-auto max-w-lg p-8 text-center">
        <h2 class="text-2xl font-bold">From foot to road</h2>
        <p class="mt-2">Begin with figures of an ordinary vehicle. Each is marked as a guess until you type your own over it.</p>
        <label class="label mt-4 block" for="begin-category">What is it?</label>
        <select #kind id="begin-category" class="field w-full">
          @for (category of categories; track category) {
            <option [value]="category">{{ categoryNames[category] }}</option>
          }
        </select>
        <button type="button" class="btn-main mt-4" (click)="begin($any(kind.value))">Begin with guesses</button>
      </div>
    }
  `,
})
export class SizeStation {
  protected readonly store = inject(PlanStore);
  protected readonly categories = CATEGORIES;
  protected readonly categoryNames = CATEGORY_NAMES;
  /** From empty (0) to laden (1). */
  protected readonly share = signal(0);
  private readonly held = signal<LoadView | null>(null);

  protected readonly sizing = computed(() => this.store.plan()?.sizing ?? null);
  protected readonly now = computed(() => this.store.view()?.size?.at(this.share()) ?? null);
  protected readonly snags = computed(() => this.store.snags().filter((snag) => snag.station === 'size'));
  protected readonly massWords = computed(() => `${figure(this.now()!.input.vehicle.massKg, 0)} kg`);

  protected readonly chain = computed(() => {
    const { input, size } = this.now()!;
    const kN = (n: number): string => `${figure(n / 1000, 1)} kN`;
    const lever = input.pedal.forceN * input.pedal.ratio * input.pedal.efficiency;
    const push = pushN(input.pedal, input.booster);
    return [
      { name: 'Foot', value: `${figure(input.pedal.forceN, 0)} N`, note: `${figure(size.travelMm.total, 0)} mm of pedal` },
      { name: 'Lever', value: kN(lever), note: `${figure(input.pedal.ratio, 2)} to 1` },
      { name: 'Booster', value: input.booster ? kN(push - lever) : 'none', note: input.booster ? 'added' : 'the foot alone' },
      { name: 'Master', value: `${figure(size.pressureMPa.front, 1)} MPa`, note: `${figure(size.strokeMm, 1)} mm of stroke` },
      {
        name: 'Rear valve',
        value: `${figure(size.pressureMPa.rear, 1)} MPa`,
        note: input.rearValve
          ? `knee ${figure(input.rearValve.kneeMPa, 2)}, slope ${figure(input.rearValve.slope, 2)}`
          : 'no valve',
      },
      { name: 'Front brakes', value: kN(size.forceN.front), note: 'at the road, both wheels' },
      { name: 'Rear brakes', value: kN(size.forceN.rear), note: 'at the road, both wheels' },
      {
        name: 'Road',
        value: `z ${figure(this.now()!.usableZ, 2)}`,
        note: this.now()!.usableZ < size.z - 1e-6 ? `${size.locksFirst} locks first` : 'nothing locks',
      },
    ];
  });
  protected readonly travelWords = computed(() => {
    const { size, input } = this.now()!;
    const words = `${formatLengthUnit(size.travelMm.total, this.store.units())} of ${formatLengthUnit(input.pedal.strokeMm, this.store.units())}, ${figure(100 * size.travelMm.share, 0)} %.`;
    return size.bottoms ? `${words} It runs out of stroke.` : words;
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
      { name: 'ideal: both use the same grip', points: ideal, ink: 'ink', dashed: true },
      {
        name: 'these brakes',
        points: this.curve().map(({ front, rear }) => ({ x: front / 1000, y: rear / 1000 })),
        ink: 'copper',
      },
      { name: 'at this foot', points: [{ x: size.forceN.front / 1000, y: size.forceN.rear / 1000 }], ink: 'stop', dots: true },
    ];
  });
  protected readonly gripLines = computed((): ChartLine[] => {
    const used = (axle: 'front' | 'rear') =>
      this.curve().flatMap(({ z, used }) => (used[axle] !== null && used[axle]! <= 1.3 ? [{ x: z, y: used[axle]! }] : []));
    const lines: ChartLine[] = [
      { name: 'front', points: used('front'), ink: 'fluid' },
      { name: 'rear', points: used('rear'), ink: 'copper' },
    ];
    if (!this.now()!.limits) return lines;
    const limit = [0.24, 0.52].map((z) => ({ x: z, y: mostAdhesion(z) }));
    return [...lines, { name: 'most that may be used', points: limit, ink: 'stop', dashed: true }];
  });
  protected readonly balanceWords = computed(() => {
    const { size, rearLeads, limits } = this.now()!;
    const meet =
      size.balancePointZ === null
        ? 'The two never use the same grip.'
        : `Both use the same grip at z ${figure(size.balancePointZ, 2)}.`;
    const lead = rearLeads
      ? `The rear leads from z ${figure(rearLeads.fromZ, 2)} to ${figure(rearLeads.toZ, 2)}.`
      : `The rear stays behind the front from z ${BALANCE_RANGE_Z.from} to ${BALANCE_RANGE_Z.to}.`;
    const source = limits ? ' Dashed limit: z = 0.1 + 0.7·(k − 0.2), UN R13-H annex 5 (from memory).' : '';
    return `${meet} ${lead}${source}`;
  });
  protected readonly stops = computed(() => {
    const { usableZ, stopM, limits, fromKmh, failed, size, input } = this.now()!;
    const metres = (m: number): string => (Number.isFinite(m) ? figure(m, 0) : '–');
    const failedRow = (axle: 'front' | 'rear') => {
      const left = failed[axle];
      return {
        name: `${axle === 'front' ? 'Front' : 'Rear'} circuit failed`,
        z: figure(left.z, 2),
        metres: metres(stoppingM(fromKmh, left.z)),
        limit: limits?.failedM ? metres(limits.failedM(fromKmh)) : '–',
        pedal: left.strokesOut ? 'runs out of stroke' : `${figure(left.travelMm, 0)} mm`,
      };
    };
    return [
      {
        name: 'Whole',
        z: figure(usableZ, 2),
        metres: metres(stopM),
        limit: limits ? metres(limits.wholeM(fromKmh)) : '–',
        pedal: `${figure(size.travelMm.total, 0)} mm of ${figure(input.pedal.strokeMm, 0)}`,
      },
      failedRow('front'),
      failedRow('rear'),
    ];
  });
  protected readonly changes = computed(() => whatIf(this.now()!.input));
  protected readonly compared = computed(() => {
    const [a, b] = [this.held(), this.now()];
    if (!a || !b) return [];
    const rows: (readonly [string, (load: LoadView) => string])[] = [
      ['Pressure front, MPa', (l) => figure(l.size.pressureMPa.front, 2)],
      ['Pressure rear, MPa', (l) => figure(l.size.pressureMPa.rear, 2)],
      ['Deceleration that can be had, z', (l) => figure(l.usableZ, 3)],
      ['Stopping, m', (l) => figure(l.stopM, 1)],
      ['Pedal, mm', (l) => figure(l.size.travelMm.total, 1)],
      ['Locks first', (l) => l.size.locksFirst],
      ['Balance point, z', (l) => (l.size.balancePointZ === null ? 'none' : figure(l.size.balancePointZ, 3))],
    ];
    return rows.map(([name, show]) => ({ name, a: show(a), b: show(b) }));
  });

  protected begin(category: Category): void {
    this.store.apply({ edit: 'setSizing', with: { sizing: typicalSizing(category) } });
  }
  protected hold(): void {
    this.held.set(this.now());
  }
  protected set(path: string, to: unknown): void {
    this.store.apply({ edit: 'setFigure', with: { path, to } });
  }
}
