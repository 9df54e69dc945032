import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import {
  POSITION_SOURCE,
  type ResolvedPosition,
  type PositionSource,
  type Target,
  TAPE,
} from '@firm-line/core/plan';
import { DEFAULT_TAPE_SIGMA_MM, type Tape } from '@firm-line/core/shape/survey';
import { formatLength, parseLength } from '@firm-line/core/lib/units';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { LengthField } from '../../kit/fields/length-field';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { OffsetTable } from './offset-table';
import { TapeHelper } from './tape-helper';
import { FieldOf } from '../../kit/fields/field';

/** The tapes to one place, each with what it reads off the others, and the one to read again. */
@Component({
  selector: 'fl-tape-table',
  imports: [FieldOf, LengthField, OffsetTable, SelectField, TapeHelper, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-tape-helper [fixed]="fixed()" [datums]="datums()" [from]="from()" (taken)="wait($event)" />
    <div class="mt-2 overflow-x-auto">
      <table class="w-full text-left">
        <caption class="sr-only">
          Tape readings
        </caption>
        <thead class="text-sm text-ink-soft">
          <tr class="max-2xl:grid max-2xl:grid-cols-[1fr_5rem_4rem_4.5rem_3rem]">
            <th class="min-w-28 font-normal max-2xl:hidden">From</th>
            <th class="min-w-24 font-normal">Reading</th>
            <th class="min-w-18 font-normal">± (1σ)</th>
            <th
              class="min-w-16 font-normal"
              title="Distance from the hook to the datum’s mark, added to the reading"
            >
              Hook
            </th>
            <th class="w-14 pr-2 text-right font-normal">Error</th>
            <th class="w-12"><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          @for (tape of rows(); track $index; let i = $index) {
            <tr
              class="align-top max-2xl:grid max-2xl:grid-cols-[1fr_5rem_4rem_4.5rem_3rem]"
              [class.bg-copper-pale]="tape.suspect"
              [attr.data-suspect]="tape.suspect ? '' : null"
            >
              <td class="py-1 pr-2 max-2xl:col-span-full">
                <fl-select-field
                  [field]="'tape-from-' + (i + 1)"
                  [bare]="true"
                  [label]="'Datum of tape ' + (i + 1)"
                  [options]="datums()"
                  [value]="tape.from"
                  (changed)="set(i, { from: $event })"
                />
              </td>
              <td class="py-1 pr-2">
                <fl-length-field
                  [bare]="true"
                  [label]="'Tape ' + (i + 1) + ' reads'"
                  [valueMm]="tape.readMm"
                  [text]="tape.text ?? null"
                  [leastMm]="1"
                  (changed)="last = $event"
                  (typed)="set(i, { readMm: last, text: $event })"
                />
              </td>
              <td class="py-1 pr-2">
                <fl-field
                  [of]="fields.sigmaMm"
                  [label]="'Sigma of tape ' + (i + 1)"
                  [bare]="true"
                  [value]="tape.sigmaMm"
                  (changed)="set(i, { sigmaMm: $event })"
                />
              </td>
              <td class="py-1 pr-2">
                <fl-field
                  [of]="fields.hookMm"
                  [label]="'Hook of tape ' + (i + 1)"
                  [bare]="true"
                  [value]="tape.hookMm ?? 0"
                  (changed)="set(i, { hookMm: $event })"
                />
              </td>
              <td class="py-3 pr-2 text-right font-mono">{{ tape.off }}</td>
              <td class="py-1">
                <button
                  type="button"
                  class="btn w-11 px-0"
                  [attr.aria-label]="'Remove tape ' + (i + 1)"
                  (click)="remove(i)"
                >
                  ×
                </button>
              </td>
            </tr>
            @if (tape.suspect) {
              <tr class="bg-copper-pale max-2xl:block">
                <td colspan="6" class="px-2 pb-2 text-sm font-bold">△ Read this tape again</td>
              </tr>
            }
          }
          @for (from of waiting(); track from; let k = $index) {
            <tr class="align-top max-2xl:grid max-2xl:grid-cols-[1fr_5rem_4rem_4.5rem_3rem]">
              <td class="py-1 pr-2 max-2xl:col-span-full">
                <fl-select-field
                  [field]="'tape-from-' + (rows().length + k + 1)"
                  [bare]="true"
                  [label]="'Datum of tape ' + (rows().length + k + 1)"
                  [options]="datums()"
                  [value]="from"
                  (changed)="swap(from, $event)"
                />
              </td>
              <td class="py-1 pr-2" colspan="4">
                <fl-text-input
                  class="w-28"
                  [bare]="true"
                  [label]="'Tape ' + (rows().length + k + 1) + ' reads'"
                  placeholder="not measured"
                  shown=""
                  [read]="reading"
                  (taken)="$event !== null && readOff(from, $event)"
                />
              </td>
              <td class="py-1">
                <button
                  type="button"
                  class="btn w-11 px-0"
                  [attr.aria-label]="'Remove tape ' + (rows().length + k + 1)"
                  (click)="drop(from)"
                >
                  ×
                </button>
              </td>
            </tr>
          }
          @if (!rows().length && !waiting().length) {
            <tr>
              <td colspan="6" class="py-2 text-sm text-ink-soft">
                No tapes yet. Three locate the point, a fourth shows a mistake, a fifth shows which
                tape is wrong.
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <button type="button" class="btn" [disabled]="!datums().length" (click)="add()">
        Add tape
      </button>
      <span class="text-sm" aria-hidden="true">The point is</span>
      <fl-field
        [of]="sourceFields.side"
        field="tape-side"
        [bare]="true"
        [value]="known().side ?? 'above'"
        (changed)="changed.emit({ side: $event })"
      />
    </div>
    <fl-offset-table
      [known]="known()"
      [fixed]="fixed()"
      [datums]="datums()"
      (changed)="changed.emit($event)"
    />
  `,
})
export class TapeTable {
  protected readonly sourceFields = POSITION_SOURCE.fields;
  protected readonly fields = TAPE.fields;
  private readonly store = inject(PlanStore);
  readonly target = input.required<Target>();
  readonly known = input.required<PositionSource>();
  readonly fixed = input.required<ResolvedPosition>();
  readonly changed = output<Partial<PositionSource>>();

  /** Points that do not rest on this place themselves. */
  protected readonly datums = computed(() => {
    const points = this.store.plan().points ?? [];
    const rests = (id: string): boolean =>
      id === this.target().id ||
      (points.find((p) => p.id === id)?.known.tapes ?? []).some((tape) => rests(tape.from));
    return points.filter((point) => !rests(point.id));
  });
  private readonly tapes = computed(() => this.known().tapes ?? []);
  /** Datums of tapes that are to be pulled and are not read yet: nothing of the plan until they are. */
  protected readonly waiting = linkedSignal<string, readonly string[]>({
    source: computed(() => this.target().id),
    computation: () => [],
  });
  protected readonly from = computed(() => [
    ...this.tapes().map(({ from }) => from),
    ...this.waiting(),
  ]);
  protected readonly rows = computed(() =>
    this.tapes().map((tape, i) => {
      const off = this.fixed().survey?.residualsMm[i];
      const shown =
        off === undefined
          ? ''
          : this.store.units() === 'metric'
            ? figure(off, 1)
            : formatLength(off, 'inch');
      return {
        ...tape,
        sigmaMm: tape.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM,
        off: shown && off! > 0 && shown !== '0' ? `+${shown}` : shown,
        suspect: this.fixed().survey?.suspect === i,
      };
    }),
  );
  protected last = 0;
  private written = '';
  protected readonly reading = (text: string): Read<number | null> => {
    if (text === '') return { ok: true, value: null };
    const read = parseLength(text, this.store.units());
    if (!read.ok) return read;
    this.written = text;
    return read.value >= 1
      ? read
      : { ok: false, message: `Enter a tape reading of 1 mm or more; ${text} is too little.` };
  };

  protected set(index: number, patch: Partial<Tape>): void {
    this.changed.emit({
      tapes: this.tapes().map((tape, i) => (i === index ? { ...tape, ...patch } : tape)),
    });
  }
  protected add(): void {
    const used = new Set(this.from());
    const datum = this.datums().find((point) => !used.has(point.id));
    if (datum) this.wait([datum.id]);
  }
  protected wait(ids: readonly string[]): void {
    this.waiting.update((list) => [...list, ...ids.filter((id) => !list.includes(id))]);
  }
  protected drop(id: string): void {
    this.waiting.update((list) => list.filter((one) => one !== id));
  }
  protected swap(from: string, to: string): void {
    this.waiting.update((list) =>
      list.includes(to) ? list : list.map((one) => (one === from ? to : one)),
    );
  }
  protected readOff(from: string, readMm: number): void {
    this.changed.emit({
      tapes: [
        ...this.tapes(),
        { from, readMm, sigmaMm: DEFAULT_TAPE_SIGMA_MM, text: this.written },
      ],
    });
    this.drop(from);
  }
  protected remove(index: number): void {
    this.changed.emit({ tapes: this.tapes().toSpliced(index, 1) });
  }
}
