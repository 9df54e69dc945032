import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, output, signal, untracked, viewChild,
} from '@angular/core'; // prettier-ignore
import { figure } from '@firm-line/core/fault';
import type { Thing } from '@firm-line/core/frame';
import { lineSpace, lineView, snapPlace, snapsFor, type Line, type LineView, type Snaps } from '@firm-line/core/plan';
import { polyline } from '@firm-line/core/tube';
import { formatLength } from '@firm-line/core/units';
import type { Vec3 } from '@firm-line/core/vec';
import { afterPaint } from '../kit/after-paint';
import { hostSize } from '../kit/element-size';
import { idle } from '../kit/idle';
import { nearest, onPolyline } from '../pieces/flat-picking';
import { LengthField } from '../kit/fields/length-field';
import { PlanStore } from '../session/plan-store';
import { Selection } from '../session/selection';
import { DraggedLine } from '../worker/dragged-line';
import { PickedBox } from './picked-box';
import { pickedAt, type Picked } from './picked';
import type { HoseShown, Look, Stage } from './stage';

/** How near a tap must be to mean something, px: a gloved finger's. */
const REACH = { corner: 22, port: 14, clip: 12, line: 16 };
/** Snaps draw from this far, px. */
const SNAP_PX = 8;
const LOOKS: readonly (readonly [Look, string])[] = [
  ['around', 'Around'],
  ['above', 'From above'],
  ['left', 'Left'],
  ['right', 'Right'],
  ['front', 'Front'],
  ['rear', 'Rear'],
];
/** Along which axis a drag may go: for hands that have no Shift key. */
const ALONG = [[null, 'any'], [0, 'x'], [1, 'y'], [2, 'z']] as const; // prettier-ignore
const AXES = ['x, aft', 'y, right', 'z, up'] as const;

interface Drag {
  readonly node: number;
  readonly start: Vec3;
  /** What its place is drawn to; null where it is for others to say where it may go. */
  readonly snaps: Snaps | null;
  readonly grip: Vec3;
}

interface Named {
  readonly text: string;
  readonly x: number;
  readonly y: number;
}
const sameNames = (a: readonly Named[], b: readonly Named[]): boolean =>
  a.length === b.length && a.every((one, i) => one.text === b[i]!.text && one.x === b[i]!.x && one.y === b[i]!.y);

