import { mapVec, type Vec3 } from '@firm-line/core/lib/vec';
import {
  type ElementRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { Thing } from '@firm-line/core/shape/obstacles';
import { lineSpace, type LaidPlan, type LineView } from '@firm-line/core/plan';
import { polyline } from '@firm-line/core/shape/tube';
import type { Level } from '@firm-line/core/inspect';
import { afterPaint } from '../kit/after-paint';
import { hostSize } from '../kit/element-size';
import { LevelSign } from '../kit/level-sign';
import { idle } from '../kit/idle';
import { nearest, onPolyline } from '../kit/picking';
import { PanelLayout } from '../kit/panel-layout';
import { SideBar } from '../kit/side-bar';
import { Theme } from '../kit/theme';
import type { ToggleChoice } from '../kit/toggle';
import type { Stage } from './stage';
import type { HoseShown, Look } from './stage-shown';

/** How near a tap must be to mean something, px: a gloved finger's. */
const REACH = { handle: 22, port: 14, clip: 12, line: 16 };
/** Another width of the picture by more than this has the vehicle fitted to it anew, px. */
const REFIT_PX = 60;
/** Snaps draw from this far, px. */
const SNAP_PX = 8;
const LOOKS: readonly ToggleChoice<Look>[] = [
  { value: 'around', name: 'Around' },
  { value: 'above', name: 'Above', said: 'From above' },
  { value: 'left', name: 'Left' },
  { value: 'right', name: 'Right' },
  { value: 'front', name: 'Front' },
  { value: 'rear', name: 'Rear' },
];

/** What was tapped. A line is tapped at a share of one piece of its polyline. */
export type Tapped =
  | { readonly kind: 'port'; readonly id: string }
  | { readonly kind: 'clip'; readonly index: number }
  | {
      readonly kind: 'line';
      readonly view: LineView;
      readonly piece: number;
      readonly share: number;
    }
  | { readonly kind: 'air' };
/** A place that a snag is about. */
export interface Marked {
  readonly at: Vec3;
  readonly level: Level;
}
/** Where a handle is dragged to, which axes it is free along in the plane looked at, and from how far snaps draw there. */
export interface Dragged {
  readonly handle: number;
  readonly at: Vec3;
  readonly free: readonly [boolean, boolean, boolean];
  readonly snapMm: number;
}
interface Drag {
  readonly handle: number;
  readonly start: Vec3;
  readonly grip: Vec3;
}
interface Named {
  readonly text: string;
  readonly x: number;
  readonly y: number;
}
interface Sign {
  readonly level: Level;
  readonly x: number;
  readonly y: number;
}
const sameSigns = (a: readonly Sign[], b: readonly Sign[]): boolean =>
  a.length === b.length &&
  a.every(({ level, x, y }, i) => level === b[i]!.level && x === b[i]!.x && y === b[i]!.y);
const sameNames = (a: readonly Named[], b: readonly Named[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => one.text === b[i]!.text && one.x === b[i]!.x && one.y === b[i]!.y);

/** The vehicle with its lines and hoses in space: shows what it is given, and says what was tapped, taken hold of and dragged. */
@Component({
  selector: 'fl-space-view',
  imports: [LevelSign, SideBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block overflow-hidden pl-20' },
  template: `
    <canvas
      #canvas
      class="absolute inset-y-0 right-0 h-full touch-none"
      [style.width.px]="size().width"
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
    <div class="pointer-events-none absolute inset-y-0 right-0" [style.width.px]="size().width">
      <div aria-hidden="true">
        @for (name of names(); track name.text) {
          <span
            class="absolute rounded bg-sheet/80 px-1 text-sm font-semibold whitespace-nowrap"
            [style.left.px]="name.x"
            [style.top.px]="name.y"
            >{{ name.text }}</span
          >
        }
        @for (mark of signs(); track $index) {
          <fl-level-sign
            class="absolute -translate-x-1/2 -translate-y-full"
            [style.left.px]="mark.x"
            [style.top.px]="mark.y"
            [level]="mark.level"
            data-test="mark"
          />
        }
      </div>
      <div class="*:pointer-events-auto"><ng-content /></div>
    </div>
    <fl-side-bar
      class="absolute! inset-y-0 left-0 w-20 flex-col! flex-nowrap! overflow-x-hidden overflow-y-auto border-r border-b-0!"
      label="Look from"
      [options]="looks"
      [value]="look()"
      (changed)="lookFrom($event)"
    >
      <button
        type="button"
        class="bar-btn"
        (click)="zoom()"
        title="Center the view on the selection"
      >
        {{ zoomTo() }}
      </button>
      <button type="button" class="bar-btn" (click)="fit()" title="Fit the vehicle to the view (v)">
        Fit to view
      </button>
      <ng-content select="[beside]" />
      <button
        type="button"
        class="bar-btn"
        [attr.aria-pressed]="room.full()"
        (click)="room.toggleFull()"
        title="Full screen (f)"
      >
        {{ room.full() ? 'Back' : 'Full screen' }}
      </button>
    </fl-side-bar>
  `,
})
export class SpaceView {
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly size = hostSize({ width: 800, height: 480 });
  /** The plan with everything where it lies. */
  readonly laid = input.required<LaidPlan>();
  /** The chosen line as it is shown: the plan's, or as it is being dragged. */
  readonly view = input.required<LineView>();
  /** What can be taken hold of; which of it is chosen or pointed at, counted from 1 as corners are. */
  readonly handles = input<readonly Vec3[]>([]);
  readonly chosen = input<number | null>(null);
  readonly pointed = input<number | null>(null);
  /** The only axis that a drag goes along; null: any way in the plane that is looked at. */
  readonly along = input<number | null>(null);
  /** The chosen line's ends bear the names of their parts. */
  readonly namesEnds = input(true);
  readonly ghost = input<readonly Vec3[] | null>(null);
  /** Places of the chosen line's snags. */
  readonly marks = input<readonly Marked[]>([]);
  /** Hoses as they hang, with what moves with the one that is looked at. */
  readonly hoses = input<{
    readonly hoses: readonly HoseShown[];
    readonly moving: readonly Thing[];
  }>({ hoses: [], moving: [] });
  /** Places that the picture is brought to, and by which zooming goes, in place of the chosen line's. */
  readonly focus = input<readonly Vec3[] | null>(null);
  readonly zoomTo = input('Line');
  /** Something moves by itself: pictures are to follow one another quickly. */
  readonly moving = input(false);

  readonly shown = output();
  readonly hovered = output<number | null>();
  readonly grasped = output<number>();
  readonly dragged = output<Dragged>();
  readonly letGo = output<'kept' | 'broken off'>();
  readonly pressed = output();
  readonly tapped = output<Tapped>();
  readonly failed = output();

  protected readonly room = inject(PanelLayout);
  private readonly theme = inject(Theme);
  protected readonly looks = LOOKS;
  protected readonly look = signal<Look>('around');
  protected readonly drag = signal<Drag | null>(null);
  /** Compared by what they say: drawing a picture that moves no name must not have the page gone through again. */
  protected readonly names = signal<readonly Named[]>([], { equal: sameNames });
  protected readonly signs = signal<readonly Sign[]>([], { equal: sameSigns });
  private readonly stage = signal<Stage | null>(null);
  protected readonly ready = computed(() => this.stage() !== null);

  protected readonly label = computed(
    () =>
      `3-D view of the vehicle with ${this.laid().lines.length} lines, ${this.view().line.name} selected. The list of moves gives its corners.`,
  );
  /** What is drawn: the strip and the figures of an edit come first. */
  private readonly late = afterPaint(() => ({
    laid: this.laid(),
    view: this.view(),
    handles: this.handles(),
  }));
  private readonly drawnPlan = computed(() => this.late().laid);
  /** A line that is dragged is drawn at once. */
  private readonly drawnView = computed(() => (this.drag() ? this.view() : this.late().view));
  /** The same while edits leave them alone, so that they are not drawn anew. */
  private readonly things = computed(() => this.drawnPlan().plan.things);
  /** While it is dragged, the line is another object and still the same line. */
  private readonly chosenId = computed(() => this.drawnView().line.id);
  private readonly space = computed(() => lineSpace(this.drawnPlan().plan, this.drawnView()));

  constructor() {
    this.loadStage();
    this.followTheme();
    this.followSize();
    this.showVehicle();
    this.showChosen();
    this.followChoice();
    effect(() => this.stage()?.setGhost(this.ghost()));
    effect(() => {
      this.marks();
      if (this.stage()) untracked(() => this.placeNames());
    });
    effect(() => this.stage()?.hurry(this.moving()));
    effect(() => this.stage()?.setPointed(this.pointed()));
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

  /** The plan can be read and edited before the scene is there. */
  private loadStage(): void {
    let gone = false;
    inject(DestroyRef).onDestroy(() => {
      gone = true;
      this.stage()?.dispose();
    });
    effect(() => {
      const canvas = this.canvas().nativeElement;
      untracked(() => {
        // Bound by hand: a move that changes nothing must not have the page gone through.
        canvas.addEventListener('pointermove', (event) => this.move(event));
        void idle()
          .then(() => import('./stage'))
          .then(({ Stage }) => {
            if (gone) return;
            this.make = () => new Stage(canvas, () => this.placeNames());
            this.stage.set(this.make());
            this.shown.emit();
          })
          .catch(() => this.failed.emit());
      });
    });
  }
  /** A change of theme redraws the scene in its own colors. */
  private followTheme(): void {
    let dark = this.theme.isDark();
    effect(() => {
      const now = this.theme.isDark();
      untracked(() => {
        const before = this.stage();
        if (now === dark || !before || !this.make) return;
        dark = now;
        before.dispose();
        this.stage.set(this.make());
        this.fit();
      });
    });
  }
  /** What is seen of the vehicle follows the room there is: a panel that opens must not cover it. */
  private followSize(): void {
    let width = 0;
    effect(() => {
      const size = this.size();
      this.stage()?.resize(size.width, size.height);
      const other = width > 0 && Math.abs(size.width - width) > REFIT_PX;
      width = size.width;
      if (other && !untracked(this.drag)) untracked(() => this.fit());
    });
    effect(() => {
      if (this.room.fitAsked()) untracked(() => this.fit());
    });
  }
  /** Another line is brought into view, unless it was tapped where it is seen or other places are looked at. */
  private followChoice(): void {
    let was = '';
    effect(() => {
      const [id, stage] = [this.chosenId(), this.stage()];
      if (!stage) return;
      untracked(() => {
        if (was && id !== was && !this.tappedHere && !this.focus()) this.zoom();
        was = id;
        this.tappedHere = false;
      });
    });
  }
  private tappedHere = false;
  /** Things, ports, and every line but the chosen one. */
  private showVehicle(): void {
    effect(() => this.stage()?.setThings(this.things()));
    effect(() => {
      this.stage()?.setPorts(
        [...this.drawnPlan().ports.values()]
          .filter(({ port }) => port.role !== 'bleeder')
          .map(({ fixed }) => fixed.atMm),
      );
    });
    effect(() => {
      const { plan, lines } = this.drawnPlan();
      const chosen = this.chosenId();
      const others = lines.filter((line) => line.line.id !== chosen && line.nodesMm.length > 1);
      const clips = others
        .flatMap((line) => (line.line.clipsMm.length ? (lineSpace(plan, line)?.clips ?? []) : []))
        .map((clip) => clip.pointMm);
      this.stage()?.setLines(
        others.map((line) => this.tube(line)),
        clips,
      );
    });
  }
  private showChosen(): void {
    effect(() => {
      const view = this.drawnView();
      const space = this.space();
      const tooNear = (space?.near ?? []).filter((near) => near.distanceMm < near.wantedMm);
      this.stage()?.setChosen(
        view.nodesMm.length > 1
          ? {
              ...this.tube(view),
              corners: this.drag() ? this.handles() : this.late().handles,
              corner: this.chosen(),
              clips: (space?.clips ?? []).map((clip) => clip.pointMm),
              gaps: tooNear.map((near) => [near.onLine, near.onThing] as const),
            }
          : null,
      );
    });
  }

  private tube(line: LineView): { points: readonly Vec3[]; radiusMm: number; ink: string } {
    const points = line.pieces.length ? polyline(line.pieces, 10) : line.nodesMm;
    return {
      points,
      radiusMm: line.tube.odMm / 2,
      ink: this.drawnPlan().circuits.get(line.line.circuitId)!.ink,
    };
  }
  private make: (() => Stage) | null = null;
  /** Every place of the vehicle: its lines, and whatever stands on it. */
  private places(): Vec3[] {
    const { lines, obstacles } = this.laid();
    return [
      ...lines.flatMap((line) => line.nodesMm),
      ...obstacles.flatMap(({ box }) => (box ? [box.min, box.max] : [])),
    ];
  }
  /** The whole vehicle in the picture, from the side that it is looked at. */
  protected fit(): void {
    this.lookFrom(this.look());
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
    const ends = (this.namesEnds() ? [view.ports.a, view.ports.b] : []).flatMap((port) => {
      const at = port && stage.at(port.fixed.atMm);
      return at
        ? [{ text: port.part.name, x: Math.min(at.x + 10, this.size().width - 130), y: at.y + 12 }]
        : [];
    });
    this.names.set(ends);
    this.signs.set(
      this.marks().flatMap(({ at, level }) => {
        const seen = stage.at(at);
        return seen ? [{ level, x: Math.round(seen.x), y: Math.round(seen.y) - 10 }] : [];
      }),
    );
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
  /** Which handle is under the pointer. */
  private handleUnder(x: number, y: number): number | null {
    const handles = this.handles().map((at, i) => ({ at, node: i + 1 }));
    return nearest(handles, REACH.handle, ({ at }) => this.offPx(at, x, y))?.node ?? null;
  }

  private downAt: readonly [number, number] | null = null;
  protected press(event: PointerEvent): void {
    const stage = this.stage();
    if (!stage || event.button > 0) return;
    const [x, y] = this.point(event);
    this.downAt = [x, y];
    this.pressed.emit();
    const handle = this.handleUnder(x, y);
    if (handle === null) return;
    const start = this.handles()[handle - 1]!;
    const grip = stage.under(x, y, start);
    if (grip) {
      stage.controls.enabled = false;
      this.canvas().nativeElement.setPointerCapture(event.pointerId);
      this.drag.set({ handle, start, grip });
    }
    this.grasped.emit(handle);
  }

  private move(event: PointerEvent): void {
    const [stage, drag] = [this.stage(), this.drag()];
    const [x, y] = this.point(event);
    if (stage && !drag) this.hovered.emit(this.handleUnder(x, y));
    if (!stage || !drag) return;
    const under = stage.under(x, y, drag.start);
    if (!under) return;
    const by = under.map((v, i) => v - drag.grip[i]!);
    const axis = event.shiftKey
      ? by.map(Math.abs).indexOf(Math.max(...by.map(Math.abs)))
      : this.along();
    const free = [0, 1, 2].map((i) => i !== stage.depthAxis && (axis === null || axis === i)) as [
      boolean,
      boolean,
      boolean,
    ];
    if (Math.hypot(...by) < 1e-9) return;
    const at = mapVec(drag.start, (v, i) => (free[i] ? v + by[i]! : v));
    const near = stage.under(x + SNAP_PX, y, drag.start);
    const snapMm = near ? Math.hypot(...near.map((v, i) => v - under[i]!)) : 5;
    this.dragged.emit({ handle: drag.handle, at, free, snapMm });
  }

  protected release(event: PointerEvent): void {
    const down = this.downAt;
    const [x, y] = this.point(event);
    this.downAt = null;
    if (this.drag()) this.end('kept');
    else if (down && Math.hypot(x - down[0], y - down[1]) < 5) {
      const tapped = this.tappedAt(x, y);
      this.tappedHere = tapped.kind === 'line' && tapped.view.line.id !== this.chosenId();
      this.tapped.emit(tapped);
    }
  }
  /** Ends a drag that the browser took away: nothing of it is kept. */
  protected breakOff(): void {
    if (this.drag()) this.end('broken off');
  }
  private end(how: 'kept' | 'broken off'): void {
    this.drag.set(null);
    this.stage()!.controls.enabled = true;
    this.letGo.emit(how);
  }

  /** What lies under a tap: a port before a clip of the chosen line, a clip before a line. */
  private tappedAt(x: number, y: number): Tapped {
    const stage = this.stage()!;
    const off = (at: Vec3): number => this.offPx(at, x, y);
    const ports = [...this.laid().ports.values()].filter(({ port }) => port.role !== 'bleeder');
    const port = nearest(ports, REACH.port, ({ fixed }) => off(fixed.atMm));
    if (port) return { kind: 'port', id: port.port.id };
    const clips = this.space()?.clips ?? [];
    const clip = nearest(clips, REACH.clip, ({ pointMm }) => off(pointMm));
    if (clip) return { kind: 'clip', index: clips.indexOf(clip) };
    const touched = this.laid().lines.flatMap((view) => {
      const seen = this.tube(view).points.map((p) => stage.at(p));
      return seen.length > 1 && seen.every((p) => p)
        ? [
            {
              view,
              ...onPolyline(
                [x, y],
                seen.map((p) => [p!.x, p!.y] as const),
              ),
            },
          ]
        : [];
    });
    const line = nearest(touched, REACH.line, ({ px }) => px);
    return line
      ? { kind: 'line', view: line.view, piece: line.piece, share: line.share }
      : { kind: 'air' };
  }
}
