import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
} from '@angular/core';
import {
  likelySlowing,
  readLoggerFile,
  SLOWING_UNITS,
  slowingOf,
  TIME_UNITS,
  type LoggerFile,
  type SlowingChoice,
} from '@firm-line/core/shape/formats';
import { decelLog, type DecelLog } from '@firm-line/core/physics/proof-tests';
import { InputError } from '@firm-line/core/lib/faults';
import { FileField } from '../../kit/fields/file-field';
import { OptionalNumberField } from '../../kit/fields/optional-number-field';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { LineChart, type ChartLine } from '../../kit/line-chart';

/** A stop out of the log of a decelerometer or of a speed logger: which column is which, what it comes to, drawn over time. */
@Component({
  selector: 'fl-stop-log-form',
  imports: [FileField, LineChart, OptionalNumberField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-file-field
      label="Import a stop from a decelerometer or speed log (CSV)"
      look="min-h-14"
      accept=".csv,.txt,text/csv"
      (picked)="open($event[0]!)"
    />
    @if (fault() || found().fault; as fault) {
      <p class="fault mt-2" role="alert">{{ fault }}</p>
    }
    @if (choice(); as chosen) {
      <div class="mt-3 rounded-lg border border-rule p-3" data-test="stop-log">
        <div class="grid gap-3 sm:grid-cols-3">
          <fl-select-field
            field="log-t"
            label="Time is in"
            [options]="columns()"
            [value]="'' + chosen.time"
            (changed)="set({ time: +$event! })"
          />
          <fl-select-field
            field="log-tu"
            label="in"
            [options]="timeUnits"
            [value]="chosen.timeUnit"
            (changed)="set({ timeUnit: $event! })"
          />
          <fl-select-field
            field="log-s"
            label="Deceleration or speed is in"
            [options]="columns()"
            [value]="'' + chosen.slowing"
            (changed)="set({ slowing: +$event! })"
          />
          <fl-select-field
            field="log-su"
            label="in"
            [options]="slowingUnits"
            [value]="chosen.slowingUnit"
            (changed)="set({ slowingUnit: $event! })"
          />
          @if (isDecel()) {
            <fl-optional-number-field
              label="Body dips, degrees at 1 g"
              [value]="pitch()"
              none="not corrected"
              [least]="0"
              [most]="10"
              (changed)="pitch.set($event)"
            />
          }
        </div>
        @if (bad().length) {
          <p class="mt-2 font-semibold">
            {{ bad().length }} {{ bad().length === 1 ? 'row was' : 'rows were' }} left out. Line
            {{ bad()[0]!.line }}: {{ bad()[0]!.why }}.
          </p>
        }
        @if (found().log; as log) {
          <p class="mt-2 text-lg" data-test="stop-log-result">
            From {{ quantities().speed(log.fromKmh, 1) }} in
            {{ quantities().distance(log.distanceM, 1) }} and {{ log.seconds.toFixed(1) }} s. Mean
            fully developed deceleration <strong>{{ log.mfddMs2.toFixed(2) }} m/s²</strong>.
          </p>
          @if (isDecel()) {
            <p class="mt-1 text-sm">
              {{
                pitch()
                  ? 'Corrected for the dip of the body.'
                  : 'Not corrected for the dip of the body: each degree of dip reads 0.017 g too much. Compare the speed with the speedometer.'
              }}
              {{
                log.zeroMs2
                  ? 'Taken off: ' + log.zeroMs2.toFixed(2) + ' m/s² that it read before.'
                  : ''
              }}
            </p>
          }
          <fl-line-chart
            class="mt-2"
            label="The stop over time"
            [lines]="lines()"
            xName="time, s"
            [yName]="isDecel() ? 'deceleration, m/s²' : 'speed, m/s'"
          />
        }
        <div class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="btn-main" [disabled]="!found().log" (click)="take()">
            Use these figures
          </button>
          <button type="button" class="btn" (click)="table.set(null)">Cancel</button>
        </div>
      </div>
    }
  `,
})
export class StopLogForm {
  protected readonly quantities = inject(PlanStore).quantities;
  readonly taken = output<Pick<DecelLog, 'fromKmh' | 'distanceM' | 'mfddMs2'>>();
  protected readonly table = signal<LoggerFile | null>(null);
  private readonly chosen = signal<SlowingChoice | null>(null);
  protected readonly choice = computed(() => this.table() && this.chosen());
  protected readonly fault = signal('');
  protected readonly pitch = signal<number | null>(null);
  protected readonly columns = computed(() =>
    (this.table()?.columns ?? []).map((name, i) => [String(i), name] as const),
  );
  protected readonly timeUnits = (Object.keys(TIME_UNITS) as (keyof typeof TIME_UNITS)[]).map(
    (unit) => [unit, unit] as const,
  );
  protected readonly slowingUnits = (
    Object.keys(SLOWING_UNITS) as (keyof typeof SLOWING_UNITS)[]
  ).map((unit) => [unit, unit] as const);
  protected readonly isDecel = computed(() => {
    const choice = this.choice();
    return choice !== null && SLOWING_UNITS[choice.slowingUnit].of === 'decelMs2';
  });
  private readonly read = computed(() => {
    const [table, choice] = [this.table(), this.choice()];
    return table && choice ? slowingOf(table, choice) : { samples: [], bad: [] };
  });
  protected readonly bad = computed(() => this.read().bad);
  protected readonly found = computed((): { readonly log?: DecelLog; readonly fault?: string } => {
    const { samples } = this.read();
    if (!this.choice()) return {};
    try {
      return { log: decelLog({ samples, pitchDegPerG: this.pitch() ?? 0 }) };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { fault: error.message };
    }
  });
  protected readonly lines = computed((): ChartLine[] => [
    {
      name: this.isDecel() ? 'deceleration' : 'speed',
      ink: 'copper',
      points: this.read().samples.map(({ timeS, decelMs2, speedMs }) => ({
        x: timeS,
        y: Math.max(0, decelMs2 ?? speedMs ?? 0),
      })),
    },
  ]);

  protected async open(file: File): Promise<void> {
    this.fault.set('');
    try {
      const table = readLoggerFile(await file.text());
      this.chosen.set(likelySlowing(table));
      this.table.set(table);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.fault.set(`${file.name}: ${error.message}`);
    }
  }
  protected set(patch: Partial<SlowingChoice>): void {
    this.chosen.update((choice) => choice && { ...choice, ...patch });
  }
  protected take(): void {
    const { fromKmh, distanceM, mfddMs2 } = this.found().log!;
    this.taken.emit({ fromKmh, distanceM, mfddMs2 });
    this.table.set(null);
  }
}
