import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { figure } from '@firm-line/core/fault';
import type { ResolvedPosition, PositionSource, Target } from '@firm-line/core/plan';
import { DEFAULT_TAPE_SIGMA_MM, type Tape } from '@firm-line/core/survey';
import { formatLength } from '@firm-line/core/units';
import { LengthField } from '../../kit/fields/length-field';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';

/** The tapes to one place, each with what it reads off the others, and the one to read again. */
@Component({
  selector: 'fl-tape-table',
  imports: [LengthField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="w-full text-left">
      <caption class="sr-only">
        Tape readings
      </caption>
      <thead class="text-sm text-ink-soft">
        <tr>
          <th class="font-normal">From</th>
          <th class="w-28 font-normal">Read</th>
          <th class="w-20 font-normal">± (1σ)</th>
          <th class="w-20 pr-2 text-right font-normal">Off by</th>
          <th class="w-12"><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        @for (tape of rows(); track $index; let i = $index) {
          <tr class="align-top" [class.bg-copper-pale]="tape.suspect" [attr.data-suspect]="tape.suspect ? '' : null">
            <td class="py-1 pr-2">
              <fl-select-field
                [field]="'tape-from-' + (i + 1)"
                [bare]="true"
                [label]="'Datum of tape ' + (i + 1)"
                [options]="datums()"
                [value]="tape.from"
                (changed)="set(i, { from: $event })"
              />
              @if (tape.suspect) {
                <p class="px-1 pt-1 text-sm font-bold">△ Read this tape again</p>
              }
            </td>
            <td class="py-1 pr-2">
              <fl-length-field
                [bare]="true"
                [label]="'Tape ' + (i + 1) + ' reads'"
                [valueMm]="tape.readMm"
                [leastMm]="1"
                (changed)="set(i, { readMm: $event })"
              />
            </td>
            <td class="py-1 pr-2">
              <fl-length-field
                [bare]="true"
                [label]="'Sigma of tape ' + (i + 1)"
                [valueMm]="tape.sigmaMm"
                [leastMm]="0.1"
                [mostMm]="1000"
                (changed)="set(i, { sigmaMm: $event })"
              />
            </td>
            <td class="py-3 pr-2 text-right font-mono">{{ tape.off }}</td>
            <td class="py-1">
              <button type="button" class="btn w-11 px-0" [attr.aria-label]="'Remove tape ' + (i + 1)" (click)="remove(i)">
                ×
              </button>
            </td>
          </tr>
        } @empty {
          <tr>
            <td colspan="5" class="py-2 text-sm text-ink-soft">
              No tapes yet. Three fix the place; a fourth shows a mistake; with five the wrong one can be named.
            </td>
          </tr>
        }
      </tbody>
    </table>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <button type="button" class="btn" [disabled]="!datums().length" (click)="add()">Add tape</button>
      <span class="text-sm" aria-hidden="true">The place is</span>
      <fl-select-field
        field="tape-side"
        label="Side of the datums' plane"
        [bare]="true"
        [options]="sides"
        [value]="known().side ?? 'above'"
        (changed)="changed.emit({ side: $event })"
      />
    </div>
  `,
})
export class TapeTable {
  private readonly store = inject(PlanStore);
  readonly target = input.required<Target>();
  readonly known = input.required<PositionSource>();
  readonly fixed = input.required<ResolvedPosition>();
  readonly changed = output<Partial<PositionSource>>();

  protected readonly sides = [['above', 'above its datums'], ['below', 'below its datums']] as const; // prettier-ignore
  /** Points that do not rest on this place themselves. */
  protected readonly datums = computed(() => {
    const points = this.store.plan().points ?? [];
    const rests = (id: string): boolean =>
      id === this.target().id || (points.find((p) => p.id === id)?.known.tapes ?? []).some((tape) => rests(tape.from));
    return points.filter((point) => !rests(point.id));
  });
  private readonly tapes = computed(() => this.known().tapes ?? []);
  protected readonly rows = computed(() =>
    this.tapes().map((tape, i) => {
      const off = this.fixed().survey?.residualsMm[i];
      const shown = off === undefined ? '' : this.store.units() === 'metric' ? figure(off, 1) : formatLength(off, 'inch');
      return {
        ...tape,
        sigmaMm: tape.sigmaMm ?? DEFAULT_TAPE_SIGMA_MM,
        off: shown && off! > 0 && shown !== '0' ? `+${shown}` : shown,
        suspect: this.fixed().survey?.suspect === i,
      };
    }),
  );

  protected set(index: number, patch: Partial<Tape>): void {
    this.changed.emit({ tapes: this.tapes().map((tape, i) => (i === index ? { ...tape, ...patch } : tape)) });
  }
  protected add(): void {
    const used = new Set(this.tapes().map((tape) => tape.from));
    const datum = this.datums().find((point) => !used.has(point.id)) ?? this.datums()[0]!;
    const at = this.store.view().points.get(datum.id)!.fixed.atMm;
    const guess = Math.hypot(...this.fixed().atMm.map((v, i) => v - at[i]!));
    this.changed.emit({
      tapes: [...this.tapes(), { from: datum.id, readMm: Math.max(1, Math.round(guess)), sigmaMm: DEFAULT_TAPE_SIGMA_MM }],
    });
  }
  protected remove(index: number): void {
    this.changed.emit({ tapes: this.tapes().toSpliced(index, 1) });
  }
}
