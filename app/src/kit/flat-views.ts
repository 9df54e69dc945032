import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { LineView, PortView, Target } from '@firm-line/core/plan';
import { polyline } from '@firm-line/core/tube';
import { formatLength } from '@firm-line/core/units';
import type { Vec3 } from '@firm-line/core/vec';
import { PlanStore } from '../plan/plan-store';
import { hostSize } from './element-size';
import { pathThrough, placesOf, projectFlat, ticks, type Face } from './flat-projection';

const STROKES = { fluid: 'stroke-fluid', copper: 'stroke-copper', slate: 'stroke-slate' } as const;
const FACES = [{ face: 'top', name: 'From above' }, { face: 'side', name: 'From the left' }] as const; // prettier-ignore

/** Top and side view to one scale: all lines, the chosen one with its corners, measured places with how sure they are. */
@Component({
  selector: 'fl-flat-views',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block min-h-80 min-w-0 overflow-hidden' },
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height"
      class="absolute inset-0 h-full w-full select-none"
      role="img"
      [attr.aria-label]="label()"
    >
      @for (rule of grid().rules; track $index) {
        <path [attr.d]="rule.d" class="stroke-rule" stroke-width="1" />
        <text [attr.x]="rule.x" [attr.y]="rule.y" [attr.text-anchor]="rule.anchor" class="fill-ink-soft font-mono text-[11px]">
          {{ rule.text }}
        </text>
      }
      @for (name of grid().names; track name.text) {
        <text [attr.x]="name.x" [attr.y]="name.y" class="fill-ink text-sm font-semibold">{{ name.text }}</text>
      }
      @for (line of lines(); track line.id) {
        @for (d of line.paths; track $index) {
          <path [attr.d]="d" class="fill-none stroke-transparent" stroke-width="16" (click)="linePicked.emit(line.id)" />
          <path
            [attr.d]="d"
            class="pointer-events-none fill-none"
            [class]="line.stroke"
            [attr.stroke-width]="line.chosen ? 5 : 3"
            [attr.opacity]="line.chosen ? 1 : 0.5"
            stroke-linejoin="round"
            [attr.data-flat]="line.chosen ? line.id : null"
          />
        }
      }
      @for (tape of tapes(); track $index) {
        <path
          [attr.d]="tape.d"
          class="fill-none"
          [class]="tape.suspect ? 'stroke-stop' : 'stroke-ink-soft'"
          [attr.stroke-width]="tape.suspect ? 2.5 : 1.2"
          [attr.stroke-dasharray]="tape.suspect ? '8 4' : '3 3'"
        />
      }
      @if (ghostPaths(); as paths) {
        @for (d of paths; track $index) {
          <path [attr.d]="d" class="fill-none stroke-ink" stroke-width="2.5" stroke-dasharray="6 5" />
        }
      }
      @for (mark of marks(); track mark.key) {
        <g (click)="targetPicked.emit(mark.target)" class="cursor-pointer">
          <ellipse [attr.cx]="mark.x" [attr.cy]="mark.y" [attr.rx]="mark.rx" [attr.ry]="mark.ry" class="fill-fluid opacity-15" />
          <circle [attr.cx]="mark.x" [attr.cy]="mark.y" r="11" class="fill-transparent" />
          @if (mark.target.kind === 'point') {
            <path
              [attr.d]="'M' + (mark.x - 6) + ' ' + mark.y + 'h12M' + mark.x + ' ' + (mark.y - 6) + 'v12'"
              class="stroke-ink"
              [attr.stroke-width]="mark.chosen ? 3 : 1.6"
            />
          } @else {
            <rect
              [attr.x]="mark.x - 4"
              [attr.y]="mark.y - 4"
              width="8"
              height="8"
              rx="1.5"
              class="stroke-ink"
              [class]="mark.guess ? 'fill-sheet' : 'fill-ink'"
              [attr.stroke-width]="mark.chosen ? 3 : 1.6"
              [attr.stroke-dasharray]="mark.guess ? '2 2' : null"
            />
          }
          @if (mark.text) {
            <text
              [attr.x]="mark.x + mark.dx"
              [attr.y]="mark.y - 9"
              [attr.text-anchor]="mark.dx < 0 ? 'end' : 'start'"
              class="fill-ink stroke-sheet text-xs font-semibold"
              stroke-width="3"
              paint-order="stroke"
            >
              {{ mark.text }}
            </text>
          }
        </g>
      }
      @for (corner of corners(); track $index) {
        <g (click)="nodePicked.emit(corner.node)" class="cursor-pointer">
          <circle [attr.cx]="corner.x" [attr.cy]="corner.y" r="14" class="fill-transparent" />
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
        </g>
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
  readonly linePicked = output<string>();
  readonly nodePicked = output<number>();
  readonly targetPicked = output<Target>();
  protected readonly size = hostSize({ width: 880, height: 440 });

  private readonly view = computed(() => this.store.view()!);
  private readonly projection = computed(() => projectFlat([...placesOf(this.view()), ...(this.ghost() ?? [])], this.size()));
  private readonly chosen = computed(() => this.view().lines.find((v) => v.line.id === this.lineId()) ?? null);
  protected readonly label = computed(
    () => `Top and side view of ${this.view().lines.length} lines${this.chosen() ? `, ${this.chosen()!.line.name} chosen` : ''}`,
  );

  private stroke(line: LineView): string {
    return STROKES[this.view().circuits.get(line.line.circuitId)!.ink];
  }
  private both<T>(make: (face: Face) => T): T[] {
    return FACES.map(({ face }) => make(face));
  }

  protected readonly lines = computed(() => {
    const projection = this.projection();
    return this.view()
      .lines.filter((line) => line.nodesMm.length)
      .map((line) => {
        const points = line.pieces.length ? polyline(line.pieces) : line.nodesMm;
        return {
          id: line.line.id,
          chosen: line === this.chosen(),
          stroke: this.stroke(line),
          paths: this.both((face) => pathThrough(projection, face, points)),
        };
      })
      .sort((a, b) => Number(a.chosen) - Number(b.chosen));
  });
  protected readonly ghostPaths = computed(() => {
    const points = this.ghost();
    return points && this.both((face) => pathThrough(this.projection(), face, points));
  });
  protected readonly corners = computed(() => {
    const line = this.chosen();
    if (!line) return [];
    const last = line.nodesMm.length - 1;
    return this.both((face) =>
      line.nodesMm.slice(1, -1).map((at, i) => {
        const [x, y] = this.projection().at(face, at);
        return { x, y, node: i + 1, chosen: this.node() === i + 1 && i + 1 < last, stroke: this.stroke(line) };
      }),
    ).flat();
  });
  protected readonly marks = computed(() => {
    const { points, ports } = this.view();
    const named = new Set([this.chosen()?.line.ends.a.portId, this.chosen()?.line.ends.b.portId, this.target()?.id]);
    const mark = (key: string, target: Target, fixed: PortView['fixed'], text: string) =>
      FACES.map(({ face }) => {
        const [x, y] = this.projection().at(face, fixed.atMm);
        const sigma = (i: 0 | 1 | 2): number => 2 * fixed.sigmaMm[i] * this.projection().pxPerMm;
        return {
          key: key + face,
          face,
          target,
          x,
          y,
          rx: sigma(0),
          ry: sigma(face === 'top' ? 1 : 2),
          guess: fixed.guess,
          chosen: this.target()?.id === target.id,
          text,
          dx: x > this.size().width - 160 ? -9 : 9,
        };
      });
    const placed: { face: string; x: number; y: number }[] = [];
    const all = [
      ...[...ports.values()].filter(({ port }) => port.role !== 'bleeder').flatMap(({ part, port, fixed }) => mark(port.id, { kind: 'port', id: port.id }, fixed, named.has(port.id) ? part.name : '')),
      ...[...points.values()].flatMap(({ point, fixed }) => mark(point.id, { kind: 'point', id: point.id }, fixed, point.name.split(',')[0]!.slice(0, 14))),
    ]; // prettier-ignore
    // A name that would lie on another is left out: the list and the tip name it.
    return all.map((m) => {
      const clash = placed.some((p) => p.face === m.face && Math.abs(p.x - m.x) < 70 && Math.abs(p.y - m.y) < 14);
      if (m.text && !clash) placed.push(m);
      return clash && !m.chosen ? { ...m, text: '' } : m;
    });
  });
  protected readonly tapes = computed(() => {
    const target = this.target();
    const found = target && (this.view().ports.get(target.id) ?? this.view().points.get(target.id));
    if (!found) return [];
    const known = 'port' in found ? found.port.known : found.point.known;
    return (known.how === 'taped' ? (known.tapes ?? []) : []).flatMap((tape, i) =>
      this.both((face) => ({
        d: pathThrough(this.projection(), face, [this.view().points.get(tape.from)!.fixed.atMm, found.fixed.atMm]),
        suspect: found.fixed.survey?.suspect === i,
      })),
    );
  });
  protected readonly grid = computed(() => {
    const p = this.projection();
    const text = (mm: number): string => formatLength(mm, this.store.units());
    const left = p.at('top', p.min)[0];
    const right = p.at('top', p.max)[0];
    const bottom = p.at('side', p.min)[1];
    const across = (face: Face, axis: 1 | 2) =>
      ticks(p.min[axis], p.max[axis], p.gridMm).map((mm) => {
        const y = p.at(face, [0, mm, mm])[1];
        return { d: `M${left} ${y}H${right}`, x: left - 6, y: y + 4, anchor: 'end', text: text(mm) };
      });
    const along = ticks(p.min[0], p.max[0], p.gridMm).map((mm) => {
      const x = p.at('top', [mm, 0, 0])[0];
      return {
        d: `M${x} ${p.at('top', p.max)[1]}V${p.at('top', p.min)[1]}M${x} ${p.at('side', p.max)[1]}V${bottom}`,
        x,
        y: bottom + 16,
        anchor: 'middle',
        text: text(mm),
      };
    });
    const names = FACES.map(({ face, name }) => ({ text: name, x: left, y: p.at(face, p.max)[1] - 9 }));
    return { rules: [...across('top', 1), ...across('side', 2), ...along], names };
  });
}
