import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { bottleMl, type School } from '@firm-line/core/physics/bleeding';
import { type Bleeding, BLEEDING, fluidFor } from '@firm-line/core/plan';
import { viewPlan, type BleedView } from '@firm-line/core/plan/results';
import { FLUIDS, fluidById } from '@firm-line/core/trade/stock';
import { formatLengthUnit, formatVolume } from '@firm-line/core/lib/units';
import { PlanStore } from '../../session/plan-store';
import { circuitNotes, lastFluidUse, type RunFluidUse } from '@firm-line/core/stations/fill';
import { FillDiagram } from './fill-diagram';
import { FillFacade } from './fill-facade';
import { MakersForm } from './makers-form';
import { MethodCard } from './method-card';
import { SchoolsCard } from './schools-card';
import { RadioField } from '../../kit/fields/radio-field';
import { FieldOf } from '../../kit/fields/field';
import { SelectField } from '../../kit/fields/select-field';

const SCHOOLS: readonly { id: School; name: string; why: string }[] = [
  {
    id: 'farthest-first',
    name: 'Farthest first',
    why: 'The usual school. The longest line holds the most air. Bleeding it first keeps that air out of the others.',
  },
  {
    id: 'nearest-first',
    name: 'Nearest first',
    why: 'Clean fluid reaches the near wheels at once. Each farther wheel then pushes less air ahead of it.',
  },
  {
    id: 'as-listed',
    name: 'Maker’s order',
    why: 'An order on the maker’s sheet wins over either school.',
  },
];
const WORK_NAMES = { brake: 'Brakes', clutch: 'Clutch' } as const;

