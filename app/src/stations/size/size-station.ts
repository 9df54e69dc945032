import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FieldOf } from '../../kit/fields/field';
import {
  choiceName,
  SIZING,
  figureAt,
  type EditCall,
  type Plan,
  type EstimatedFigures,
} from '@firm-line/core/plan';
import { CATEGORIES, type Category } from '@firm-line/core/trade/categories';
import { CLASSES_OF, type VehicleClass } from '@firm-line/core/trade/vehicle-classes';
import {
  typicalClutch,
  typicalParking,
  typicalSingle,
  typicalSizing,
  typicalTrailer,
} from '@firm-line/core/plan/typical';
import { plannedHoses } from '@firm-line/core/plan/results';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { sheetsOf } from './chains';
import { type FigureGroup } from './figures';
import { roadFigures } from './road-figures';
import { clutchFigures, parkingFigures, singleFigures, trailerFigures } from './sheet-figures';
import { FiguresPanel } from './figures-panel';
import { ResidualTable } from './residual-table';
import { RoadPage } from './road-page';
import { SheetPage } from './sheet-page';
import { Toggle } from '../../kit/toggle';
import { EmptyState } from '../../kit/empty-state';

/** Figures to begin with for a kind of vehicle, every one of them a guess. */
function beginWith(category: Category, { circuits, singles }: Plan): EditCall {
  if (category === 'trailer')
    return { edit: 'setSheet', with: { sheet: 'trailer', to: typicalTrailer() } };
  if (category !== 'motorcycle' && category !== 'aircraft')
    return { edit: 'setSheet', with: { sheet: 'sizing', to: typicalSizing(category) } };
  const brakes = circuits.filter((circuit) => circuit.work === 'brake');
  const names =
    category === 'motorcycle' ? ['Front lever', 'Rear pedal'] : ['Left toe', 'Right toe'];
  return {
    edit: 'setSheet',
    with: {
      sheet: 'singles',
      to: [...singles, ...names.map((name, i) => typicalSingle(name, brakes[i]?.id ?? null))],
    },
  };
}

/** What one tap adds to the plan's sheets. */
function additions(plan: Plan): { label: string; of: string; call: EditCall }[] {
  const { clutch, parking } = plan;
  return [
    ...(clutch
      ? []
      : [
          {
            label: 'Clutch',
            of: 'clutch',
            call: { edit: 'setSheet', with: { sheet: 'clutch', to: typicalClutch() } },
          } as const,
        ]),
    ...(parking
      ? []
      : (
          [
            ['lever', 'Parking brake by lever and cable'],
            ['hydraulic', 'Parking by hydraulics'],
          ] as const
        ).map(([by, label]) => ({
          label,
          of: 'parking',
          call: { edit: 'setSheet', with: { sheet: 'parking', to: typicalParking(by) } } as const,
        }))),
  ];
}

function groupsOf(of: string, plan: Plan): FigureGroup[] {
  if (of === 'sizing') return roadFigures(plan.sizing!);
  if (of === 'trailer') return trailerFigures(plan.trailer!);
  if (of === 'clutch') return clutchFigures(plan.clutch!);
  if (of === 'parking') return parkingFigures(plan.parking!);
  return singleFigures(figureAt(plan, of) as Plan['singles'][number]);
}

