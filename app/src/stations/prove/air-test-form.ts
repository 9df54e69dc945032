import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { airCeilingMPa, judgeAir, linesDigest } from '@firm-line/core/stations/prove';
import { replay } from '@firm-line/core/stations/fill';
import { PlanStore } from '../../session/plan-store';
import { FiguresForm, type Figure } from './figures-form';
import { ProveFacade } from './prove-facade';

/** What brake lines are worked at where no figure says so, MPa. */
const WORKING_MPA = 7;

/** Dry gas in plugged lines before fluid: nobody must do it, and it never replaces the hold. */
@Component({
  selector: 'fl-air-test-form',
  imports: [FiguresForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <details class="card p-5" [open]="tests().length > 0">
      <summary class="flex min-h-tap items-center text-lg font-bold">
        Air test of dry lines (nobody must do it)
      </summary>
      <p class="mt-1">
        Before fluid, lines alone: both ends plugged; calipers, cylinders, master and reservoir off.
        Dry air or nitrogen through a regulator with a relief valve, behind a shield. Never oxygen.
        It finds gross leaks and never replaces the hydraulic hold.
      </p>
      <p class="mt-2 text-lg font-bold text-stop">
        ✗ At most {{ ceiling().toFixed(2) }} MPa ({{ (ceiling() * 145.04).toFixed(0) }} psi): a
        tenth of what the lines are worked at, and never over 0.7.
      </p>
      @if (wet()) {
        <p class="fault mt-2">
          Fluid has gone in: a wet line is not tested with gas. The hold finds its leaks.
        </p>
      } @else {
        <fieldset class="mt-3">
          <legend class="label">Lines that are plugged together</legend>
          <div class="mt-1 flex flex-wrap gap-2">
            @for (line of lines(); track line.id) {
              <button
                type="button"
                [class]="picked().includes(line.id) ? 'btn-dark' : 'btn'"
                [attr.aria-pressed]="picked().includes(line.id)"
                (click)="pick(line.id)"
              >
                {{ line.name }}{{ picked().includes(line.id) ? ' ✓' : '' }}
              </button>
            }
          </div>
        </fieldset>
        @if (picked().length) {
          <fl-figures-form
            class="mt-3"
            [figures]="figures()"
            name="Take this test"
            (taken)="take($event)"
          />
        }
      }
      <ul class="mt-3">
        @for (one of tests(); track one.id) {
          <li
            class="flex flex-wrap items-center gap-3 border-t border-rule py-2"
            data-test="air-test"
          >
            <span class="font-semibold">{{ one.names }}</span><span [class]="one.ink">{{
              one.words
            }}</span
            ><button type="button" class="btn ml-auto" (click)="remove(one.id)">Remove</button>
          </li>
        }
      </ul>
    </details>
  `,
})
export class AirTestForm {
  private readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  protected readonly picked = signal<readonly string[]>([]);
  protected readonly ceiling = computed(() =>
    airCeilingMPa(this.store.plan().trailer?.actuatorMPa ?? WORKING_MPA),
  );
  protected readonly wet = computed(() =>
    this.store
      .plan()
      .filling.runs.some((run) => replay(run).state.corners.some(({ ml }) => ml > 0)),
  );
  protected readonly lines = computed(() => this.sheet.view().lines.map(({ line }) => line));
  private readonly volume = computed(() =>
    this.sheet
      .view()
      .lines.filter(({ line }) => this.picked().includes(line.id))
      .reduce((sum, { volumeMl }) => sum + volumeMl, 0),
  );
  protected readonly figures = computed((): Figure[] => [
    {
      key: 'volumeMl',
      label: 'Volume with its hoses, mL',
      least: 0.1,
      most: 1e6,
      first: Math.round(this.volume() * 10) / 10,
    },
    { key: 'startMPa', label: 'Pressure at first, MPa', least: 0, most: this.ceiling() },
    { key: 'endMPa', label: 'Pressure at the end, MPa', least: 0, most: this.ceiling() },
    { key: 'startC', label: 'Temperature at first, °C', least: -60, most: 100 },
    { key: 'endC', label: 'Temperature at the end, °C', least: -60, most: 100 },
    { key: 'minutes', label: 'Minutes', least: 0.1, most: 10_000 },
    { key: 'sigmaMPa', label: 'The gauge is good to, MPa', least: 0, most: 10, first: 0.003 },
    { key: 'sigmaC', label: 'The probe is good to, °C', least: 0, most: 100, first: 0.5 },
  ]);
  protected readonly tests = computed(() =>
    this.sheet.proving().airTests.map((test) => {
      const {
        verdict,
        lossMlPerMin,
        lossSigmaMlPerMin = 0,
        minutesNeeded,
        warming,
      } = judgeAir(test);
      const isNow = test.rests === linesDigest(this.sheet.view(), test.lineIds);
      const names =
        this.lines()
          .filter(({ id }) => test.lineIds.includes(id))
          .map(({ name }) => name)
          .join(', ') || 'Lines that are gone';
      const loss = `${lossMlPerMin.toFixed(2)} ± ${(2 * lossSigmaMlPerMin).toFixed(2)} mL of free air a minute`;
      const words = !isNow
        ? '▲ Void: changed since.'
        : verdict === 'tight'
          ? `✓ Tight: ${loss}.${warming ? ' It gained: it is warmer than the probe says.' : ''}`
          : verdict === 'cannot-tell'
            ? `▲ Cannot tell: ${loss}. ${minutesNeeded!.toFixed(0)} minutes would.`
            : `${verdict === 'leaks' ? '✗ Leaks' : '▲ Watch it'}: ${loss}.`;
      return {
        id: test.id,
        names,
        words,
        ink:
          !isNow || verdict === 'cannot-tell' || verdict === 'watch'
            ? 'text-ink'
            : verdict === 'tight'
              ? 'text-ok'
              : 'text-stop',
      };
    }),
  );
  protected pick(id: string): void {
    this.picked.update((ids) =>
      ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id],
    );
  }
  protected take(said: Record<string, number>): void {
    const { volumeMl, startMPa, endMPa, startC, endC, minutes, sigmaMPa, sigmaC } = said as Record<
      'volumeMl' | 'startMPa' | 'endMPa' | 'startC' | 'endC' | 'minutes' | 'sigmaMPa' | 'sigmaC',
      number
    >;
    const rests = linesDigest(this.sheet.view(), this.picked());
    this.sheet.apply({
      edit: 'addAirTest',
      with: {
        airTest: {
          id: this.sheet.freshId('air'),
          at: new Date().toISOString(),
          lineIds: this.picked(),
          volumeMl,
          startMPa,
          endMPa,
          startC,
          endC,
          minutes,
          limitMlPerMin: 0.1,
          sigmaMPa,
          sigmaC,
          rests,
        },
      },
    });
    this.picked.set([]);
  }
  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeAirTest', with: { id } });
  }
}
