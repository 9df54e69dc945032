import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import { lineView, type Line, type LineView } from '@firm-line/core/plan';
import { snapPlace, snapsFor, type Snaps } from '@firm-line/core/plan/layout/snap';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { worstBy } from '../../kit/level-sign';
import { VectorField } from '../../kit/fields/vector-field';
import { Toggle, type ToggleChoice } from '../../kit/toggle';
import { SpaceView, type Dragged, type Marked, type Tapped } from '../../scene/space-view';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { DraggedLine } from '../../worker/dragged-line';
import { pickedAt, type Picked } from './picked';
import { PickedBox } from './picked-box';

/** Along which axis a drag may go: for hands that have no Shift key. */
const ALONG: readonly ToggleChoice<number | null>[] = [
  { value: null, name: 'any', said: 'Drag any way' },
  ...['x', 'y', 'z'].map((name, value) => ({ value, name, said: `Drag along ${name} only` })),
];
/** The corner that is being dragged: what its place is drawn to, and where it goes, as the picture may be a step behind. */
interface CornerDrag {
  readonly node: number;
  readonly snaps: Snaps;
  readonly from: Vec3;
  to: Vec3;
}

/** The chosen line in space: its corners are dragged and typed, its clips and straights tapped. */
@Component({
  selector: 'fl-line-in-space',
  imports: [PickedBox, SpaceView, Toggle, VectorField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex' },
  template: `
    <fl-space-view
      class="flex-1"
      [laid]="store.view()"
      [view]="view()"
      [ghost]="ghost()"
      [marks]="marks()"
      [handles]="corners()"
      [chosen]="selection.node()"
      [pointed]="selection.pointed()"
      [along]="along()"
      (shown)="isShown.set(true)"
      (hovered)="selection.point($event)"
      (pressed)="forget()"
      (grasped)="grasp($event)"
      (dragged)="moved($event)"
      (letGo)="letGo($event)"
      (tapped)="tapped($event)"
      (failed)="failed.emit()"
    >
      @if (port(); as one) {
        <button
          type="button"
          class="btn absolute top-3 left-3 bg-sheet"
          data-test="port-box"
          (click)="portPicked.emit(one.id)"
        >
          {{ one.name }}: show in Measure
        </button>
      } @else if (picked(); as one) {
        <fl-picked-box
          class="absolute top-3 right-3 left-3"
          [view]="view()"
          [picked]="one"
          data-test="picked-box"
          (put)="putIn($event)"
        />
      } @else if (corner(); as at) {
        <section
          class="card absolute top-3 right-3 left-3 flex flex-wrap items-end gap-x-4 gap-y-1 px-3 py-2"
          [attr.aria-label]="'Corner ' + at.node"
          data-test="corner-box"
        >
          <div class="min-w-44 flex-1 self-center">
            <h2 class="h2">Corner {{ at.node }}</h2>
            <p class="font-mono text-sm">{{ at.words }}</p>
            @if (snapWords(); as words) {
              <p class="text-sm" data-test="snapped">{{ words }}</p>
            }
          </div>
          <div class="grid grid-cols-3 gap-3 sm:w-96">
            <fl-vector-field [valueMm]="at.at" (changed)="place(at.node, $event)" />
          </div>
          <div>
            <span class="label" aria-hidden="true">Dragged along</span>
            <fl-toggle
              label="Drag along"
              [options]="ALONG"
              [value]="along()"
              (changed)="along.set($event)"
            />
          </div>
        </section>
      }
      <ng-container beside><ng-content /></ng-container>
    </fl-space-view>
  `,
})
export class LineInSpace {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  private readonly draggedLine = inject(DraggedLine);
  /** The chosen line as it is shown: the plan's, or as it is being dragged. */
  readonly view = input.required<LineView>();
  readonly ghost = input<readonly Vec3[] | null>(null);
  /** The chosen line as it would be; null when nothing is dragged. */
  readonly dragged = output<LineView | null>();
  readonly portPicked = output<string>();
  readonly failed = output();

  protected readonly ALONG = ALONG;
  protected readonly along = signal<number | null>(null);
  protected readonly snapWords = signal('');
  protected readonly corners = computed(() => this.view().nodesMm.slice(1, -1));
  /** Corners and ends of this line that snags are about, each with the worst of them. */
  protected readonly marks = computed((): readonly Marked[] => {
    const { line, nodesMm } = this.view();
    const worst = worstBy(this.store.snags(), ({ place }) =>
      place.kind === 'line' && place.id === line.id ? place.node : undefined,
    );
    return [...worst].flatMap(([node, level]) => {
      const at = nodesMm[node];
      return at ? [{ at, level }] : [];
    });
  });
  /** The port that was tapped last. */
  protected readonly port = signal<{ readonly id: string; readonly name: string } | null>(null);
  private readonly pickedLast = signal<{ readonly line: Line; readonly picked: Picked } | null>(
    null,
  );
  /** What of the chosen line was tapped last, while that line stands as it did. */
  protected readonly picked = computed(() => {
    const last = this.pickedLast();
    return last && last.line === this.view().line ? last.picked : null;
  });
  protected readonly corner = computed(() => {
    const [view, node] = [this.view(), this.selection.node()];
    if (node === null || node < 1 || node > view.line.cornersMm.length) return null;
    const bend = view.card?.bends.find((b) => b.node === node);
    const words = bend
      ? `bend ${figure(bend.bendDeg)}°, bender ${figure(bend.rotateDeg)}°`
      : view.fault?.node === node
        ? 'no room to bend'
        : 'no bend';
    return { node, at: view.nodesMm[node]!, words };
  });
  private drag: CornerDrag | null = null;

  protected readonly isShown = signal(false);
  constructor() {
    // The snags come first: the worker of a drag would take a processor from them.
    effect(() => {
      if (this.isShown() && this.store.isJudged()) untracked(() => this.draggedLine.prepare());
    });
  }

  protected forget(): void {
    this.port.set(null);
    this.pickedLast.set(null);
  }
  protected grasp(node: number): void {
    this.selection.chooseNode(node);
    const { plan, lines } = this.store.view();
    const at = this.view().nodesMm[node]!;
    this.drag = { node, snaps: snapsFor(plan, this.view(), node, lines), from: at, to: at };
    this.draggedLine.begin((view) => this.dragged.emit(view));
  }
  protected moved({ at: wanted, free, snapMm }: Dragged): void {
    const { drag } = this;
    if (!drag) return;
    const { at, what } = snapPlace(wanted, free, drag.snaps, snapMm);
    this.snapWords.set(what.filter(Boolean).join('; '));
    drag.to = at;
    const line = this.view().line;
    const cornersMm = line.cornersMm.map((corner, i) => (i === drag.node - 1 ? at : corner));
    this.draggedLine.measure(
      lineView({ ...line, cornersMm }, this.store.plan().bench, this.store.view().ports),
    );
  }
  protected letGo(how: 'kept' | 'broken off'): void {
    const { drag } = this;
    this.drag = null;
    this.snapWords.set('');
    this.draggedLine.end();
    this.dragged.emit(null);
    if (how === 'kept' && drag?.to.some((v, i) => v !== drag.from[i]))
      this.place(drag.node, drag.to);
  }
  protected place(node: number, at: Vec3): void {
    const { id, cornersMm } = this.store
      .view()
      .lines.find((v) => v.line.id === this.view().line.id)!.line;
    this.store.apply({
      edit: 'setCorners',
      with: { id, cornersMm: cornersMm.map((corner, i) => (i === node - 1 ? at : corner)) },
    });
  }

  /** A port says its name and leads to Measure, a clip or a straight says what it is, another line is chosen; the air lets the corner go. */
  protected tapped(tapped: Tapped): void {
    if (tapped.kind === 'port') {
      const { part, port } = this.store.view().ports.get(tapped.id)!;
      return this.port.set({ id: port.id, name: `${part.name}, ${port.name}` });
    }
    if (tapped.kind === 'clip') return this.choosePicked(tapped);
    if (tapped.kind === 'air') return this.selection.chooseNode(null);
    if (tapped.view.line.id !== this.view().line.id)
      return this.selection.chooseLine(tapped.view.line.id);
    const picked = pickedAt(this.store.plan(), tapped.view, tapped.piece, tapped.share);
    if (picked?.kind === 'bend') return this.selection.chooseNode(picked.node);
    this.choosePicked(picked);
  }
  private choosePicked(picked: Picked | null): void {
    this.selection.chooseNode(null);
    this.pickedLast.set(picked && { line: this.view().line, picked });
  }
  protected putIn(node: number | null): void {
    this.pickedLast.set(null);
    this.selection.chooseNode(node);
  }
}
