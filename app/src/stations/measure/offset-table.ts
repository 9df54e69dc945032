import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { type PositionSource, type ResolvedPosition, OFFSET } from '@firm-line/core/plan';
import { DEFAULT_TAPE_SIGMA_MM, type Axis, type Offset } from '@firm-line/core/shape/survey';
import { formatLength, parseLength } from '@firm-line/core/lib/units';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { FieldOf } from '../../kit/fields/field';

/** What each tool reads: along the vehicle, across it, up from a datum. */
const AXES = [
  ['0', 'aft of datum'],
  ['1', 'right of datum'],
  ['2', 'above datum'],
] as const;

type Way = (typeof AXES)[number][0];

/** Readings along one axis beside the tapes: a plumb bob over the floor, a level, a straight edge. */
@Component({
  selector: 'fl-offset-table',
  imports: [FieldOf, SelectField, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    @for (row of rows(); track $index; let i = $index) {
      <div class="mt-2 flex flex-wrap items-end gap-2">
        <fl-field
          class="w-28"
          [of]="fields.readMm"
          [label]="i ? 'Offset ' + (i + 1) : 'Direction'"
          [bare]="i > 0"
          [value]="row.readMm"
          (changed)="set(i, { readMm: $event })"
        />
        <fl-select-field
          class="w-32"
          [field]="'offset-axis-' + (i + 1)"
          [bare]="true"
          [label]="'Direction of offset ' + (i + 1)"
          [options]="axes"
          [value]="row.way"
          (changed)="set(i, { axis: axisOf($event) })"
        />
        <fl-select-field
          class="min-w-40 flex-1"
          [field]="'offset-from-' + (i + 1)"
          [bare]="true"
          [label]="'Datum of offset ' + (i + 1)"
          [options]="datums()"
          [value]="row.from"
          (changed)="set(i, { from: $event })"
        />
        <fl-field
          class="w-20"
          [of]="fields.sigmaMm"
          [label]="i ? 'Sigma of offset ' + (i + 1) : '± (1σ)'"
          [bare]="i > 0"
          [value]="row.sigma"
          (changed)="set(i, { sigmaMm: $event })"
        />
        <span class="w-14 py-3 text-right font-mono">{{ row.off }}</span>
        <button
          type="button"
          class="btn w-11 px-0"
          [attr.aria-label]="'Remove offset ' + (i + 1)"
          (click)="remove(i)"
        >
          ×
        </button>
      </div>
    }
    @if (waits(); as next) {
      <div class="mt-2 flex flex-wrap items-end gap-2">
        <fl-text-input
          class="w-28"
          label="Direction"
          placeholder="not measured"
          shown=""
          [read]="reading"
          (taken)="$event !== null && readOff($event)"
        />
        <fl-select-field
          class="w-32"
          field="offset-axis-new"
          [bare]="true"
          label="Direction of the new offset"
          [options]="axes"
          [value]="next.way"
          (changed)="waits.set({ way: $event, from: next.from })"
        />
        <fl-select-field
          class="min-w-40 flex-1"
          field="offset-from-new"
          [bare]="true"
          label="Datum of the new offset"
          [options]="datums()"
          [value]="next.from"
          (changed)="waits.set({ way: next.way, from: $event })"
        />
        <button
          type="button"
          class="btn w-11 px-0"
          aria-label="Remove the new offset"
          (click)="waits.set(null)"
        >
          ×
        </button>
      </div>
    } @else {
      <button type="button" class="btn mt-2" [disabled]="!datums().length" (click)="add()">
        Add a plumb bob, level or straight edge
      </button>
    }
  `,
})
export class OffsetTable {
  protected readonly fields = OFFSET.fields;
  private readonly store = inject(PlanStore);
  readonly known = input.required<PositionSource>();
  readonly fixed = input.required<ResolvedPosition>();
  readonly datums = input.required<readonly { readonly id: string; readonly name: string }[]>();
  readonly changed = output<Partial<PositionSource>>();
  protected readonly axes = AXES;
  private readonly offsets = computed(() => this.known().offsets ?? []);
  protected readonly rows = computed(() =>
    this.offsets().map((one, i) => {
      const off = this.fixed().survey?.offsetResidualsMm?.[i];
      const shown =
        off === undefined
          ? ''
          : this.store.units() === 'metric'
            ? figure(off, 1)
            : formatLength(off, 'inch');
      return {
        ...one,
        way: String(one.axis) as Way,
        sigma: one.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM,
        off: shown,
      };
    }),
  );
  protected axisOf(way: string): Axis {
    return Number(way) as Axis;
  }
  protected set(index: number, patch: Partial<Offset>): void {
    this.changed.emit({
      offsets: this.offsets().map((one, i) => (i === index ? { ...one, ...patch } : one)),
    });
  }
  /** One that is to be read: nothing of the plan until it is. */
  protected readonly waits = signal<{ readonly way: Way; readonly from: string } | null>(null);
  protected readonly reading = (text: string): Read<number | null> =>
    text === '' ? { ok: true, value: null } : parseLength(text, this.store.units());
  protected add(): void {
    const way =
      (['2', '0', '1'] as const).find((one) => !this.rows().some((row) => row.way === one)) ?? '2';
    this.waits.set({ way, from: this.datums()[0]!.id });
  }
  protected readOff(readMm: number): void {
    const { way, from } = this.waits()!;
    this.changed.emit({
      offsets: [
        ...this.offsets(),
        { from, axis: this.axisOf(way), readMm, sigmaMm: DEFAULT_TAPE_SIGMA_MM },
      ],
    });
    this.waits.set(null);
  }
  protected remove(index: number): void {
    this.changed.emit({ offsets: this.offsets().toSpliced(index, 1) });
  }
}
