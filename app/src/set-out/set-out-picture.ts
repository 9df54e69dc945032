import { CIRCUIT_STROKES } from '../kit/circuit-ink';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { boxOf, solidsOf, type Thing } from '@firm-line/core/shape/obstacles';
import { layPlan, type Plan } from '@firm-line/core/plan';
import { polyline } from '@firm-line/core/shape/tube';
import { formatLength } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { dimensionsOf, type Answers } from '@firm-line/core/proposals/set-out';
import { hostSize } from '../kit/element-size';
import { outlineOf } from '../kit/thing-outline';
import { DISPLAY_UNITS } from '../kit/units';

const LOOKS: Partial<Record<Thing['kind'], string>> = {
  floor: 'fill-sheet stroke-rule',
  rail: 'fill-nut stroke-ink-soft',
  member: 'fill-nut stroke-ink-soft',
  axle: 'fill-slate-pale stroke-slate',
  wheel: 'fill-slate-pale stroke-slate',
  exhaust: 'fill-stop stroke-stop [fill-opacity:0.35] [stroke-opacity:0.35]',
  'prop-shaft': 'fill-slate-pale stroke-slate',
};
/** Drawn in this order, what lies lower first. */
const ORDER: readonly Thing['kind'][] = [
  'floor',
  'rail',
  'member',
  'axle',
  'prop-shaft',
  'exhaust',
  'engine',
  'gearbox',
  'wheel',
];
/** Names of masters, which stand side by side, are stacked. */
const LABEL_PX = 17;
const MARGIN = { x: 90, top: 56, bottom: 56 };

/** The vehicle from above, front at the top, with what was said of it as dimensions. */
@Component({
  selector: 'fl-set-out-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative block min-h-96 overflow-hidden' },
  template: `
    <svg
      class="absolute inset-0 h-full w-full"
      [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height"
      role="img"
      [attr.aria-label]="
        'The vehicle from above: ' +
        plan().parts.length +
        ' parts, ' +
        plan().lines.length +
        ' lines'
      "
    >
      @for (thing of things(); track thing.id) {
        <path [attr.d]="thing.d" [class]="thing.look" stroke-width="1.2" stroke-linejoin="round" />
      }
      @for (hose of hoses(); track hose.id) {
        <path
          [attr.d]="hose.d"
          class="fill-none stroke-slate"
          stroke-width="3"
          stroke-dasharray="2 4"
          stroke-linecap="round"
        />
      }
      @for (line of lines(); track line.id) {
        <path
          [attr.d]="line.d"
          class="fill-none"
          [class]="line.look"
          [attr.stroke-width]="line.led ? 4 : 3"
          stroke-linejoin="round"
          [attr.stroke-dasharray]="line.led ? null : '7 5'"
        />
      }
      @for (part of parts(); track part.id) {
        <rect
          [attr.x]="part.x - 6"
          [attr.y]="part.y - 6"
          width="12"
          height="12"
          rx="2"
          class="fill-ink"
        />
        @if (part.name) {
          <text
            [attr.x]="part.x + part.dx"
            [attr.y]="part.y + part.dy"
            [attr.text-anchor]="part.dx < 0 ? 'end' : 'start'"
            class="fill-ink stroke-paper text-[13px] font-semibold"
            stroke-width="3"
            paint-order="stroke"
          >
            {{ part.name }}
          </text>
        }
      }
      @for (dim of dims(); track $index) {
        <path [attr.d]="dim.d" class="fill-none stroke-ink-soft" stroke-width="1.3" />
        <text
          [attr.x]="dim.x"
          [attr.y]="dim.y"
          text-anchor="middle"
          class="fill-ink font-mono text-[14px] font-semibold"
        >
          {{ dim.name }}
        </text>
      }
    </svg>
  `,
})
export class SetOutPicture {
  private readonly units = inject(DISPLAY_UNITS);
  readonly plan = input.required<Plan>();
  readonly answers = input.required<Answers>();
  /** Lines are led already, and not straight across. */
  readonly led = input(false);
  protected readonly size = hostSize({ width: 600, height: 720 });

