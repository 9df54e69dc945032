import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { dieSolid, pose, type PosedRod, type Solid } from '@firm-line/core/shape/bending';
import { orderInput, type BendRow } from '@firm-line/core/stations/make/making';
import type { LineView } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/lib/vec';

/** The eye stands before the bench, a good way over it. */
const HEIGHT_SHARE = Math.sin((52 * Math.PI) / 180);
const BACK = Math.cos((52 * Math.PI) / 180);
/** Bench and tube are drawn this far round the die; what lies further runs out of the picture. */
const SIDE_MM = 330;

interface Face {
  readonly points: string;
  readonly look: string;
}
interface Stroke {
  readonly d: string;
  readonly wide: number;
  readonly look: string;
}

/** A tube in the bender at one bend, as whoever bends it sees it: what is bent already, where it lies, which end is at hand. */
@Component({
  selector: 'fl-bender-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="frame().view"
      class="h-auto w-full rounded-lg bg-paper"
      role="img"
      [attr.aria-label]="said()"
    >
      @for (face of faces(); track $index) {
        <polygon
          [attr.points]="face.points"
          [class]="face.look"
          stroke-width="1.5"
          stroke-linejoin="round"
        />
      }
      @for (stroke of after(); track $index) {
        <path
          [attr.d]="stroke.d"
          [class]="stroke.look"
          [attr.stroke-width]="stroke.wide"
          fill="none"
          stroke-linecap="round"
          stroke-dasharray="7 9"
        />
      }
      <ellipse
        [attr.cx]="die().x"
        [attr.cy]="die().y"
        [attr.rx]="die().rx"
        [attr.ry]="die().ry"
        class="fill-ink-soft stroke-ink"
        stroke-width="1.5"
      />
      @for (stroke of tube(); track $index) {
        <path
          [attr.d]="stroke.d"
          [class]="stroke.look"
          [attr.stroke-width]="stroke.wide"
          fill="none"
          stroke-linecap="round"
        />
      }
      @if (sweep(); as arc) {
        <path
          [attr.d]="arc"
          class="stroke-copper"
          stroke-width="4"
          fill="none"
          marker-end="url(#swept)"
        />
      }
      @if (row().rotateDeg !== null && turn()) {
        <path
          d="M-92 -34 A26 26 0 1 1 -92 18"
          class="stroke-fluid"
          stroke-width="4"
          fill="none"
          [attr.transform]="turn()! < 0 ? 'translate(0 -8) scale(1 -1)' : 'translate(0 8)'"
          marker-end="url(#turned)"
        />
      }
      <defs>
        <marker
          id="swept"
          viewBox="0 0 10 10"
          refX="5"
          refY="5"
          markerWidth="4.5"
          markerHeight="4.5"
          orient="auto-start-reverse"
        >
          <path d="M0 0 10 5 0 10z" class="fill-copper" />
        </marker>
        <marker
          id="turned"
          viewBox="0 0 10 10"
          refX="5"
          refY="5"
          markerWidth="4.5"
          markerHeight="4.5"
          orient="auto-start-reverse"
        >
          <path d="M0 0 10 5 0 10z" class="fill-fluid" />
        </marker>
      </defs>
      @for (end of ends(); track end.name) {
        <g
          [attr.transform]="
            'translate(' + end.x + ' ' + end.y + ') scale(' + frame().half / 260 + ')'
          "
        >
          <circle r="14" class="fill-sheet stroke-ink" stroke-width="2" />
          <text text-anchor="middle" dy="6" class="fill-ink text-[17px] font-bold">
            {{ end.name }}
          </text>
          @if (end.near) {
            <text
              [attr.text-anchor]="end.x > 0 ? 'end' : 'start'"
              [attr.x]="end.x > 0 ? 14 : -14"
              y="34"
              class="fill-ink stroke-paper text-[17px] font-semibold"
              stroke-width="5"
              paint-order="stroke"
            >
              this end to you
            </text>
          }
        </g>
      }
    </svg>
  `,
})
export class BenderPicture {
  readonly view = input.required<LineView>();
  readonly row = input.required<BendRow>();
  /** Bends made before this one. */
  readonly made = input.required<ReadonlySet<number>>();
  protected readonly input = computed(() => {
    const { card, bender, tube, nuts } = this.view();
    return orderInput({ card: card!, bender, tube, nuts });
  });
  private readonly rods = computed(() => this.posed(0));
  private readonly bent = computed(() => this.posed(this.row().bendDeg));
  protected readonly turn = computed(() => {
    const { rotateDeg } = this.row();
    if (rotateDeg === null || Math.abs(rotateDeg) < 0.05) return null;
    return this.view().bender.kind === 'hand' ? rotateDeg : -rotateDeg;
  });

  private posed(angleDeg: number): PosedRod[] {
    const { bend, clamped } = this.row();
    return pose(this.input().tube, bend, clamped, angleDeg, this.made());
  }
  protected readonly faces = computed((): Face[] => {
    const { bench } = this.input();
    const low = (solid: Solid): number => (solid.kind === 'box' ? solid.minMm[2] : solid.footMm[2]);
    return [...bench.solids].sort((a, b) => low(a) - low(b)).flatMap((solid) => facesOf(solid));
  });
  /** As much of the tube as lies near the die, so that it is seen large; bench and tube run out of the picture. */
  protected readonly frame = computed(() => {
    const far = this.rods()
      .filter(({ own }) => !own)
      .flatMap(({ to }) => [Math.abs(to[0]), Math.abs(to[1])]);
    const half = Math.min(SIDE_MM, Math.max(130, 1.15 * Math.max(0, ...far)));
    return { half, view: `${-half} ${-0.68 * half} ${2 * half} ${1.22 * half}` };
  });
  protected readonly die = computed(() => {
    const { dieRadiusMm, tube } = this.input();
    const die = dieSolid(dieRadiusMm, tube.odMm);
    const at = flat([0, dieRadiusMm, 0]);
    return die.kind === 'cylinder'
      ? { x: at[0], y: at[1], rx: die.radiusMm, ry: die.radiusMm * HEIGHT_SHARE }
      : { x: 0, y: 0, rx: 0, ry: 0 };
  });
  protected readonly tube = computed(() =>
    strokes(this.rods(), (rod) =>
      rod.slid ? 'stroke-ink' : rod.side === 'clamped' ? 'stroke-ink-soft' : 'stroke-copper',
    ),
  );
  protected readonly after = computed(() =>
    strokes(
      this.bent().filter(({ side }) => side === 'free'),
      () => 'stroke-copper/60',
    ),
  );
  protected readonly sweep = computed(() => {
    const { dieRadiusMm } = this.input();
    const r = dieRadiusMm + 110;
    const at = (deg: number): string => {
      const rad = ((deg - 90) * Math.PI) / 180;
      return flat([r * Math.cos(rad), dieRadiusMm + r * Math.sin(rad), 0])
        .map((v) => v.toFixed(1))
        .join(' ');
    };
    const end = this.row().bendDeg;
    const steps = Array.from({ length: 13 }, (_, i) => at(0.2 * end + (0.72 * end * i) / 12));
    return `M${steps.join('L')}`;
  });
  protected readonly ends = computed(() => {
    const rods = this.rods().filter(({ slid }) => !slid);
    const { cutMm } = this.input().tube;
    // The rods run out from the die both ways: the last of each side ends the tube.
    const clamped = this.row().clamped;
    const of = (side: PosedRod['side']): Vec3 =>
      rods.filter((rod) => rod.side === side).at(-1)?.to ?? [0, 0, 0];
    const a = of(clamped === 'a' ? 'clamped' : 'free');
    const b = of(clamped === 'a' ? 'free' : 'clamped');
    const nearer = a[1] <= b[1] ? 'A' : 'B';
    return cutMm > 0
      ? [
          { name: 'A', at: a },
          { name: 'B', at: b },
        ].map(({ name, at }) => {
          const [x, y] = flat(at);
          const { half } = this.frame();
          const edge = half - 0.06 * half;
          return {
            name,
            near: name === nearer,
            x: Math.min(edge, Math.max(-edge, x)),
            y: Math.min(0.46 * half, Math.max(-0.6 * half, y)),
          };
        })
      : [];
  });
  protected readonly said = computed(() => {
    const { bend, clamped } = this.row();
    return `Bend ${bend + 1} in the bender: end ${clamped.toUpperCase()} is in the clamp, the other sweeps toward you from the back`;
  });
}

/** On the picture: x to the right, y away from the eye and z up both go up it. */
const flat = ([x, y, z]: Vec3): readonly [number, number] => [x, -(y * HEIGHT_SHARE + z * BACK)];
const pair = (at: Vec3): string =>
  flat(at)
    .map((v) => v.toFixed(1))
    .join(' ');

function facesOf(solid: Solid): Face[] {
  if (solid.kind === 'cylinder') {
    const ring = Array.from({ length: 24 }, (_, i): Vec3 => {
      const t = (i * Math.PI) / 12;
      return [
        solid.footMm[0] + solid.radiusMm * Math.cos(t),
        solid.footMm[1] + solid.radiusMm * Math.sin(t),
        solid.footMm[2] + solid.heightMm,
      ];
    });
    return [{ points: ring.map(pair).join(' '), look: 'fill-rule stroke-ink-soft' }];
  }
  const clip = (v: number): number => Math.min(SIDE_MM, Math.max(-SIDE_MM, v));
  const [[x0, y0, z0], [x1, y1, z1]] = [solid.minMm, solid.maxMm];
  const [a, b, c, d] = [clip(x0), clip(x1), clip(y0), clip(y1)];
  const top: Vec3[] = [
    [a, c, z1],
    [b, c, z1],
    [b, d, z1],
    [a, d, z1],
  ];
  const front: Vec3[] = [
    [a, c, z1],
    [b, c, z1],
    [b, c, z0],
    [a, c, z0],
  ];
  const look =
    z1 - z0 > 0 && b - a >= 2 * SIDE_MM - 1
      ? 'fill-sheet stroke-rule'
      : 'fill-rule stroke-ink-soft';
  return [
    { points: top.map(pair).join(' '), look },
    { points: front.map(pair).join(' '), look },
  ];
}

/** Rods as strokes, those further from the eye first. */
function strokes(rods: readonly PosedRod[], lookOf: (rod: PosedRod) => string): Stroke[] {
  return [...rods]
    .sort(
      (a, b) =>
        b.from[1] + b.to[1] - a.from[1] - a.to[1] || a.from[2] + a.to[2] - b.from[2] - b.to[2],
    )
    .map((rod) => ({
      d: `M${pair(rod.from)}L${pair(rod.to)}`,
      wide: Math.max(5, 2 * rod.radiusMm),
      look: lookOf(rod),
    }));
}