@Component({
  selector: 'fl-size-station',
  imports: [EmptyState, FieldOf, FiguresPanel, ResidualTable, RoadPage, SheetPage, SnagRow, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block flex-1' },
  template: `
    <h1 class="sr-only">Size</h1>
    @if (store.plan(); as plan) {
      @if (chosen(); as at) {
        <fl-toggle
          class="px-4 pt-4"
          label="Systems sized"
          [options]="sheetChoices()"
          [value]="at.of"
          (changed)="of.set($event)"
        >
          @if (more().length) {
            <select
              #add
              class="field"
              aria-label="Add a system"
              (change)="begin(add.value); add.value = ''"
            >
              <option value="">Add a system…</option>
              @for (option of more(); track option.label) {
                <option [value]="option.label">{{ option.label }}</option>
              }
            </select>
          }
        </fl-toggle>
        <div class="grid gap-4 p-4 lg:grid-cols-[1fr_24rem]">
          <div class="flex min-w-0 flex-col gap-4">
            @if (snags().length) {
              <section class="card px-4 pt-1 pb-3" aria-label="Snags of Size">
                @for (snag of snags(); track $index) {
                  <fl-snag-row class="mt-2" [snag]="snag" [named]="true" />
                }
              </section>
            }
            @if (at.of === 'sizing') {
              <fl-road-page [(share)]="share" />
            } @else {
              <fl-sheet-page [of]="at.of" [name]="at.name" [(share)]="share" />
            }
            @if (at.of === 'sizing' || at.of.startsWith('singles')) {
              <section class="card p-4" aria-label="Residual valves"><fl-residual-table /></section>
            }
          </div>
          <aside
            class="card self-start p-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:overflow-auto"
            aria-label="Figures"
          >
            <h2 class="h2">The figures</h2>
            @if (at.of === 'sizing') {
              <fl-field
                class="mt-2"
                [of]="categoryField"
                field="category"
                [options]="roadChoices"
                [value]="plan.sizing!.category"
                (changed)="setCategory($event)"
              />
              @if (classChoices().length > 1) {
                <fl-field
                  class="mt-2"
                  [of]="classField"
                  field="ruleClass"
                  [options]="classChoices()"
                  [value]="plan.sizing!.ruleClass"
                  (changed)="setClass($event)"
                />
              }
            }
            <p class="my-2 text-sm">
              These figures are a plan. The part makers’ sheets and local rules come first, and a
              qualified person inspects before road use. Tube lengths come from the lines in this
              plan.{{ planned() }}
            </p>
            <fl-figures-panel [of]="at.of" [sheet]="sheet()" [groups]="groups()" />
          </aside>
        </div>
      } @else {
        <fl-empty-state
          heading="From foot to road"
          text="This page calculates from foot to road. Start with estimates for an ordinary vehicle; each stays marked until you enter your own figure."
        >
          <div class="w-full text-left">
            <label class="label block" for="begin-category">Kind of vehicle</label>
            <select #kind id="begin-category" class="field w-full">
              @for (category of categories; track category) {
                <option [value]="category">{{ categoryName(category) }}</option>
              }
            </select>
          </div>
          <button type="button" class="btn-main" (click)="beginVehicle(kind.value)">
            Start with estimates
          </button>
        </fl-empty-state>
      }
    }
  `,
})
export class SizeStation {
  protected readonly store = inject(PlanStore);
  protected readonly categories = CATEGORIES;
  protected readonly categoryField = SIZING.fields.category;
  protected readonly classField = SIZING.fields.ruleClass;
  /** Classes that a vehicle of this kind may be of. */
  protected readonly classChoices = computed(() =>
    (CLASSES_OF[this.store.plan().sizing?.category ?? 'competition'] ?? []).map(
      (one) => [one, choiceName(SIZING.fields.ruleClass, one)] as const,
    ),
  );
  protected readonly roadChoices = CATEGORIES.filter(
    (c) => !['trailer', 'motorcycle', 'aircraft'].includes(c),
  ).map((c) => [c, choiceName(SIZING.fields.category, c)] as const);
  protected categoryName(category: Category): string {
    return choiceName(this.categoryField, category);
  }
  /** From empty (0) to laden (1). */
  protected readonly share = signal(0);
  protected readonly of = signal('sizing');
  protected readonly sheets = computed(() => sheetsOf(this.store.plan()));
  protected readonly sheetChoices = computed(() =>
    this.sheets().map(({ of, name }) => ({ value: of, name })),
  );
  protected readonly chosen = computed(
    () => this.sheets().find(({ of }) => of === this.of()) ?? this.sheets()[0] ?? null,
  );
  protected readonly sheet = computed(
    () => figureAt(this.store.plan(), this.chosen()!.of) as EstimatedFigures,
  );
  protected readonly groups = computed(() => groupsOf(this.chosen()!.of, this.store.plan()));
  protected readonly more = computed(() => additions(this.store.plan()));
  /** Hose that is the plan's own: there the typed figure does not count. */
  protected readonly planned = computed(() => {
    const plan = this.store.plan();
    const hoses = plannedHoses(plan, this.chosen()?.of ?? '').map(({ name, hoseMm }) =>
      `${formatLengthUnit(hoseMm, this.store.units())} ${name}`.trim(),
    );
    return hoses.length
      ? ` Hose length comes from Route: ${hoses.join(', ')}; the length entered below is not used.`
      : '';
  });
  protected readonly snags = computed(() =>
    this.store.laidOutSnags().filter((snag) => snag.station === 'size'),
  );

  protected beginVehicle(text: string): void {
    const category = CATEGORIES.find((one) => one === text)!;
    this.store.apply(beginWith(category, this.store.plan()));
  }
  protected begin(label: string): void {
    const option = this.more().find((one) => one.label === label);
    if (option && this.store.apply(option.call)) this.of.set(option.of);
  }
  protected setClass(to: VehicleClass | undefined): void {
    this.store.apply({ edit: 'setFigure', with: { of: 'sizing', path: 'ruleClass', to } });
  }
  protected setCategory(to: Category): void {
    this.store.apply({ edit: 'setFigure', with: { of: 'sizing', path: 'category', to } });
  }
}