@Component({
  selector: 'fl-fill-plan-page',
  imports: [FieldOf, FillDiagram, MakersForm, MethodCard, RadioField, SchoolsCard, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    @if (bleeding(); as bleeding) {
      <div
        class="grid flex-1 lg:grid-cols-[20rem_minmax(0,1fr)] 2xl:grid-cols-[22rem_minmax(0,1fr)_18rem]"
      >
        <section class="border-r border-rule bg-sheet p-4" aria-label="Bleeding order">
          <h2 class="h2">Bleeding order</h2>
          <p class="text-sm text-ink-soft">
            {{ school().name }}, measured along the line from the master cylinder.
          </p>
          <fl-fill-diagram class="my-2 block" [bleeding]="bleeding" />
          @for (work of bleeding; track work.work) {
            @if (work.result; as result) {
              <table class="mt-2 w-full text-left" [attr.data-work]="work.work">
                <caption class="text-left font-bold">
                  {{
                    names[work.work]
                  }}
                </caption>
                <thead class="text-sm text-ink-soft">
                  <tr>
                    <th class="font-normal">Bleeder</th>
                    <th class="pl-3 text-right font-normal">Path</th>
                    <th class="pl-3 text-right font-normal">Flush</th>
                  </tr>
                </thead>
                <tbody>
                  @for (step of result.order; track step.id; let i = $index) {
                    <tr class="border-t border-rule">
                      <td class="py-2">
                        {{ work.work === 'clutch' ? 'C' : '' }}{{ i + 1 }}
                        {{ nameOf(work, step.id) }}
                      </td>
                      <td class="pl-3 text-right font-mono text-sm whitespace-nowrap">
                        {{ path(step.pathMm) }}
                      </td>
                      <td class="pl-3 text-right font-mono text-sm whitespace-nowrap">
                        {{ ml(step.flushMl) }}
                      </td>
                    </tr>
                  }
                </tbody>
              </table>
            } @else {
              <p class="fault mt-2">{{ names[work.work] }}: {{ work.fault?.message }}</p>
            }
          }
        </section>
        <div class="flex flex-col gap-4 p-5">
          <section class="card p-5" aria-label="Fluid to buy">
            <h2 class="h2">Fluid to buy</h2>
            <div class="mt-2 flex flex-wrap items-end gap-x-10 gap-y-3">
              @for (work of amounts(); track work.name) {
                <div>
                  <p class="label">{{ work.name }}</p>
                  <p class="font-mono text-4xl" [attr.data-buy]="work.name">{{ work.buy }}</p>
                  <p class="text-sm text-ink-soft">
                    {{ work.fill }} to fill, {{ work.flush }} to flush
                  </p>
                </div>
              }
              @for (work of poured(); track work.work) {
                <fl-select-field
                  class="min-w-48"
                  [field]="'fluid-' + work.work"
                  [label]="work.label"
                  [options]="fluids"
                  [value]="work.fluid.id"
                  (changed)="pour(work.parts, $event)"
                />
              }
              <fl-field
                class="w-40"
                [of]="fields.purge"
                [value]="store.plan().bleeding.purge"
                (changed)="set({ purge: $event })"
              />
            </div>
            @for (words of fluidWords(); track words) {
              <p class="mt-3 text-sm">{{ words }}</p>
            }
            <p class="text-sm text-ink-soft">
              Rounded up to whole bottles. Reservoir and caliper volumes come from the plan; check
              the makers’ sheets.
            </p>
          </section>
          <section class="card p-5" aria-label="Which wheel first">
            <fl-radio-field
              field="school"
              label="Which wheel first?"
              legendClass="h2 mb-2"
              [options]="schools"
              [value]="school().id"
              (changed)="set({ school: $event })"
            />
            @if (school().id === 'as-listed') {
              <h3 class="mt-4 font-bold">Order on the maker’s sheet</h3>
              <ol class="mt-1">
                @for (row of listed(); track row.id; let i = $index) {
                  <li class="flex items-center gap-2 border-t border-rule py-1">
                    <span class="flex-1">{{ row.listed ? i + 1 + ' ' : '' }}{{ row.name }}</span>
                    @if (row.listed) {
                      <button
                        type="button"
                        class="btn"
                        [disabled]="i === 0"
                        [attr.aria-label]="row.name + ' earlier'"
                        (click)="move(row.id, -1)"
                      >
                        Earlier
                      </button>
                      <button
                        type="button"
                        class="btn"
                        [disabled]="i === store.plan().bleeding.listed.length - 1"
                        [attr.aria-label]="row.name + ' later'"
                        (click)="move(row.id, 1)"
                      >
                        Later
                      </button>
                    } @else {
                      <button type="button" class="btn" (click)="list(row.id)">
                        Add to the order
                      </button>
                    }
                  </li>
                }
              </ol>
            }
            @if (school().id === 'as-listed') {
              <fl-makers-form class="mt-4" />
            }
          </section>
          <fl-method-card />
          @for (work of bleeding; track work.work) {
            @if (work.result && work.bleeders.length > 1) {
              <fl-schools-card [work]="work" />
            }
          }
          @if (used().length) {
            <section class="card p-5" aria-label="Last bleed">
              <h2 class="h2">Last bleed</h2>
              @for (run of used(); track run.run.id) {
                <p class="mt-2 border-t border-rule pt-2">
                  <span class="font-semibold">{{ run.run.startedAt.slice(0, 10) }}</span>:
                  {{ ml(run.ml) }} in {{ run.minutes.toFixed(0) }} min, then
                  {{ run.felt ?? 'not recorded' }}. {{ cornersOf(run) }}
                </p>
              }
            </section>
          }
        </div>
        <aside
          class="border-rule bg-sheet p-5 max-2xl:lg:col-span-2 2xl:border-l"
          aria-label="Before you start"
        >
          <h2 class="h2">Before you start</h2>
          <ul class="mt-2 flex flex-col gap-2">
            @for (line of before; track line) {
              <li class="border-t border-rule pt-2">{{ line }}</li>
            }
          </ul>
          <p class="mt-4 text-sm text-ink-soft">
            The makers’ sheets and local rules come before this plan. Never drive on a soft pedal. A
            qualified person checks the brakes before road use.
          </p>
        </aside>
      </div>
    }
  `,
})
export class PlanPage {
  protected readonly fields = BLEEDING.fields;
  protected readonly store = inject(PlanStore);
  private readonly sheet = inject(FillFacade);
  protected readonly used = computed(() => lastFluidUse(this.sheet.filling()));
  protected readonly schools = SCHOOLS;
  protected readonly fluids = FLUIDS;
  protected readonly names = WORK_NAMES;
  /** Common practice; the part makers' sheets come first. */
  protected readonly before: readonly string[] = [
    'Gloves and glasses on, paint covered: most brake fluid strips paint.',
    'Vehicle on stands, never on a jack alone.',
    'Fit the pads and adjust the drums before the first pump.',
    'Bench-bleed the master cylinder, and leave the pushrod some free play.',
    'Every bleeder at the highest point of its part.',
    'Use new, sealed bottles of one kind of fluid only.',
    'Never let the reservoir run dry. Check the level every few strokes.',
  ];
  protected readonly bleeding = computed(() => viewPlan(this.store.plan()).bleeding);
  protected readonly school = computed(() =>
    SCHOOLS.find((s) => s.id === this.store.plan().bleeding.school)!,
  );
  /** The fluid of each kind of work with the reservoirs that it is poured into. */
  protected readonly poured = computed(() => {
    const { plan } = this.store.view();
    return this.bleeding()
      .filter(({ reservoirs }) => reservoirs.length)
      .map(({ work, reservoirs }) => ({
        work,
        label: `Fluid: ${WORK_NAMES[work].toLowerCase()}`,
        fluid: fluidById(fluidFor(plan, reservoirs))!,
        parts: reservoirs.map(({ id }) => id),
      }));
  });
  protected readonly fluidWords = computed(() => [
    ...new Set(
      this.poured().map(({ fluid: { name, mixes, dryBoilC, wetBoilC } }) =>
        `${name}: ${mixes} ${dryBoilC === null ? '' : `Boils at ${dryBoilC} °C or more new, ${wetBoilC} °C wet.`}`.trim(),
      ),
    ),
  ]);
  protected readonly amounts = computed(() => {
    const works = this.bleeding().flatMap((work) =>
      work.result
        ? [
            {
              name: WORK_NAMES[work.work] as string,
              fillMl: work.result.fillMl,
              flushMl: work.result.order.reduce((sum, s) => sum + s.flushMl, 0),
              buyMl: work.result.buyMl,
            },
          ]
        : [],
    );
    const all = works.reduce((sum, w) => sum + w.fillMl + w.flushMl, 0);
    const together = {
      name: 'Together',
      fillMl: works.reduce((s, w) => s + w.fillMl, 0),
      flushMl: works.reduce((s, w) => s + w.flushMl, 0),
      buyMl: bottleMl(all),
    };
    return (works.length > 1 ? [...works, together] : works).map((w) => ({
      name: w.name,
      buy: this.ml(w.buyMl),
      fill: this.ml(w.fillMl),
      flush: this.ml(w.flushMl),
    }));
  });
  protected readonly listed = computed(() => {
    const order = this.store.plan().bleeding.listed;
    const all = this.bleeding().flatMap((work) =>
      work.bleeders.map(({ port }) => ({
        id: port.id,
        name: this.nameOf(work, port.id),
        listed: order.includes(port.id),
      })),
    );
    return all.sort(
      (a, b) =>
        (a.listed ? order.indexOf(a.id) : all.length) -
        (b.listed ? order.indexOf(b.id) : all.length),
    );
  });

  protected set(patch: Partial<Bleeding>): void {
    this.store.apply({ edit: 'changeBleeding', with: { patch } });
  }
  protected pour(parts: readonly string[], fluidId: string): void {
    this.store.apply({ edit: 'chooseFluid', with: { parts, fluidId } });
  }
  protected list(id: string): void {
    this.set({ listed: [...this.store.plan().bleeding.listed, id] });
  }
  protected move(id: string, by: number): void {
    const listed = [...this.store.plan().bleeding.listed];
    const at = listed.indexOf(id);
    listed.splice(at, 1);
    listed.splice(at + by, 0, id);
    this.set({ listed });
  }
  protected nameOf(work: BleedView, id: string): string {
    const found = work.bleeders.find((b) => b.port.id === id)!;
    return found.part.ports.filter((p) => p.role === 'bleeder').length > 1
      ? `${found.part.name}, ${found.port.name}`
      : found.part.name;
  }
  protected differs(work: BleedView): string[] {
    return circuitNotes(work, this.sheet.view());
  }
  protected cornersOf({ corners }: RunFluidUse): string {
    return corners
      .map(({ portId, strokes, ml }) => `${this.sheet.name(portId)} ${this.ml(ml)}, ${strokes}`)
      .join('; ');
  }
  protected ml(ml: number): string {
    return formatVolume(ml, this.store.shownUnits().volume);
  }
  protected path(mm: number): string {
    return this.store.units() === 'metric'
      ? `${(mm / 1000).toFixed(2)} m`
      : formatLengthUnit(mm, 'inch');
  }
}
