import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { lineSpace, type Line, type LineView, VIBRATION } from '@firm-line/core/plan';
import { formatLength, formatLengthUnit, parseLength } from '@firm-line/core/lib/units';
import { TextInput, type Read } from '../../kit/fields/text-input';
import { LengthField } from '../../kit/fields/length-field';
import { PlanStore } from '../../session/plan-store';
import { Disclosure } from '../../kit/disclosure';
import { FieldOf } from '../../kit/fields/field';

const SLEEVES = { heat: 'Heat sleeve', chafe: 'Chafe sleeve' } as const;
/** A stretch along the line: where it runs, what it is called, and how the line is written with it changed or without it. */
interface Row {
  readonly list: 'sleeves' | 'shakes';
  readonly index: number;
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly hz: number | null;
}

/** Where the chosen line is clipped, sleeved and shaken, figure by figure along it from end A. */
@Component({
  selector: 'fl-line-holding',
  imports: [Disclosure, FieldOf, LengthField, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure
      class="border-b border-rule px-4 py-1"
      data-test="line-holding"
      summary="Clips, sleeves, vibration…"
    >
      <p class="text-sm text-ink-soft">
        Positions are measured along the bent tube from end A. Length: {{ full(lengthMm()) }}.
        Vibration where nothing is entered: {{ holding().engineHz }} Hz near the engine,
        {{ holding().frameHz }} Hz elsewhere.
      </p>
      <fl-text-input
        class="mt-1"
        [id]="'clips-at'"
        label="Clips at"
        placeholder="none: 150, 450, 900"
        [shown]="clips()"
        [read]="readClips"
        (taken)="patch({ clipsMm: $event })"
      />
      @for (row of rows(); track row.list + row.index) {
        <fieldset class="mt-1 flex flex-wrap items-end gap-2 border-t border-rule py-2">
          <legend class="label pr-2">{{ row.name }}</legend>
          <fl-length-field
            class="w-20"
            label="From"
            [leastMm]="0"
            [mostMm]="row.toMm - 1"
            [valueMm]="row.fromMm"
            (changed)="change(row, { fromMm: $event })"
          />
          <fl-length-field
            class="w-20"
            label="To"
            [leastMm]="row.fromMm + 1"
            [valueMm]="row.toMm"
            (changed)="change(row, { toMm: $event })"
          />
          @if (row.hz !== null) {
            <fl-field
              class="w-20"
              [of]="fields.hz"
              [value]="row.hz"
              (changed)="change(row, { hz: $event })"
            />
          }
          <button
            type="button"
            class="btn px-3"
            [attr.aria-label]="'Remove: ' + row.name + ' from ' + full(row.fromMm)"
            (click)="change(row, null)"
          >
            Remove
          </button>
        </fieldset>
      }
      <div class="flex flex-wrap gap-2 py-2">
        <button type="button" class="btn px-3" (click)="sleeve('heat')">Add heat sleeve</button>
        <button type="button" class="btn px-3" (click)="sleeve('chafe')">Add chafe sleeve</button>
        <button type="button" class="btn px-3" (click)="shake()">Add vibration</button>
      </div>
    </fl-disclosure>
  `,
})
export class LineHolding {
  protected readonly fields = VIBRATION.fields;
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  protected readonly holding = computed(() => this.store.plan().clipSettings);
  private readonly space = computed(() => lineSpace(this.store.view().plan, this.view()));
  protected readonly lengthMm = computed(() => this.space()?.lengthMm ?? 0);
  protected readonly clips = computed(() =>
    this.view()
      .line.clipsMm.map((at) => formatLength(at, this.store.units()))
      .join(', '),
  );
  protected readonly rows = computed((): readonly Row[] => {
    const { sleeves, shakes } = this.view().line;
    return [
      ...sleeves.map((one, index) => ({
        ...one,
        list: 'sleeves' as const,
        index,
        name: SLEEVES[one.kind],
        hz: null,
      })),
      ...shakes.map((one, index) => ({
        ...one,
        list: 'shakes' as const,
        index,
        name: 'Vibration frequency',
      })),
    ];
  });
  protected full(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }

  /** Every place as it is typed, in any order; one that cannot be read or lies off the tube leaves all as it was. */
  protected readonly readClips = (text: string): Read<readonly number[]> => {
    const clipsMm: number[] = [];
    for (const word of text.split(/[,;]+|\s{2,}/).filter((one) => one.trim())) {
      const read = parseLength(word.trim(), this.store.units());
      if (!read.ok) return read;
      if (!(read.value > 0 && read.value < this.lengthMm()))
        return {
          ok: false,
          message: `No room for a clip at ${word.trim()}: the tube runs from 0 to ${this.full(this.lengthMm())}.`,
        };
      clipsMm.push(read.value);
    }
    return { ok: true, value: [...new Set(clipsMm)].sort((a, b) => a - b) };
  };

  /** A sleeve where the line comes too near to something it would help against, else over all of it. */
  protected sleeve(kind: 'heat' | 'chafe'): void {
    const near = this.space()?.near.find(
      ({ stretchMm, thing }) => stretchMm && (thing.nature === 'hot') === (kind === 'heat'),
    );
    const [from, to] = near?.stretchMm ?? [0, this.lengthMm()];
    this.patch({
      sleeves: [
        ...this.view().line.sleeves,
        { fromMm: Math.floor(from), toMm: Math.ceil(to), kind },
      ],
    });
  }
  protected shake(): void {
    const toMm = Math.ceil(this.lengthMm());
    this.patch({
      shakes: [...this.view().line.shakes, { fromMm: 0, toMm, hz: this.holding().engineHz }],
    });
  }
  /** A row with other figures; taken off where there are none. */
  protected change(
    { list, index }: Row,
    to: (Partial<Pick<Row, 'fromMm' | 'toMm'>> & { hz?: number }) | null,
  ): void {
    const changed = <T>(all: readonly T[]): T[] =>
      all.flatMap((one, i) => (i !== index ? [one] : to ? [{ ...one, ...to }] : []));
    const { sleeves, shakes } = this.view().line;
    this.patch(list === 'sleeves' ? { sleeves: changed(sleeves) } : { shakes: changed(shakes) });
  }
  protected patch(patch: Partial<Line>): void {
    this.store.apply({ edit: 'changeLine', with: { id: this.view().line.id, patch } });
  }
}