/** The vehicle with its lines in space: orbit, look from a side, pick, and drag corners of the chosen line. */
@Component({
  selector: 'fl-space-view',
  imports: [LengthField, PickedBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block overflow-hidden' },
  template: `
    <canvas
      #canvas
      class="absolute inset-0 h-full w-full touch-none"
      [class.cursor-grabbing]="drag()"
      role="img"
      [attr.aria-label]="label()"
      data-test="space"
      (pointerdown)="press($event)"
      (pointerup)="release($event)"
      (pointercancel)="breakOff()"
    ></canvas>
    @if (!ready()) {
      <p class="absolute inset-0 m-auto h-fit w-fit text-ink-soft">Drawing the vehicle…</p>
    }
    <div class="pointer-events-none absolute inset-0" aria-hidden="true">
      @for (name of names(); track name.text) {
        <span
          class="absolute -translate-y-full rounded bg-sheet/80 px-1 text-sm font-semibold whitespace-nowrap"
          [style.left.px]="name.x"
          [style.top.px]="name.y"
          >{{ name.text }}</span
        >
      }
    </div>
    @if (port(); as one) {
      <button type="button" class="btn absolute top-3 left-3 bg-sheet" data-test="port-box" (click)="portPicked.emit(one.id)">
        {{ one.name }}: see it in Measure
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
          @if (drag() && snapWords()) {
            <p class="text-sm" data-test="snapped">{{ snapWords() }}</p>
          }
        </div>
        @for (axis of [0, 1, 2]; track axis) {
          <fl-length-field class="w-28" [label]="axes[axis]!" [valueMm]="at.at[axis]!" (changed)="typed(at.node, axis, $event)" />
        }
        <div class="flex flex-wrap gap-1" role="group" aria-label="Drag along">
          <span class="label w-full" aria-hidden="true">Dragged along</span>
          @for (one of ALONG; track one[1]) {
            <button
              type="button"
              [class]="along() === one[0] ? 'btn-dark min-w-12 px-2' : 'btn min-w-12 px-2'"
              [attr.aria-pressed]="along() === one[0]"
              [attr.aria-label]="one[0] === null ? 'Drag any way' : 'Drag along ' + one[1] + ' only'"
              (click)="along.set(one[0])"
            >
              {{ one[1] }}
            </button>
          }
        </div>
      </section>
    }
    <div
      [class.hidden]="quiet()"
      class="absolute right-3 bottom-3 flex flex-wrap justify-end gap-2"
      role="group"
      aria-label="Look from"
    >
      @for (one of looks; track one[0]) {
        <button
          type="button"
          class="px-3"
          [class]="look() === one[0] ? 'btn-dark px-3' : 'btn bg-sheet px-3'"
          [attr.aria-pressed]="look() === one[0]"
          (click)="lookFrom(one[0])"
        >
          {{ one[1] }}
        </button>
      }
      <button type="button" class="btn bg-sheet px-3" (click)="zoom()" title="Bring what is chosen into the picture">
        {{ focus() ? 'Zoom to hose' : 'Zoom to line' }}
      </button>
      <ng-content />
    </div>
  `,
})
export class SpaceView {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private readonly draggedLine = inject(DraggedLine);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly size = hostSize({ width: 800, height: 480 });
  /** The chosen line as it is shown: the plan's, or as it is being dragged. */
  readonly view = input.required<LineView>();
  readonly ghost = input<readonly Vec3[] | null>(null);
  /** Hoses as they hang, with what moves with the one that is looked at. */
  readonly hoses = input<{ readonly hoses: readonly HoseShown[]; readonly moving: readonly Thing[] }>({ hoses: [], moving: [] });
  /** The only axis that a drag goes along; null: any way in the plane that is looked at. */
  protected readonly along = signal<number | null>(null);
  /** Places that the picture is brought to, and by which zooming goes, in place of the chosen line's. */
  readonly focus = input<readonly Vec3[] | null>(null);
  /** Corners of the line are not to be had while hoses are looked at. */
  readonly fixed = input(false);
  /** A place that can be taken hold of while hoses are looked at; where it is dragged to, and how it was let go. */
  readonly grip = input<Vec3 | null>(null);
  readonly gripMoved = output<Vec3>();
  readonly gripLeft = output<'kept' | 'broken off'>();
  /** Something moves by itself: pictures are to follow one another quickly. */
  readonly moving = input(false);
  /** Something else needs the room: no buttons to look from a side. */
  readonly quiet = input(false);
  /** The chosen line as it would be; null when nothing is dragged. */
  readonly dragged = output<LineView | null>();
  readonly portPicked = output<string>();
  readonly failed = output();

  protected readonly looks = LOOKS;
  protected readonly axes = AXES;
  protected readonly ALONG = ALONG;
  protected readonly look = signal<Look>('around');
  /** The port that was tapped last. */
  protected readonly port = signal<{ id: string; name: string } | null>(null);
  /** What of the chosen line was tapped last, while that line stands as it did. */
  protected readonly picked = computed(() => {
    const last = this.pickedLast();
    return last && last.line === this.view().line && !this.fixed() ? last.picked : null;
  });
  private readonly pickedLast = signal<{ readonly line: Line; readonly picked: Picked } | null>(null);
  protected readonly drag = signal<Drag | null>(null);
  protected readonly snapWords = signal('');
  /** Compared by what they say: drawing a picture that moves no name must not have the page gone through again. */
  protected readonly names = signal<readonly Named[]>([], { equal: sameNames });
  private readonly stage = signal<Stage | null>(null);
  protected readonly ready = computed(() => this.stage() !== null);

  protected readonly label = computed(
    () =>
      `The vehicle in space with ${this.store.view().lines.length} lines, ${this.view().line.name} chosen. Its corners stand in the list of moves.`,
  );
  protected readonly corner = computed(() => {
    const [view, node] = [this.view(), this.selection.node()];
    if (this.fixed() || node === null || node < 1 || node > view.line.cornersMm.length) return null;
    const bend = view.card?.bends.find((b) => b.node === node);
    const words = bend
      ? `bend ${figure(bend.bendDeg)}°, bender ${figure(bend.rotateDeg)}°`
      : view.fault?.node === node
        ? 'no room to bend'
        : 'no bend here';
    return { node, at: view.nodesMm[node]!, words };
  });
  /** What is drawn: the strip and the figures of an edit come first. */
  private readonly late = afterPaint(() => ({ laid: this.store.view(), view: this.view() }));
  private readonly laid = computed(() => this.late().laid);
  /** A line that is dragged is drawn at once. */
  private readonly drawnView = computed(() => (this.drag() ? this.view() : this.late().view));
  /** The same while edits leave them alone, so that they are not drawn anew. */
  private readonly things = computed(() => this.laid().plan.things);
  /** While it is dragged, the line is another object and still the same line. */
  private readonly chosenId = computed(() => this.drawnView().line.id);
  private readonly space = computed(() => lineSpace(this.laid().plan, this.drawnView()));

  constructor() {
    const destroy = inject(DestroyRef);
    let gone = false;
    destroy.onDestroy(() => {
      gone = true;
      this.stage()?.dispose();
    });
    effect(() => {
      const canvas = this.canvas().nativeElement;
      untracked(() => {
        // Bound by hand: a move that changes nothing must not have the page gone through.
        canvas.addEventListener('pointermove', (event) => this.move(event));
        // The plan can be read and edited before the scene is there.
        void idle()
          .then(() => import('./stage'))
          .then(({ Stage }) => {
            if (gone) return;
            this.stage.set(new Stage(canvas, () => this.placeNames()));
            if (!this.fixed()) this.draggedLine.prepare();
          })
          .catch(() => this.failed.emit());
      });
    });
    effect(() => {
      const { width, height } = this.size();
      this.stage()?.resize(width, height);
    });
    effect(() => this.stage()?.setThings(this.things()));
    effect(() => {
      this.stage()?.setPorts(
        [...this.laid().ports.values()].filter(({ port }) => port.role !== 'bleeder').map(({ fixed }) => fixed.atMm),
      );
    });
    effect(() => {
      const { plan, lines } = this.laid();
      const chosen = this.chosenId();
      const others = lines.filter((line) => line.line.id !== chosen && line.nodesMm.length > 1);
      const clips = others.flatMap((line) => (line.line.clipsMm.length ? (lineSpace(plan, line)?.clips ?? []) : [])).map((clip) => clip.pointMm); // prettier-ignore
      this.stage()?.setLines(
        others.map((line) => this.tube(line)),
        clips,
      );
    });
    effect(() => {
      const view = this.drawnView();
      const space = this.space();
      const tooNear = (space?.near ?? []).filter((near) => near.distanceMm < near.wantedMm);
      this.stage()?.setChosen(
        view.nodesMm.length > 1
          ? {
              ...this.tube(view),
              corners: this.handles(),
              corner: this.fixed() ? null : this.selection.node(),
              clips: (space?.clips ?? []).map((clip) => clip.pointMm),
              gaps: tooNear.map((near) => [near.onLine, near.onThing] as const),
            }
          : null,
      );
    });
    effect(() => this.stage()?.setGhost(this.ghost()));
    effect(() => this.stage()?.hurry(this.moving()));
    effect(() => this.stage()?.setPointed(this.selection.pointed()));
    effect(() => this.stage()?.setHoses(this.hoses().hoses, this.hoses().moving));
    let first = true;
    effect(() => {
      if (!this.stage() || !first) return;
      first = false;
      untracked(() => this.lookFrom('around'));
    });
    effect(() => {
      const places = this.focus();
      if (places) this.stage()?.zoomTo(places);
    });
  }

  /** What can be taken hold of: the corners of the chosen line, or the place that is given while hoses are looked at. */
  private readonly handles = computed((): readonly Vec3[] => {
    if (!this.fixed()) return this.drawnView().nodesMm.slice(1, -1);
    const grip = this.grip();
    return grip ? [grip] : [];
  });

  private tube(line: LineView): { points: readonly Vec3[]; radiusMm: number; ink: string } {
    const points = line.pieces.length ? polyline(line.pieces, 10) : line.nodesMm;
    return { points, radiusMm: line.tube.odMm / 2, ink: this.laid().circuits.get(line.line.circuitId)!.ink };
  }
  /** Every place of the vehicle's lines, or of the whole frame where there are none. */
  private places(): Vec3[] {
    return this.store.view().lines.flatMap((line) => line.nodesMm);
  }

  protected lookFrom(look: Look): void {
    this.look.set(look);
    this.stage()?.lookFrom(look, this.places());
  }
  protected zoom(): void {
    this.stage()?.zoomTo(this.focus() ?? this.view().nodesMm);
  }

  private placeNames(): void {
    const [stage, view] = [this.stage(), this.view()];
    if (!stage) return;
    const { dataset } = this.canvas().nativeElement;
    dataset['calls'] = String(stage.calls);
    // Where its handles lie, for whoever drives the page.
    dataset['handles'] = this.handles()
      .map((at) => stage.at(at))
      .map((seen) => (seen ? `${Math.round(seen.x)},${Math.round(seen.y)}` : '-'))
      .join(' ');
    const ends = (this.fixed() ? [] : [view.ports.a, view.ports.b]).flatMap((port) => {
      const at = port && stage.at(port.fixed.atMm);
      return at ? [{ text: port.part.name, x: Math.min(at.x + 10, this.size().width - 130), y: at.y - 14 }] : [];
    });
    this.names.set(ends);
  }

  private point(event: PointerEvent): readonly [number, number] {
    const box = this.canvas().nativeElement.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  }
  /** How far from a point of the canvas a place is seen. */
  private offPx(place: Vec3, x: number, y: number): number {
    const seen = this.stage()!.at(place);
    return seen ? Math.hypot(seen.x - x, seen.y - y) : Infinity;
  }
  /** The corner of the chosen line under the pointer. */
  private cornerUnder(x: number, y: number): number | null {
    const corners = this.handles().map((at, i) => ({ at, node: i + 1 }));
    return nearest(corners, REACH.corner, ({ at }) => this.offPx(at, x, y))?.node ?? null;
  }

  private pressed: readonly [number, number] | null = null;
  /** Where the dragged corner goes: the picture may be a step behind. */
  private wanted: Vec3 = [0, 0, 0];
  protected press(event: PointerEvent): void {
    const stage = this.stage();
    if (!stage || event.button > 0) return;
    const [x, y] = this.point(event);
    this.pressed = [x, y];
    this.port.set(null);
    this.pickedLast.set(null);
    const node = this.cornerUnder(x, y);
    if (node === null) return;
    if (!this.fixed()) this.selection.chooseNode(node);
    const start = this.handles()[node - 1]!;
    const grip = stage.under(x, y, start);
    if (!grip) return;
    stage.controls.enabled = false;
    this.canvas().nativeElement.setPointerCapture(event.pointerId);
    if (this.fixed()) return this.drag.set({ node, start, grip, snaps: null });
    const { plan, lines } = this.store.view();
    this.snapWords.set('');
    this.drag.set({ node, start, grip, snaps: snapsFor(plan, this.view(), node, lines) });
    this.wanted = start;
    this.draggedLine.begin((view) => this.dragged.emit(view));
  }

  private move(event: PointerEvent): void {
    const [stage, drag] = [this.stage(), this.drag()];
    const [x, y] = this.point(event);
    if (stage && !drag && !this.fixed()) this.selection.point(this.cornerUnder(x, y));
    if (!stage || !drag) return;
    const under = stage.under(x, y, drag.start);
    if (!under) return;
    const by = under.map((v, i) => v - drag.grip[i]!);
    const axis = event.shiftKey ? by.map(Math.abs).indexOf(Math.max(...by.map(Math.abs))) : this.along();
    const free = [0, 1, 2].map((i) => i !== stage.depthAxis && (axis === null || axis === i)) as [boolean, boolean, boolean];
    if (Math.hypot(...by) < 1e-9) return;
    const wanted = drag.start.map((v, i) => (free[i] ? v + by[i]! : v)) as unknown as Vec3;
    if (!drag.snaps) return this.gripMoved.emit(wanted);
    const near = stage.under(x + SNAP_PX, y, drag.start);
    const reachMm = near ? Math.hypot(...near.map((v, i) => v - under[i]!)) : 5;
    const { at, what } = snapPlace(wanted, free, drag.snaps, reachMm);
    this.snapWords.set(what.filter(Boolean).join('; '));
    const line = this.view().line;
    const cornersMm = line.cornersMm.map((corner, i) => (i === drag.node - 1 ? at : corner));
    this.wanted = at;
    this.draggedLine.measure(lineView({ ...line, cornersMm }, this.store.plan().bench, this.store.view().ports));
  }

  protected release(event: PointerEvent): void {
    const [drag, pressed] = [this.drag(), this.pressed];
    const [x, y] = this.point(event);
    this.pressed = null;
    if (drag) {
      const at = this.wanted;
      this.letGo();
      if (!drag.snaps) return this.gripLeft.emit('kept');
      if (at.some((v, i) => v !== drag.start[i])) this.place(drag.node, at);
      return;
    }
    if (!this.fixed() && pressed && Math.hypot(x - pressed[0], y - pressed[1]) < 5) this.pick(x, y);
  }
  /** Ends a drag that the browser took away: nothing of it is kept. */
  protected breakOff(): void {
    const drag = this.drag();
    this.letGo();
    if (drag && !drag.snaps) this.gripLeft.emit('broken off');
  }
  private letGo(): void {
    this.drag.set(null);
    this.draggedLine.end();
    const stage = this.stage();
    if (stage) stage.controls.enabled = true;
    this.dragged.emit(null);
  }
  private place(node: number, at: Vec3): void {
    const { id, cornersMm } = this.store.view().lines.find((v) => v.line.id === this.view().line.id)!.line;
    this.store.apply({
      edit: 'setCorners',
      with: { id, cornersMm: cornersMm.map((corner, i) => (i === node - 1 ? at : corner)) },
    });
  }
  protected typed(node: number, axis: number, mm: number): void {
    this.place(node, this.view().nodesMm[node]!.map((v, i) => (i === axis ? mm : v)) as unknown as Vec3);
  }

  /** A tap that is no drag: a port says its name and leads to Measure, a clip or a straight says what it is, another line is chosen; the air lets the corner go. */
  private pick(x: number, y: number): void {
    const stage = this.stage()!;
    const off = (at: Vec3): number => this.offPx(at, x, y);
    const ports = [...this.store.view().ports.values()].filter(({ port }) => port.role !== 'bleeder');
    const port = nearest(ports, REACH.port, ({ fixed }) => off(fixed.atMm));
    this.port.set(port && { id: port.port.id, name: `${port.part.name}, ${port.port.name}` });
    if (port) return;
    const clip = nearest(this.space()?.clips ?? [], REACH.clip, ({ pointMm }) => off(pointMm));
    if (clip) return this.choosePicked({ kind: 'clip', index: this.space()!.clips.indexOf(clip) });
    const touched = this.store.view().lines.flatMap((view) => {
      const seen = this.tube(view).points.map((p) => stage.at(p));
      return seen.length > 1 && seen.every((p) => p) ? [{ view, ...onPolyline([x, y], seen.map((p) => [p!.x, p!.y] as const)) }] : []; // prettier-ignore
    });
    const line = nearest(touched, REACH.line, ({ px }) => px);
    if (!line) return this.selection.chooseNode(null);
    if (line.view.line.id !== this.view().line.id) return this.selection.chooseLine(line.view.line.id);
    const picked = pickedAt(this.store.plan(), line.view, line.piece, line.share);
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

  protected mm(mm: number): string {
    return formatLength(mm, this.store.units());
  }
}
