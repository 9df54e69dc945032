import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { changeSteps, sourcesThatDiffer } from '@firm-line/core/stations/fill';
import {
  type ReservoirFluid,
  type Part,
  FLUID_IN,
  fluidIn,
  reservoirParts,
} from '@firm-line/core/plan';
import { FLUIDS, fluidById } from '@firm-line/core/trade/stock';
import { EmptyState } from '../../kit/empty-state';
import { CheckField } from '../../kit/fields/check-field';
import { printSheet } from '../../kit/print-sheet';
import { PlanStore } from '../../session/plan-store';
import { FillFacade } from './fill-facade';
import { FieldOf } from '../../kit/fields/field';

/** What is in which reservoir, from which bottle, how wet and how hot, and what it takes to change it. */
@Component({
  selector: 'fl-fluids-page',
  imports: [CheckField, EmptyState, FieldOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Fluids</h2>
    <p class="mt-1 max-w-prose">
      One entry for each reservoir. Identify a fluid by cap, plate or sheet, never by color. Never
      reuse fluid that was bled out.
    </p>
    @for (row of rows(); track row.part.id) {
      <section
        class="card mt-4 p-5"
        [attr.aria-label]="row.part.name"
        [attr.data-reservoir]="row.part.id"
      >
        <h3 class="h2">{{ row.part.name }}</h3>
        <div class="mt-2 grid gap-3 sm:grid-cols-2 xl:grid-cols-4">
          <fl-field
            [of]="fields.fluidId"
            [field]="'fluid-' + row.part.id"
            [options]="fluids"
            [value]="row.now.fluidId"
            (changed)="put(row.now, 'fluidId', $event!)"
          />
          <fl-field
            [of]="fields.wasId"
            [field]="'was-' + row.part.id"
            [options]="fluids"
            [value]="row.now.wasId"
            (changed)="put(row.now, 'wasId', $event)"
          />
          @for (source of sources; track source) {
            <fl-field
              [of]="fields[source]"
              [field]="source + row.part.id"
              [options]="fluids"
              [value]="row.now[source] ?? null"
              (changed)="put(row.now, source, $event ?? null)"
            />
          }
          <fl-field
            [of]="fields.source"
            [field]="'source-' + row.part.id"
            placeholder="cap, plate, sheet"
            [value]="row.now.source"
            (changed)="put(row.now, 'source', $event)"
          />
          <fl-field
            [of]="fields.batch"
            [field]="'batch-' + row.part.id"
            [value]="row.now.batch"
            (changed)="put(row.now, 'batch', $event)"
          />
          @for (day of days; track day) {
            <fl-field
              [of]="fields[day]"
              [field]="day + row.part.id"
              [value]="row.now[day]"
              (changed)="put(row.now, day, $event)"
            />
          }
          @for (heat of heats; track heat) {
            <fl-field
              [of]="fields[heat]"
              [value]="row.now[heat]"
              (changed)="put(row.now, heat, $event)"
            />
          }
        </div>
        @if (row.differ) {
          <div class="mt-3 border-t border-rule pt-3" data-test="sources">
            <p class="font-bold">▲ {{ row.differ }}</p>
            <fl-field
              class="mt-2 max-w-xl"
              [of]="fields.why"
              [field]="'why-' + row.part.id"
              [value]="row.now.why ?? ''"
              (changed)="put(row.now, 'why', $event ?? '')"
            />
          </div>
        }
        <p class="mt-3 text-sm">{{ row.boil }}</p>
        @if (row.steps.length) {
          <div class="mt-3 border-t border-rule pt-3" data-test="change">
            <p class="font-bold text-stop">
              ✗
              {{
                row.never
                  ? 'Never change to or from mineral oil, unless every part’s sheet allows both.'
                  : 'Changing the kind of fluid. Do all of this first.'
              }}
            </p>
            @for (step of row.steps; track step.key) {
              <fl-check-field
                [label]="step.text"
                [checked]="row.now[step.key]"
                (changed)="put(row.now, step.key, $event)"
              />
            }
          </div>
        }
        <button type="button" class="btn mt-3" (click)="print(row.part.id)">Print cap label</button>
        @if (printing === row.part.id) {
          <div class="print-sheet hidden print:block">
            <p class="text-2xl font-bold">{{ row.fluid.name }} only</p>
            <p>
              {{ row.part.name }}. {{ row.now.filledOn ? 'Filled ' + row.now.filledOn : ''
              }}{{ row.now.nextOn ? ', replace by ' + row.now.nextOn : '' }}
            </p>
            <p class="text-sm">{{ row.fluid.mixes }}</p>
          </div>
        }
      </section>
    } @empty {
      <fl-empty-state
        heading="No reservoir yet"
        text="No reservoir yet. Add a master cylinder, a remote reservoir or a trailer actuator in Plumb."
      />
    }
    <p class="mt-4 max-w-prose text-sm text-ink-soft">
      Boiling points are the minimum of 49 CFR 571.116 (from memory); the bottle’s sheet comes
      first. Glycol absorbs water from the air. In silicone fluid, water pools at the lowest point.
    </p>
  `,
})
export class FluidsPage {
  protected readonly fields = FLUID_IN.fields;
  private readonly sheet = inject(FillFacade);
  private readonly store = inject(PlanStore);
  protected readonly fluids = FLUIDS.map(({ id, name }) => [id, name] as const);
  protected readonly sources = ['capId', 'plateId', 'sheetId'] as const;
  protected readonly days = ['openedOn', 'filledOn', 'nextOn'] as const;
  protected readonly heats = ['boilC', 'hotC'] as const;
  protected printing = '';
  protected readonly rows = computed(() =>
    reservoirParts(this.store.plan().parts).map((part: Part) => {
      const now = fluidIn(this.store.plan(), part.id);
      const fluid = fluidById(now.fluidId)!;
      const boil =
        fluid.dryBoilC === null
          ? 'No standard sets a boiling point.'
          : `Boils at ${fluid.dryBoilC} °C or more when new, ${fluid.wetBoilC} °C wet. ${now.boilC !== null && now.hotC !== null ? `Margin to boiling: ${now.boilC - now.hotC} °C.` : ''}`;
      return {
        part,
        now,
        fluid,
        boil: `${fluid.mixes} ${boil}`,
        differ: this.differWords(now),
        ...changeSteps(now.wasId, now.fluidId),
      };
    }),
  );
  /** What the sources name, where they do not all name the fluid that is chosen. */
  private differWords(now: ReservoirFluid): string {
    const named = sourcesThatDiffer(now).map(({ from, fluid }) => `${from} ${fluid.name}`);
    return named.length ? `Sources differ: ${named.join(', ')}.` : '';
  }
  protected put<K extends keyof ReservoirFluid>(
    now: ReservoirFluid,
    key: K,
    value: ReservoirFluid[K],
  ): void {
    this.sheet.apply({
      edit: 'putReservoirFluid',
      with: { reservoirFluid: { ...now, [key]: value } },
    });
  }
  protected print(part: string): void {
    this.printing = part;
    // The label is in the page before it is printed.
    setTimeout(() => printSheet({ widthMm: 90, heightMm: 45, marginMm: 4 }));
  }
}
