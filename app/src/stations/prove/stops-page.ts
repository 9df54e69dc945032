import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ROUGH_KMH, scatterOf, stoppingDistance } from '@firm-line/core/physics/proof-tests';
import {
  balanceWords,
  changeWords,
  expectedStopM,
  stopAdvice,
} from '@firm-line/core/stations/prove';
import { STOP_TAKEN, LOCKED, type StopTest } from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { TextField } from '../../kit/fields/text-field';
import { LineChart, type ChartLine } from '../../kit/line-chart';
import { Toggle } from '../../kit/toggle';
import { PlanStore } from '../../session/plan-store';
import { FiguresForm } from './figures-form';
import { StopLogForm } from './stop-log-form';
import { ProveFacade } from './prove-facade';

/** Figures of a stop that are entered. */
type StopFigure = 'fromKmh' | 'distanceM' | 'valveTurns' | 'mfddMs2' | 'lockedAtMs2' | 'grip';

/** Stops by tape or decelerometer, before and after the work, at one speed; which axle locked first; pads bedded. */
@Component({
  selector: 'fl-stops-page',
  imports: [CheckField, FiguresForm, LineChart, StopLogForm, TextField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <h2 class="text-2xl font-bold">Stops</h2>
    <p class="mt-1 max-w-prose">
      Work up in steps: held still, walking pace, then a closed dry site. Bed the pads first. Use
      the same road and speed each time, measure with a tape, and change one thing per run.
    </p>
    <div class="mt-4 grid gap-5 xl:grid-cols-2">
      <section class="card p-5" aria-label="Record a stop">
        <div class="flex flex-wrap gap-3">
          <fl-toggle
            label="Before or after"
            [options]="whens"
            [value]="when()"
            (changed)="when.set($event)"
          />
          <fl-toggle
            label="Axle that locked first"
            [options]="locks"
            [value]="locked()"
            (changed)="locked.set($event)"
          />
          <fl-check-field label="Laden" [checked]="laden()" (changed)="laden.set($event)" />
        </div>
        <fl-stop-log-form class="mt-3" (taken)="log.set($event)" />
        <fl-figures-form
          class="mt-3"
          [fields]="fields"
          [keys]="keys()"
          [first]="log()"
          name="Record this stop"
          (taken)="take($event)"
        >
          <fl-text-field
            class="sm:col-span-3"
            field="changed"
            label="Changed since the stop before, besides the valve"
            placeholder="front pads"
            [limits]="{ least: 0, most: 200 }"
            [value]="changedBefore()"
            (changed)="changedBefore.set($event)"
          />
        </fl-figures-form>
        @if (advice()) {
          <p class="mt-3 font-semibold" data-test="advice">{{ advice() }}</p>
        }
        @for (words of besides(); track words) {
          <p class="mt-2" data-test="expected">{{ words }}</p>
        }
      </section>
      <section class="card p-5" aria-label="Before and after">
        <h3 class="h2">At {{ quantities().speed(compare(), 1) }}</h3>
        @for (one of means(); track one.name) {
          <p class="mt-1" data-test="mean">
            <span class="font-semibold">{{ one.name }}</span>: {{ one.words }}
          </p>
        } @empty {
          <p class="mt-1 text-ink-soft">
            Three stops before and three after give a better comparison than one each.
          </p>
        }
        @if (lines().length) {
          <fl-line-chart
            class="mt-3"
            label="Distance by run, before and after"
            [lines]="lines()"
            xName="run"
            yName="distance, m"
          />
        }
        @if (rough()) {
          <p class="mt-2 text-sm">
            ▲ Some distances are scaled by v² from a speed more than
            {{ quantities().speed(roughKmh, 1) }} away: approximate.
          </p>
        }
      </section>
    </div>
    @if (stops().length) {
      <div class="card mt-5 overflow-x-auto p-5">
        <table class="w-full text-left" data-test="stops">
          <thead class="text-sm text-ink-soft">
            <tr>
              <th class="py-1 pr-3 font-normal">Day</th>
              <th class="pr-3 font-normal">When</th>
              <th class="pr-3 text-right font-normal">From</th>
              <th class="pr-3 text-right font-normal">Distance</th>
              <th class="pr-3 text-right font-normal">Mean</th>
              <th class="pr-3 font-normal">Locked first</th>
              <th class="pr-3 font-normal">Valve</th>
              <th class="pr-3 font-normal">Load, change</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            @for (one of stops(); track one.id) {
              <tr class="border-t border-rule">
                <td class="py-1 pr-3">{{ one.at.slice(0, 10) }}</td>
                <td class="pr-3">{{ one.when }}</td>
                <td class="pr-3 text-right font-mono">{{ quantities().speed(one.fromKmh, 1) }}</td>
                <td class="pr-3 text-right font-mono">
                  {{ quantities().distance(one.distanceM, 2) }}
                </td>
                <td class="pr-3 text-right font-mono">{{ decel(one) }}</td>
                <td class="pr-3">{{ one.locked === 'rear' ? '✗ rear' : one.locked }}</td>
                <td class="pr-3">
                  {{ one.valveTurns === null ? '–' : one.valveTurns + ' turns' }}
                </td>
                <td class="pr-3">{{ one.laden ? 'laden' : '' }} {{ one.changed }}</td>
                <td class="text-right">
                  <button type="button" class="btn" (click)="remove(one.id)">Remove</button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
    <section class="card mt-5 p-5" aria-label="Bedding">
      <h3 class="h2">Bedding in, by the pad maker’s sheet</h3>
      @for (one of sheet.proving().bedding; track $index) {
        <p class="border-t border-rule py-1">{{ one.at.slice(0, 10) }}: {{ one.text }}</p>
      }
      <fl-text-field
        class="mt-2"
        field="bedding"
        label="Procedure done"
        placeholder="20 stops from 50 km/h, a minute between"
        [limits]="{ least: 0, most: 500 }"
        [value]="''"
        (changed)="bed($event)"
      />
    </section>
    <p class="mt-4 max-w-prose text-sm text-ink-soft">
      A brake that fails in a test kills bystanders too. Test on closed ground, with nobody near,
      driven by someone entitled to. Local rules say which tests count.
    </p>
  `,
})
export class StopsPage {
  protected readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  protected readonly quantities = this.store.quantities;
  protected readonly roughKmh = ROUGH_KMH;
  protected readonly whens = [
    { value: 'before', name: 'Before' },
    { value: 'after', name: 'After' },
  ] as const;
  protected readonly locks = LOCKED.map((value) => ({
    value,
    name: value === 'none' ? 'None locked' : value === 'front' ? 'Front first' : 'Rear first',
  }));
  protected readonly when = signal<StopTest['when']>('after');
  protected readonly locked = signal<StopTest['locked']>('none');
  protected readonly laden = signal(false);
  protected readonly changedBefore = signal('');
  /** What a logger's file came to. */
  protected readonly log = signal<Readonly<Partial<Record<StopFigure, number>>> | null>(null);
  protected readonly stops = computed(() => this.sheet.proving().stops);
  private readonly hasValve = computed(
    () => (this.store.plan().sizing?.rearValve ?? null) !== null,
  );
  protected readonly fields = STOP_TAKEN.fields;
  protected readonly keys = computed((): readonly StopFigure[] => [
    'fromKmh',
    'distanceM',
    ...(this.hasValve() ? (['valveTurns'] as const) : []),
    'mfddMs2',
    ...(this.locked() === 'none' ? [] : (['lockedAtMs2', 'grip'] as const)),
  ]);
  /** Distances are shown at the speed that most stops were made from. */
  protected readonly compare = computed(() => this.stops().at(-1)?.fromKmh ?? 50);
  private at({ fromKmh, distanceM }: StopTest): number {
    return stoppingDistance({ fromKmh, distanceM, compareKmh: this.compare() }).distanceAtCompareM;
  }
  protected readonly rough = computed(() =>
    this.stops().some(({ fromKmh }) => Math.abs(fromKmh - this.compare()) > ROUGH_KMH),
  );
  private readonly byWhen = computed(() =>
    (['before', 'after'] as const)
      .map((when) => ({
        when,
        distances: this.stops()
          .filter((one) => one.when === when)
          .map((one) => this.at(one)),
      }))
      .filter(({ distances }) => distances.length),
  );
  protected readonly means = computed(() =>
    this.byWhen().map(({ when, distances }) => {
      const { meanM, sigmaM } = scatterOf(distances);
      return {
        name: when === 'before' ? 'Before' : 'After',
        words: `${this.quantities().distance(meanM)}${sigmaM === null ? ', one run alone' : ` ± ${this.quantities().distance(2 * sigmaM)} of ${distances.length} runs`}, ${stoppingDistance({ fromKmh: this.compare(), distanceM: meanM }).g.toFixed(2)} g`,
      };
    }),
  );
  protected readonly lines = computed((): ChartLine[] =>
    this.byWhen().map(({ when, distances }) => ({
      name: when === 'before' ? 'before' : 'after',
      ink: when === 'before' ? 'slate' : 'copper',
      dots: true,
      points: distances.map((y, i) => ({ x: i + 1, y })),
    })),
  );
  protected readonly advice = computed(() => {
    const last = this.stops().at(-1);
    if (!last) return '';
    return `${last.locked === 'rear' ? '✗ ' : ''}${stopAdvice(last, this.sheet.view())}`;
  });
  /** What Size expects of the last stop, the balance that it shows, and what a change did. */
  protected readonly besides = computed((): readonly string[] => {
    const [before, last] =
      this.stops().slice(-2).length === 2
        ? this.stops().slice(-2)
        : [undefined, this.stops().at(-1)];
    if (!last) return [];
    const view = this.sheet.view();
    const expectedM = expectedStopM(last, view);
    const { distance, speed } = this.quantities();
    return [
      expectedM
        ? `Size expects ${distance(expectedM)} from ${speed(last.fromKmh)}, ${last.laden ? 'laden' : 'unladen'}.`
        : '',
      balanceWords(last, view),
      changeWords(before, last, view),
    ].filter(Boolean);
  });
  protected decel({ fromKmh, distanceM, mfddMs2 }: StopTest): string {
    return `${(mfddMs2 ?? stoppingDistance({ fromKmh, distanceM }).meanDecelMs2).toFixed(2)} m/s²`;
  }
  protected take(figures: Readonly<Partial<Record<StopFigure, number>>>): void {
    const changed = this.changedBefore().trim();
    this.sheet.apply({
      edit: 'addStopTest',
      with: {
        stopTest: {
          id: this.sheet.freshId('stop'),
          at: new Date().toISOString(),
          when: this.when(),
          locked: this.locked(),
          valveTurns: null,
          ...(figures as Pick<StopTest, 'fromKmh' | 'distanceM'>),
          ...(this.laden() ? { laden: true } : {}),
          ...(changed ? { changed } : {}),
        },
      },
    });
    this.log.set(null);
    this.changedBefore.set('');
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeStopTest', with: { id } });
  }
  protected bed(text: string): void {
    if (text.trim())
      this.sheet.apply({
        edit: 'recordBedding',
        with: { at: new Date().toISOString(), text: text.trim() },
      });
  }
}
