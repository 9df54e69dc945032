import { AIR_TEST } from '@firm-line/core/plan';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { AIR_MOST_J, airCeilingMPa, judgeAir, linesDigest } from '@firm-line/core/stations/prove';
import { replay } from '@firm-line/core/stations/fill';
import { PlanStore } from '../../session/plan-store';
import { FiguresForm } from './figures-form';
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
        Air test of dry lines (optional)
      </summary>
      <p class="mt-1">
        A joint that lets go under gas becomes a projectile: stand behind a shield. Test bare lines
        only, before any fluid, with both ends plugged. Use dry air or nitrogen through a regulator
        with a relief valve, never oxygen. The air test finds gross leaks and never replaces the
        hydraulic hold.
      </p>
      <p class="mt-2 text-lg font-bold text-stop">
        ✗ Maximum {{ quantities().pressure(ceiling(), 2) }}: a tenth of working pressure, never over
        {{ quantities().pressure(0.7, 2) }}, and in a large volume less: its gas must not store more
        than {{ mostJ }} J.
      </p>
      @if (wet()) {
        <p class="fault mt-2">
          The lines hold fluid. Never test a wet line with gas; the hold test finds leaks.
        </p>
      } @else {
        <fieldset class="mt-3">
          <legend class="label">Lines plugged together</legend>
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
            [fields]="fields()"
            [keys]="keys"
            [first]="first()"
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
  protected readonly quantities = this.store.quantities;
  protected readonly mostJ = AIR_MOST_J;
  protected readonly picked = signal<readonly string[]>([]);
  protected readonly ceiling = computed(() =>
    airCeilingMPa(this.store.plan().trailer?.actuatorMPa ?? WORKING_MPA, this.volume()),
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
  protected readonly keys = [
    'volumeMl',
    'startMPa',
    'endMPa',
    'startC',
    'endC',
    'minutes',
    'sigmaMPa',
    'sigmaC',
  ] as const;
  protected readonly first = computed(() => ({
    volumeMl: Math.round(this.volume() * 10) / 10,
    sigmaMPa: 0.003,
    sigmaC: 0.5,
  }));
  /** No gas over what these lines may be tested with. */
  protected readonly fields = computed(() => {
    const usual = [0, this.ceiling()] as const;
    const { startMPa, endMPa } = AIR_TEST.fields;
    return {
      ...AIR_TEST.fields,
      startMPa: { ...startMPa, usual },
      endMPa: { ...endMPa, usual },
    };
  });
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
      const loss = `${lossMlPerMin.toFixed(2)} ± ${(2 * lossSigmaMlPerMin).toFixed(2)} mL of free air per minute`;
      const words = !isNow
        ? '▲ Void: changed since.'
        : verdict === 'tight'
          ? `✓ Tight: ${loss}.${warming ? ' Pressure rose: the gas is warmer than the probe shows.' : ''}`
          : verdict === 'cannot-tell'
            ? `▲ Cannot tell: ${loss}. ${minutesNeeded!.toFixed(0)} minutes would be enough.`
            : `${verdict === 'leaks' ? '✗ Leaks' : '▲ Check again'}: ${loss}.`;
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
  protected take(figures: Readonly<Record<(typeof this.keys)[number], number>>): void {
    const rests = linesDigest(this.sheet.view(), this.picked());
    this.sheet.apply({
      edit: 'addAirTest',
      with: {
        airTest: {
          id: this.sheet.freshId('air'),
          at: new Date().toISOString(),
          lineIds: this.picked(),
          ...figures,
          limitMlPerMin: 0.1,
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
