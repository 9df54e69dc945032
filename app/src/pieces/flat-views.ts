import type { Vec3 } from '@firm-line/core/lib/vec';
import { CIRCUIT_STROKES } from '../kit/circuit-ink';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Nature } from '@firm-line/core/shape/obstacles';
import type { LineView, Target } from '@firm-line/core/plan';
import { polyline } from '@firm-line/core/shape/tube';
import { PlanStore } from '../session/plan-store';
import { afterPaint } from '../kit/after-paint';
import { hostSize } from '../kit/element-size';
import { nearest, toPolyline } from '../kit/picking';
import { pathThrough, placesOf, projectFlat, type FlatProjection } from '../kit/flat-projection';
import { FACES, flatGrid, marksOf, placePaths } from './flat-marks';
import { outlineOf } from '../kit/thing-outline';

const THING_LOOKS: Record<Nature, string> = {
  solid: 'fill-nut stroke-ink-soft',
  hot: 'fill-stop stroke-stop',
  moving: 'fill-slate stroke-slate',
  sharp: 'fill-caution stroke-caution',
  reserved: 'fill-caution stroke-caution',
};
/** How near a finger or a pointer must be to a place, a corner or a line, px. */
const REACH = { place: 14, line: 12 };

const sameProjection = (a: FlatProjection, b: FlatProjection): boolean =>
  a.pxPerMm.top === b.pxPerMm.top &&
  a.gridMm.top === b.gridMm.top &&
  a.size === b.size &&
  [0, 1, 2].every((i) => a.min[i] === b.min[i] && a.max[i] === b.max[i]);

/**
 * Top and side view to one scale: all lines, the chosen one with its corners, measured places with how
 * sure they are. Marks that look alike are one path, so that hundreds of places stay light; what was
 * meant by a tap is found from the figures. What changes with an edit lies on a sheet of its own, so that
 * the rest is not painted again.
 */