  /** The vehicle's right to the right, its front up. */
  private readonly at = computed(() => {
    const { width, height } = this.size();
    const corners = this.plan().things.flatMap(({ shape }) =>
      solidsOf(shape)
        .map(boxOf)
        .flatMap(({ min, max }) => [min, max]),
    );
    const [x0, x1] = [Math.min(...corners.map((p) => p[0])), Math.max(...corners.map((p) => p[0]))];
    const half = Math.max(...corners.map((p) => Math.abs(p[1])));
    const scale = Math.max(
      0.01,
      Math.min(
        (width - 2 * MARGIN.x) / (2 * half),
        (height - MARGIN.top - MARGIN.bottom) / (x1 - x0),
      ),
    );
    const top = (height - (x1 - x0) * scale) / 2;
    return (p: Vec3): readonly [number, number] => [
      width / 2 + p[1] * scale,
      top + (p[0] - x0) * scale,
    ];
  });
  private path(points: readonly Vec3[]): string {
    return points
      .map(
        (p, i) =>
          `${i ? 'L' : 'M'}${this.at()(p)
            .map((v) => v.toFixed(1))
            .join(' ')}`,
      )
      .join('');
  }
  private readonly laid = computed(() => layPlan(this.plan()));

  protected readonly things = computed(() => {
    const at = this.at();
    const rank = (one: Thing): number => ORDER.indexOf(one.kind);
    return this.plan()
      .things.toSorted((a, b) => rank(a) - rank(b))
      .map((one) => ({
        id: one.id,
        look: LOOKS[one.kind] ?? 'fill-nut stroke-ink-soft [fill-opacity:0.4]',
        d: outlineOf({ at: (_, p) => at(p) }, 'top', one),
      }));
  });
  protected readonly lines = computed(() =>
    this.laid().lines.map(({ line, pieces, nodesMm }) => ({
      id: line.id,
      led: this.led(),
      look: `${CIRCUIT_STROKES[this.laid().circuits.get(line.circuitId)!.ink]}${line.origin === 'kept' ? ' [stroke-opacity:0.45]' : ''}`,
      d: this.path(this.led() && pieces.length ? polyline(pieces, 8) : nodesMm),
    })),
  );
  protected readonly hoses = computed(() =>
    this.plan().hoses.map(({ id, ends }) => {
      const place = ({ portId, atMm }: typeof ends.a): Vec3 =>
        this.laid().ports.get(portId ?? '')?.fixed.atMm ?? atMm;
      return { id, d: this.path([place(ends.a), place(ends.b)]) };
    }),
  );
  protected readonly parts = computed(() => {
    let named = 0;
    return this.plan().parts.flatMap(({ id, name, kind, ports }) => {
      const [first] = ports;
      if (!first || kind === 'reservoir') return [];
      const [x, y] = this.at()(first.known.atMm);
      const isNamed = kind === 'master' || kind === 'actuator';
      return [
        {
          id,
          x,
          y,
          name: isNamed ? name : '',
          dx: x < this.size().width / 2 ? -10 : 10,
          dy: isNamed ? -14 - LABEL_PX * named++ : 0,
        },
      ];
    });
  });
  /** What was said as lengths: over the rails, wheelbase, track behind. */
  protected readonly dims = computed(() => {
    const { vehicle, railsOverMm, wheelbaseMm, rearTrackMm } = this.answers();
    const { rail, axlesMm } = dimensionsOf(this.answers());
    const at = this.at();
    const text = (mm: number): string => formatLength(mm, this.units(), 1);
    const { width, height } = this.size();
    const level = (mm: number, y: number) => {
      const [a, b] = [at([0, -mm / 2, 0])[0], at([0, mm / 2, 0])[0]];
      return `M${a} ${y - 6}v12M${a} ${y}H${b}M${b} ${y - 6}v12`;
    };
    const isCycle = vehicle === 'motorcycle';
    const [from, to] = [at([0, 0, 0])[1], at([axlesMm[vehicle === 'trailer' ? 0 : 1]!, 0, 0])[1]];
    const right = width - 34;
    return [
      {
        name: text(wheelbaseMm),
        d: `M${right - 6} ${from}h12M${right} ${from}V${to}M${right - 6} ${to}h12`,
        x: right - 36,
        y: (from + to) / 2 - 8,
      },
      ...(isCycle
        ? []
        : [
            { name: text(railsOverMm), d: level(railsOverMm, 34), x: width / 2, y: 22 },
            {
              name: text(rearTrackMm),
              d: level(rearTrackMm, height - 36),
              x: width / 2,
              y: height - 14,
            },
          ]),
    ].filter(() => rail.toMm > rail.fromMm);
  });
}
