import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  likelyColumns,
  PRESSURE_UNITS,
  readingsOf,
  readLoggerFile,
  TRAVEL_UNITS,
  type ColumnChoice,
  type LoggerFile,
} from '@firm-line/core/shape/formats';
import { InputError } from '@firm-line/core/lib/faults';
import type { PedalPoint } from '@firm-line/core/plan';
import { SelectField } from '../../kit/fields/select-field';
import { FileField } from '../../kit/fields/file-field';

/** Readings of any logger: which column is which, in what unit, and what to do with rows that are none. */
@Component({
  selector: 'fl-csv-form',
  imports: [FileField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-file-field
      label="Import a logger file (CSV)"
      look="min-h-14"
      accept=".csv,.txt,text/csv"
      [disabled]="disabled()"
      (picked)="open($event[0]!)"
    />
    @if (fault()) {
      <p class="fault mt-2" role="alert">{{ fault() }}</p>
    }
    @if (table(); as table) {
      <div class="mt-3 rounded-lg border border-rule p-3" data-test="csv">
        <div class="grid gap-3 sm:grid-cols-4">
          <fl-select-field
            field="csv-p"
            label="Pressure is in"
            [options]="columns()"
            [value]="'' + choice()!.pressure"
            (changed)="set({ pressure: +$event! })"
          />
          <fl-select-field
            field="csv-pu"
            label="in"
            [options]="pressureUnits"
            [value]="choice()!.pressureUnit"
            (changed)="set({ pressureUnit: $event! })"
          />
          <fl-select-field
            field="csv-t"
            label="Travel is in"
            [options]="columns()"
            [value]="'' + choice()!.travel"
            (changed)="set({ travel: +$event! })"
          />
          <fl-select-field
            field="csv-tu"
            label="in"
            [options]="travelUnits"
            [value]="choice()!.travelUnit"
            (changed)="set({ travelUnit: $event! })"
          />
        </div>
        <p class="mt-2 font-semibold">
          {{ read()!.points.length }} readings{{
            read()!.bad.length
              ? ', ' +
                read()!.bad.length +
                (read()!.bad.length === 1 ? ' row is not a reading:' : ' rows are not readings:')
              : ', every row read.'
          }}
        </p>
        <ul class="text-sm">
          @for (one of read()!.bad.slice(0, 6); track one.line) {
            <li>Line {{ one.line }}: {{ one.why }}.</li>
          }
        </ul>
        <div class="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            class="btn-main"
            [disabled]="!read()!.points.length"
            (click)="take()"
          >
            {{ read()!.bad.length ? 'Import the good rows' : 'Import readings' }}
          </button>
          <button type="button" class="btn" (click)="table$.set(null)">Cancel</button>
        </div>
      </div>
    }
  `,
})
export class CsvForm {
  readonly disabled = input(false);
  readonly taken = output<readonly PedalPoint[]>();
  protected readonly table$ = signal<LoggerFile | null>(null);
  protected readonly table = this.table$.asReadonly();
  protected readonly choice = signal<ColumnChoice | null>(null);
  protected readonly fault = signal('');
  protected readonly columns = computed(() =>
    (this.table()?.columns ?? []).map((name, i) => [String(i), name] as const),
  );
  protected readonly pressureUnits = (
    Object.keys(PRESSURE_UNITS) as (keyof typeof PRESSURE_UNITS)[]
  ).map((unit) => [unit, unit] as const);
  protected readonly travelUnits = (Object.keys(TRAVEL_UNITS) as (keyof typeof TRAVEL_UNITS)[]).map(
    (unit) => [unit, unit] as const,
  );
  protected readonly read = computed(() => {
    const [table, choice] = [this.table(), this.choice()];
    return table && choice && readingsOf(table, choice);
  });
  protected async open(file: File): Promise<void> {
    this.fault.set('');
    try {
      const table = readLoggerFile(await file.text());
      this.choice.set(likelyColumns(table));
      this.table$.set(table);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.fault.set(`${file.name}: ${error.message}`);
    }
  }
  protected set(patch: Partial<ColumnChoice>): void {
    this.choice.update((choice) => choice && { ...choice, ...patch });
  }
  protected take(): void {
    this.taken.emit(this.read()!.points);
    this.table$.set(null);
  }
}
