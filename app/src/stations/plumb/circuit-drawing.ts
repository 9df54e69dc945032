import { CIRCUIT_STROKES } from '../../kit/circuit-ink';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import type { Level } from '@firm-line/core/inspect';
import { LevelSign } from '../../kit/level-sign';
import { hostSize } from '../../kit/element-size';
import { PanZoom } from '../../kit/pan-zoom';
import { PanelLayout } from '../../kit/panel-layout';
import { SideBar } from '../../kit/side-bar';
import { PlanStore } from '../../session/plan-store';
import { CircuitLayout, type Laid, type Px } from '../../worker/circuit-layout';
import { BOX_PX, circuitGraph, drawnPorts } from './circuit-graph';
import { PICTOGRAMS } from './pictograms';

const FILLS = { fluid: 'fill-fluid', copper: 'fill-copper', slate: 'fill-slate' } as const;
const RANK: Record<Level, number> = { stop: 2, caution: 1, note: 0 };
const MARGIN = 16;

/** The circuits as a connected drawing; what is wrong shows on it. */
@Component({
  selector: 'fl-circuit-drawing',
  imports: [LevelSign, SideBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block overflow-hidden pl-20' },
  template: `
    @if (drawing(); as d) {
      <svg
        #svg
        class="absolute inset-y-0 right-0 h-full cursor-grab touch-none select-none"
        [style.width.px]="size().width"
        role="group"
        aria-label="The circuits"
        tabindex="0"
        (wheel)="pan.wheel($event, svg.getBoundingClientRect())"
        (pointerdown)="pan.press($event)"
        (pointermove)="pan.move($event)"
        (pointerup)="pan.release()"
        (pointercancel)="pan.release()"
        (pointerleave)="pan.release()"
        (keydown)="walk($event)"
      >
        <g [attr.transform]="pan.transform()" data-test="panned">
          <g [attr.transform]="'translate(' + margin + ' ' + margin + ')'">
            @for (wire of d.wires; track wire.id) {
              <path
                [attr.d]="wire.d"
                class="fill-none"
                [class]="wire.stroke"
                [attr.stroke-width]="wire.chosen ? 6 : 3.5"
                [attr.stroke-dasharray]="wire.dashes"
                stroke-linejoin="round"
                [attr.data-wire]="wire.id"
              />
              <text
                [attr.x]="wire.labelX"
                [attr.y]="wire.labelY"
                text-anchor="middle"
                class="stroke-paper text-[13px] font-bold"
                [class]="wire.fill"
                stroke-width="4"
                paint-order="stroke"
              >
                {{ wire.name }}
              </text>
            }
            @for (part of d.parts; track part.id) {
              <g
                role="button"
                tabindex="0"
                class="cursor-pointer"
                [attr.data-part]="part.id"
                [attr.aria-pressed]="part.chosen"
                [attr.transform]="part.at"
                (click)="pan.dragged || picked.emit(part.id)"
                (keydown.enter)="picked.emit(part.id)"
                (keydown.space)="picked.emit(part.id); $event.preventDefault()"
              >
                <title>{{ part.words }}</title>
                <rect
                  [attr.width]="boxPx"
                  [attr.height]="part.height"
                  rx="9"
                  class="stroke-ink"
                  [class]="part.chosen ? 'fill-copper-pale' : 'fill-sheet'"
                  [attr.stroke-width]="part.chosen ? 3 : 1.8"
                />
                <path
                  [attr.d]="part.pictogram"
                  transform="translate(8 8)"
                  class="fill-none stroke-ink"
                  stroke-width="2"
                  stroke-linejoin="round"
                />
                <text x="40" y="25" class="fill-ink text-[15px] font-bold">{{ part.name }}</text>
                @if (part.bleeder) {
                  <path
                    d="M-4 0 0 -9 4 0z"
                    [attr.transform]="'translate(' + (boxPx - 18) + ' 0)'"
                    class="fill-fluid stroke-ink"
                  />
                }
              </g>
              @for (port of part.ports; track port.id) {
                <circle
                  [attr.cx]="port.x"
                  [attr.cy]="port.y"
                  r="5"
                  class="stroke-ink"
                  stroke-width="1.8"
                  [class]="port.joined ? 'fill-ink' : 'fill-sheet'"
                />
                <text
                  [attr.x]="port.textX"
                  [attr.y]="port.y + 4"
                  [attr.text-anchor]="port.anchor"
                  class="pointer-events-none fill-ink-soft text-xs"
                >
                  {{ port.text }}
                </text>
              }
              @if (part.level) {
                <foreignObject
                  [attr.x]="part.signX"
                  [attr.y]="part.signY"
                  width="22"
                  height="22"
                  class="pointer-events-none"
                  ><fl-level-sign [level]="part.level"
                /></foreignObject>
              }
            }
          </g>
        </g>
      </svg>
      <fl-side-bar
        class="absolute! inset-y-0 left-0 w-20 flex-col! flex-nowrap! border-r border-b-0!"
        label="Zoom"
        [options]="[]"
        [value]="null"
      >
        <button
          type="button"
          class="bar-btn"
          (click)="pan.fit()"
          title="Fit the drawing to the view (v)"
        >
          Fit to view
        </button>
        <button type="button" class="bar-btn" aria-label="Zoom in" (click)="pan.zoom(1)">+</button>
        <button type="button" class="bar-btn" aria-label="Zoom out" (click)="pan.zoom(-1)">
          −
        </button>
        <button
          type="button"
          class="bar-btn"
          [attr.aria-pressed]="room.full()"
          (click)="room.toggleFull()"
          title="Full screen (f)"
        >
          {{ room.full() ? 'Back' : 'Full screen' }}
        </button>
        <ng-content />
      </fl-side-bar>
    } @else if (fault()) {
      <p class="fault p-6">{{ fault() }}</p>
    } @else {
      <p class="p-6 text-ink-soft">Drawing the circuits…</p>
    }
  `,
})
export class CircuitDrawing {
  private readonly store = inject(PlanStore);
  private readonly layout = inject(CircuitLayout);
  readonly partId = input<string | null>(null);
  readonly lineId = input<string | null>(null);
  readonly picked = output<string>();
  private readonly laid = signal<Laid | null>(null);
  protected readonly fault = signal<string | null>(null);
  protected readonly boxPx = BOX_PX;
  protected readonly margin = MARGIN;
  protected readonly room = inject(PanelLayout);
  protected readonly size = hostSize({ width: 860, height: 560 });
  protected readonly pan = new PanZoom(
    this.size,
    computed(() => this.drawing() ?? { width: 1, height: 1 }),
  );
  /** The room in steps, so that dragging the window does not lay out at every pixel. */
  private readonly stepped = computed(() => {
    const { width, height } = this.size();
    const step = (px: number): number => Math.max(1, Math.round(px / 80)) * 80;
    return `${step(width)} ${step(height)}`;
  });
  /** What the layout depends on, so that an edit of a corner does not lay out anew. */
  private readonly graph = computed(() => circuitGraph(this.store.view()), {
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });

  constructor() {
    effect(() => {
      if (this.room.fitAsked()) this.pan.fit();
    });
    effect((onCleanup) => {
      const { boxes, wires } = this.graph();
      let current = true;
      onCleanup(() => (current = false));
      const [width, height] = this.stepped().split(' ').map(Number) as [number, number];
      this.layout.layIn(boxes, wires, { width, height }).then(
        (laid) => {
          if (!current) return;
          this.laid.set(laid);
          this.pan.fit();
          this.fault.set(null);
        },
        (error: Error) => {
          if (current) this.fault.set(`The circuits could not be drawn: ${error.message}`);
        },
      );
    });
  }

  /** Arrow keys move the drawing, plus and minus size it. */
  protected walk(event: KeyboardEvent): void {
    const by = { ArrowLeft: [60, 0], ArrowRight: [-60, 0], ArrowUp: [0, 60], ArrowDown: [0, -60] }[
      event.key
    ];
    if (by) this.pan.pan(by[0]!, by[1]!);
    else if (event.key === '+' || event.key === '=') this.pan.zoom(1);
    else if (event.key === '-') this.pan.zoom(-1);
    else return;
    event.preventDefault();
  }

  /** The worst level of what is said about a part, its ports and the ends of lines there. */
  private readonly levels = computed(() => {
    const view = this.store.view();
    const worst = new Map<string, Level>();
    const note = (partId: string | undefined, level: Level): void => {
      if (partId && (!worst.has(partId) || RANK[level] > RANK[worst.get(partId)!]))
        worst.set(partId, level);
    };
    for (const { place, level } of this.store.snags()) {
      if (place.kind === 'port') note(view.ports.get(place.id)?.part.id, level);
      if (place.kind !== 'line') continue;
      const line = view.lines.find((v) => v.line.id === place.id);
      const atA = (place.node ?? 0) <= 1;
      note((atA ? line?.ports.a : line?.ports.b)?.part.id, level);
    }
    return worst;
  });

  protected readonly drawing = computed(() => {
    const [laid, view] = [this.laid(), this.store.view()];
    if (!laid) return null;
    const pipes = [
      ...view.plan.lines.map((of) => ({ of, hose: false })),
      ...view.plan.hoses.map((of) => ({ of, hose: true })),
    ];
    const joined = new Set(pipes.flatMap(({ of }) => [of.ends.a.portId, of.ends.b.portId]));
    const size = (px: number): number => px + 2 * MARGIN;
    return {
      width: size(laid.width),
      height: size(laid.height),
      wires: pipes.flatMap(({ of: line, hose }) => {
        const points = laid.wires.get(line.id);
        if (!points?.length) return [];
        const middle = longest(points);
        const { ink } = view.circuits.get(line.circuitId)!;
        return [
          {
            id: line.id,
            name: line.name,
            d: points.map((p, i) => `${i ? 'L' : 'M'}${p.x} ${p.y}`).join(''),
            stroke: CIRCUIT_STROKES[ink],
            fill: FILLS[ink],
            dashes: hose ? '9 6' : null,
            chosen: line.id === this.lineId(),
            labelX: middle.x,
            labelY: middle.y - 6,
          },
        ];
      }),
      parts: view.plan.parts.flatMap((part) => {
        const at = laid.boxes.get(part.id);
        const box = this.graph().boxes.find((b) => b.id === part.id);
        if (!at || !box) return [];
        const level = this.levels().get(part.id) ?? null;
        return [
          {
            id: part.id,
            name: part.name.length > 19 ? `${part.name.slice(0, 18)}…` : part.name,
            at: `translate(${at.x} ${at.y})`,
            height: box.height,
            pictogram: PICTOGRAMS[part.kind],
            chosen: part.id === this.partId(),
            level,
            words: `${part.name}${level ? `, ${level}` : ''}`,
            bleeder: part.ports.some((port) => port.role === 'bleeder'),
            signX: at.x + BOX_PX - 10,
            signY: at.y - 10,
            ports: drawnPorts(part).flatMap((port) => {
              const p = laid.ports.get(port.id);
              if (!p) return [];
              const west = p.x - at.x < BOX_PX / 2;
              const text =
                port.role === 'spare'
                  ? `${port.name}, capped`
                  : joined.has(port.id)
                    ? port.name
                    : `${port.name}, open`;
              return [
                {
                  id: port.id,
                  x: p.x,
                  y: p.y,
                  joined: joined.has(port.id),
                  text: text.slice(0, 22),
                  textX: p.x + (west ? 10 : -10),
                  anchor: west ? 'start' : 'end',
                },
              ];
            }),
          },
        ];
      }),
    };
  });
}

/** The middle of the longest stretch of a wire, where its name has room. */
function longest(points: readonly Px[]): Px {
  let [best, most] = [points[0]!, -1];
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const length = Math.abs(a.x - b.x) * 1.5 + Math.abs(a.y - b.y);
    if (length > most) [best, most] = [{ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, length];
  }
  return best;
}
