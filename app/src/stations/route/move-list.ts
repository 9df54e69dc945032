import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { movesOf, type LineView } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { formatMove, parseMove } from '@firm-line/core/lib/units/move';
import { SnagRow } from '../../pieces/snag-row';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';

/** The corners of a line as moves in words, one a row with its bend, its snags between them. */
@Component({
  selector: 'fl-move-list',
  imports: [SnagRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (snag of snagsAt(null); track $index) {
      <fl-snag-row class="border-b border-rule py-2" [snag]="snag" />
    }
    <p class="py-2 text-sm text-ink-soft">Starts at {{ from() }}.</p>
    <ol aria-label="Moves">
      @for (row of rows(); track row.node) {
        <li
          class="border-t border-rule py-1"
          [class.bg-copper-pale]="row.node === selection.node()"
          [class.bg-fluid-pale]="row.node === selection.pointed() && row.node !== selection.node()"
          (mouseenter)="selection.point(row.node)"
          (mouseleave)="selection.point(null)"
          (focusin)="selection.chooseNode(row.node)"
        >
          <div class="flex items-center gap-2 px-1">
            <span class="w-5 text-right text-sm" aria-hidden="true">{{ row.node }}</span>
            <input
              #field
              class="min-h-11 min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1 font-semibold hover:border-rule focus:border-ink-soft focus:bg-sheet"
              [value]="row.text"
              [attr.aria-label]="'Move to corner ' + row.node"
              [attr.aria-invalid]="faults()[row.node] ? true : null"
              autocomplete="off"
              spellcheck="false"
              data-test="move"
              (change)="change(row.node, field)"
              (keydown.escape)="reset(row.node, field)"
            />
            <span
              class="font-mono text-sm"
              [title]="row.bend ? 'Bend at this corner' : 'No bend here'"
              >{{ row.bend ? row.bendText : '–' }}</span
            >
            <button
              type="button"
              class="min-h-11 min-w-11 rounded-md font-semibold text-ink hover:bg-rule"
              [attr.aria-label]="'Delete corner ' + row.node"
              title="Delete this corner"
              (click)="remove(row.node)"
            >
              ×
            </button>
          </div>
          @if (faults()[row.node]; as text) {
            <p class="fault px-8">{{ text }}</p>
          }
          @if (row.node === selection.node() && row.bend) {
            <p class="px-8 text-sm">
              turn the bender {{ row.benderTurn }}, or the tube {{ row.tubeTurn }}
            </p>
          }
          @for (snag of snagsAt(row.node); track $index) {
            <fl-snag-row class="px-8 py-1" [snag]="snag" />
          }
        </li>
      }
      <li class="border-t border-rule px-1 py-2">
        <div class="flex items-baseline gap-2">
          <span class="w-5 text-right text-sm" aria-hidden="true">B</span
          ><span class="flex-1 px-1 font-semibold" data-test="last-move">{{ lastMove() }}</span>
        </div>
        <p class="px-8 text-sm text-ink-soft">to {{ to() }}</p>
        @for (snag of snagsAt(rows().length + 1); track $index) {
          <fl-snag-row class="px-8 py-1" [snag]="snag" />
        }
      </li>
    </ol>
    <p class="border-t border-rule py-2 text-sm text-ink-soft">{{ sure() }}</p>
  `,
})
export class MoveList {
  private readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  readonly view = input.required<LineView>();
  protected readonly faults = signal<Readonly<Record<number, string>>>({});

  private readonly moves = computed(() => movesOf(this.view().nodesMm));
  /** The first and the last move touch a measured port: no tape tells tenths there, so they are shown in whole mm. */
  protected readonly rows = computed(() => {
    const { card, line } = this.view();
    return line.cornersMm.slice(0, Math.max(this.moves().length - 1, 0)).map((_, i) => {
      const bend = card?.bends.find((b) => b.node === i + 1) ?? null;
      const deg = (value: number): string => `${figure(value)}°`;
      return {
        node: i + 1,
        text: formatMove(this.moves()[i]!, this.store.units(), i ? 1 : 0),
        bend,
        bendText: bend ? `${bend.bendDeg.toFixed(1)}°` : '',
        benderTurn: bend ? deg(bend.rotateDeg) : '',
        tubeTurn: bend ? deg(bend.tubeTurnDeg) : '',
      };
    });
  });
  protected readonly lastMove = computed(() => {
    const last = this.moves().at(-1);
    return last ? formatMove(last, this.store.units(), 0) : 'open end';
  });
  protected readonly from = computed(() => this.portName('a'));
  protected readonly to = computed(() => this.portName('b'));
  protected readonly sure = computed(() => {
    const { a, b } = this.view().ports;
    if (!a || !b) return '';
    if (a.fixed.guess || b.fixed.guess)
      return 'One end is an estimate, so no figure of this line is final.';
    const worst = 2 * Math.max(...a.fixed.sigmaMm, ...b.fixed.sigmaMm);
    return `Both ends measured, to ±${formatLengthUnit(worst, this.store.units(), 1)}.`;
  });

  private portName(end: 'a' | 'b'): string {
    const port = this.view().ports[end];
    return port ? `${port.part.name}, ${port.port.name}` : 'no port yet';
  }
  protected snagsAt(node: number | null) {
    const id = this.view().line.id;
    return this.store.laidOutSnags().filter(
      (snag) =>
        snag.place.kind === 'line' &&
        snag.place.id === id &&
        // What its ends are joined with is looked at in Join.
        snag.station !== 'join' &&
        (node === null ? (snag.place.node ?? 0) === 0 : snag.place.node === node),
    );
  }

  protected change(node: number, field: HTMLInputElement): void {
    const from = this.view().nodesMm[node - 1]!;
    const read = parseMove(field.value, this.store.units(), from[1]);
    if (!read.ok) return this.say(node, read.message);
    this.say(node, null);
    if (field.value.trim() === this.rows()[node - 1]!.text) return;
    this.store.apply({
      edit: 'setMove',
      with: { id: this.view().line.id, index: node - 1, moveMm: read.value },
    });
    field.value = this.rows()[node - 1]!.text;
  }
  protected reset(node: number, field: HTMLInputElement): void {
    this.say(node, null);
    field.value = this.rows()[node - 1]!.text;
  }
  protected remove(node: number): void {
    this.store.apply({ edit: 'removeCorner', with: { id: this.view().line.id, index: node - 1 } });
    this.selection.chooseNode(null);
  }
  private say(node: number, text: string | null): void {
    this.faults.update(({ [node]: _, ...others }) => (text ? { ...others, [node]: text } : others));
  }
}
