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
import type { Part } from '@firm-line/core/plan';
import { LevelSign, worstBy } from '../../kit/level-sign';
import { hostSize } from '../../kit/element-size';
import { PanZoom } from '../../kit/pan-zoom';
import { PanelLayout } from '../../kit/panel-layout';
import { SideBar } from '../../kit/side-bar';
import { PlanStore } from '../../session/plan-store';
import {
  circuitGraph,
  drawnPorts,
  farSide,
  layOutCircuits,
  portRoomPx,
  type Arrangement,
  type BoxToPlace,
} from '@firm-line/core/stations/plumb/drawing';
import { PICTOGRAMS } from './pictograms';

const FILLS = { fluid: 'fill-fluid', copper: 'fill-copper', slate: 'fill-slate' } as const;
const MARGIN = 8;
/** Shown smaller than this its letters of 13 px would be under 12. */
const SMALLEST = 12 / 13;
/** A letter of a port's name takes this much of its room, px. */
const LETTER_PX = 7;
const ARRANGEMENTS = [
  { value: 'vehicle', name: 'By vehicle', said: 'By vehicle: seen from above, front at the top' },
  { value: 'flow', name: 'By flow', said: 'By flow: from the master down' },
] as const;

/** The circuits as a connected drawing; what is wrong shows on it. */
@Component({
  selector: 'fl-circuit-drawing',
  imports: [LevelSign, SideBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block overflow-hidden pl-20' },
  template: `
    @let d = drawing();
    @if (by() === 'vehicle') {
      <p class="absolute top-1 right-3 text-sm text-ink-soft" aria-hidden="true">
        Seen from above, front at the top
      </p>
    }
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
                [attr.width]="part.width"
                [attr.height]="part.height"
                rx="9"
                class="stroke-ink"
                [class]="part.chosen ? 'fill-copper-pale' : 'fill-sheet'"
                [attr.stroke-width]="part.chosen ? 3 : 1.8"
              />
              <path
                [attr.d]="part.pictogram"
                transform="translate(8 24)"
                class="fill-none stroke-ink"
                stroke-width="2"
                stroke-linejoin="round"
              />
              <text
                x="36"
                y="41"
                class="fill-ink font-bold"
                [class]="part.name.length > 16 ? 'text-[13px]' : 'text-[15px]'"
              >
                {{ part.name }}
              </text>
              @if (part.bleeder) {
                <path
                  d="M-4 0 0 -9 4 0z"
                  [attr.transform]="'translate(' + (part.width - 18) + ' 0)'"
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
                [attr.x]="port.x"
                [attr.y]="port.textY"
                text-anchor="middle"
                class="pointer-events-none fill-ink-soft text-[13px]"
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
      label="Drawing"
      [options]="arrangements"
      [value]="by()"
      (changed)="by.set($event)"
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
      <button type="button" class="bar-btn" aria-label="Zoom out" (click)="pan.zoom(-1)">−</button>
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
  `,
})
export class CircuitDrawing {
  private readonly store = inject(PlanStore);
  readonly partId = input<string | null>(null);
  readonly lineId = input<string | null>(null);
  readonly picked = output<string>();
  protected readonly arrangements = ARRANGEMENTS;
  readonly by = signal<Arrangement>('vehicle');
  protected readonly margin = MARGIN;
  protected readonly room = inject(PanelLayout);
  protected readonly size = hostSize({ width: 860, height: 560 });
  protected readonly pan = new PanZoom(
    this.size,
    computed(() => this.drawing()),
    SMALLEST,
  );
  /** What the layout depends on, so that an edit of a corner does not lay it out again. */
  private readonly graph = computed(() => circuitGraph(this.store.view()), {
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });

  private readonly laid = computed(() => layOutCircuits({ ...this.graph(), by: this.by() }));

  constructor() {
    effect(() => {
      if (this.room.fitAsked()) this.pan.fit();
    });
    effect(() => {
      this.laid();
      this.pan.fit();
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
    return worstBy(this.store.snags(), ({ place }) => {
      if (place.kind === 'port') return view.ports.get(place.id)?.part.id;
      if (place.kind !== 'line') return undefined;
      const line = view.lines.find((v) => v.line.id === place.id);
      const atA = (place.node ?? 0) <= 1;
      return (atA ? line?.ports.a : line?.ports.b)?.part.id;
    });
  });

  protected readonly drawing = computed(() => {
    const [laid, view] = [this.laid(), this.store.view()];
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
        const { foot } = laid.names.get(line.id)!;
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
            labelX: foot.x,
            labelY: foot.y,
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
            width: box.width,
            height: box.height,
            pictogram: PICTOGRAMS[part.kind],
            chosen: part.id === this.partId(),
            level,
            words: `${part.name}${level ? `, ${level}` : ''}`,
            bleeder: part.ports.some((port) => port.role === 'bleeder'),
            signX: at.x + box.width - 16,
            signY: at.y - 10,
            ports: this.portsOf(part, joined, box),
          },
        ];
      }),
    };
  });

  /** The ports of a part with their names; the far side of one that a hose leaves at has none. */
  private portsOf(part: Part, joined: ReadonlySet<string | null>, box: BoxToPlace) {
    return drawnPorts(part).flatMap((port) => {
      const is = joined.has(port.id);
      const text =
        port.role === 'spare' ? `${port.name}, capped` : is ? port.name : `${port.name}, open`;
      const face = box.ports.find(({ id }) => id === port.id)!.face;
      const ports = box.ports.filter((one) => one.face === face).length;
      const { x, y } = this.laid().ports.get(port.id)!;
      const far = this.laid().ports.get(farSide(port.id));
      const own = {
        id: port.id,
        x,
        y,
        joined: is,
        text: text.slice(0, Math.floor(portRoomPx(box.width, ports) / LETTER_PX)),
        textY: face === 'top' ? y + 18 : y - 9,
      };
      return far ? [own, { ...own, ...far, id: farSide(port.id), text: '' }] : [own];
    });
  }
}