@Component({
  selector: 'fl-flat-views',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block min-h-80 min-w-0 overflow-hidden', '(click)': 'pick($event)' },
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height"
      class="absolute inset-0 h-full w-full cursor-pointer will-change-transform select-none"
      role="img"
      [attr.aria-label]="label()"
    >
      <path [attr.d]="grid().d" class="stroke-rule" stroke-width="1" />
      @for (thing of things(); track thing.id) {
        <path
          [attr.d]="thing.d"
          [class]="thing.look"
          [attr.stroke-width]="thing.chosen ? 3 : 1.2"
          stroke-linejoin="round"
        />
      }
      @for (text of grid().texts; track $index) {
        <text
          [attr.x]="text.x"
          [attr.y]="text.y"
          [attr.text-anchor]="text.anchor"
          class="fill-ink-soft font-mono text-[12px]"
        >
          {{ text.text }}
        </text>
      }
      @for (name of grid().names; track name.text) {
        <text [attr.x]="name.x" [attr.y]="name.y" class="fill-ink text-sm font-semibold">
          {{ name.text }}
        </text>
      }
      @for (line of others(); track line.id) {
        <path
          [attr.d]="line.d"
          class="fill-none [stroke-opacity:0.5]"
          [class]="line.stroke"
          stroke-width="3"
        />
      }
      <path
        [attr.d]="tapes().good"
        class="fill-none stroke-ink-soft"
        stroke-width="1.2"
        stroke-dasharray="3 3"
      />
      <path
        [attr.d]="tapes().suspect"
        class="fill-none stroke-stop"
        stroke-width="2.5"
        stroke-dasharray="8 4"
      />
      <path [attr.d]="places().sure" class="fill-fluid opacity-15" />
      <path [attr.d]="places().points" class="fill-none stroke-ink" stroke-width="1.6" />
      <path [attr.d]="places().ports" class="fill-ink" />
      <path
        [attr.d]="places().guesses"
        class="fill-sheet stroke-ink"
        stroke-width="1.6"
        stroke-dasharray="2 2"
      />
      <path [attr.d]="places().chosen" class="fill-none stroke-ink" stroke-width="2.5" />
      @for (name of places().names; track $index) {
        <text
          [attr.x]="name.x"
          [attr.y]="name.y"
          [attr.text-anchor]="name.anchor"
          class="fill-ink stroke-sheet text-xs font-semibold"
          stroke-width="3"
          paint-order="stroke"
        >
          {{ name.text }}
        </text>
      }
    </svg>
    <svg
      [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height"
      class="absolute inset-0 h-full w-full cursor-pointer will-change-transform select-none"
      aria-hidden="true"
    >
      @if (chosenPath(); as path) {
        <path
          [attr.d]="path.d"
          class="fill-none"
          [class]="path.stroke"
          stroke-width="5"
          stroke-linejoin="round"
          data-test="chosen-line"
        />
      }
      <path
        [attr.d]="ghostPath()"
        class="fill-none stroke-ink"
        stroke-width="2.5"
        stroke-dasharray="6 5"
      />
      @for (corner of corners(); track $index) {
        <circle
          [attr.cx]="corner.x"
          [attr.cy]="corner.y"
          [attr.r]="corner.chosen ? 9 : 6"
          [class]="(corner.chosen ? 'fill-ink ' : 'fill-sheet ') + corner.stroke"
          stroke-width="2.5"
        />
        @if (corner.chosen) {
          <text
            [attr.x]="corner.x"
            [attr.y]="corner.y - 15"
            text-anchor="middle"
            class="fill-ink stroke-sheet text-sm font-bold"
            stroke-width="3"
            paint-order="stroke"
          >
            {{ corner.node }}
          </text>
        }
      }
    </svg>
  `,
})
export class FlatViews {
  private readonly store = inject(PlanStore);
  readonly lineId = input<string | null>(null);
  readonly node = input<number | null>(null);
  /** A move that is being typed, as points to draw dashed. */
  readonly ghost = input<readonly Vec3[] | null>(null);
  /** The point or port whose tapes are drawn. */
  readonly target = input<Target | null>(null);
  /** The thing that stands out. */
  readonly thing = input<string | null>(null);
  readonly linePicked = output<string>();
  readonly nodePicked = output<number>();
  readonly targetPicked = output<Target>();
  protected readonly size = hostSize({ width: 880, height: 440 });

  private readonly view = afterPaint(() => this.store.view());
  private readonly projection = computed(
    () =>
      projectFlat(
        [...placesOf(this.view()), ...(this.ghost() ?? [])],
        this.size(),
        this.store.units(),
      ),
    {
      equal: sameProjection,
    },
  );
  private readonly chosen = computed(
    () => this.view().lines.find((v) => v.line.id === this.lineId()) ?? null,
  );
  protected readonly label = computed(
    () =>
      `Top and side view of ${this.view().lines.length} lines${this.chosen() ? `, ${this.chosen()!.line.name} chosen` : ''}`,
  );

  /** Paths of lines that did not change under a projection that did not change are kept. */
  private readonly drawn = computed(() => ({
    projection: this.projection(),
    paths: new WeakMap<LineView, string>(),
  }));
  private pathOf(line: LineView): string {
    const { projection, paths } = this.drawn();
    const before = paths.get(line);
    if (before !== undefined) return before;
    const points = this.pointsOf(line);
    const path = FACES.map((face) => pathThrough(projection, face, points)).join('');
    paths.set(line, path);
    return path;
  }
  private pointsOf(line: LineView): readonly Vec3[] {
    return line.pieces.length ? polyline(line.pieces, 10) : line.nodesMm;
  }
  private stroke(line: LineView): string {
    return CIRCUIT_STROKES[this.view().circuits.get(line.line.circuitId)!.ink];
  }

  protected readonly things = computed(() =>
    this.view().plan.things.map((thing) => ({
      id: thing.id,
      chosen: thing.id === this.thing(),
      look: `${THING_LOOKS[thing.nature]} ${thing.id === this.thing() ? '[fill-opacity:0.5]' : '[fill-opacity:0.16] [stroke-opacity:0.5]'}`,
      d: FACES.map((face) => outlineOf(this.projection(), face, thing)).join(''),
    })),
  );
  protected readonly others = computed(() =>
    this.view()
      .lines.filter((line) => line !== this.chosen() && line.nodesMm.length)
      .map((line) => ({ id: line.line.id, stroke: this.stroke(line), d: this.pathOf(line) })),
  );
  protected readonly chosenPath = computed(() => {
    const line = this.chosen();
    return line?.nodesMm.length ? { d: this.pathOf(line), stroke: this.stroke(line) } : null;
  });
  protected readonly ghostPath = computed(() =>
    FACES.map((face) => pathThrough(this.projection(), face, this.ghost() ?? [])).join(''),
  );
  protected readonly corners = computed(() => {
    const line = this.chosen();
    if (!line) return [];
    return FACES.flatMap((face) =>
      line.nodesMm.slice(1, -1).map((at, i) => {
        const [x, y] = this.projection().at(face, at);
        return { x, y, node: i + 1, chosen: this.node() === i + 1, stroke: this.stroke(line) };
      }),
    );
  });

  private readonly marks = computed(() => {
    const ends = this.chosen()?.line.ends;
    const named = new Set([ends?.a.portId, ends?.b.portId, this.target()?.id]);
    return marksOf(this.view(), this.projection(), (portId) => named.has(portId));
  });
  protected readonly places = computed(() =>
    placePaths(this.marks(), this.target()?.id, this.size(), this.grid()),
  );

  protected readonly tapes = computed(() => {
    const target = this.target();
    const found = target && (this.view().ports.get(target.id) ?? this.view().points.get(target.id));
    const known = found && ('port' in found ? found.port.known : found.point.known);
    const drawn = { good: '', suspect: '' };
    for (const [i, tape] of (known?.how === 'taped' ? (known.tapes ?? []) : []).entries()) {
      const ends = [this.view().points.get(tape.from)!.fixed.atMm, found!.fixed.atMm];
      drawn[found!.fixed.survey?.suspect === i ? 'suspect' : 'good'] += FACES.map((face) =>
        pathThrough(this.projection(), face, ends),
      ).join('');
    }
    return drawn;
  });

  protected readonly grid = computed(() => flatGrid(this.projection(), this.store.units()));

  /** What a tap meant: a corner of the chosen line, a place, or a line, the nearest within reach. */
  protected pick(event: MouseEvent): void {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    const [x, y] = [event.clientX - box.left, event.clientY - box.top];
    const away = (at: { x: number; y: number }): number => Math.hypot(at.x - x, at.y - y);
    const corner = nearest(this.corners(), REACH.place, away);
    if (corner) return this.nodePicked.emit(corner.node);
    const mark = nearest(this.marks(), REACH.place, away);
    if (mark) return this.targetPicked.emit(mark.target);
    const line = nearest(this.view().lines, REACH.line, (v) => {
      const points = this.pointsOf(v);
      return Math.min(
        ...FACES.map((face) =>
          toPolyline(
            [x, y],
            points.map((p) => this.projection().at(face, p)),
          ),
        ),
      );
    });
    if (line) this.linePicked.emit(line.line.id);
  }
}
