import { boxOf, solidsOf } from '@firm-line/core/shape/obstacles';
import type { LaidPlan } from '@firm-line/core/plan';
import type { UnitSystem } from '@firm-line/core/lib/units';
import type { Vec3 } from '@firm-line/core/lib/vec';
import type { Size } from './element-size';

export type Face = 'top' | 'side';
/**
 * How the two flat views lie on one drawing: in a wide room the top view above the side view, front to the left, to one
 * scale; in a tall one the top view stands with its front up and fills the room, the side view below it to its own.
 */
export interface FlatProjection {
  readonly pxPerMm: Readonly<Record<Face, number>>;
  readonly min: Vec3;
  readonly max: Vec3;
  readonly at: (face: Face, point: Vec3) => readonly [number, number];
  /** The top view stands with its front up. */
  readonly stands: boolean;
  readonly gridMm: Readonly<Record<Face, number>>;
  readonly size: Size;
}

const MARGIN = { left: 48, right: 20, top: 26, between: 44, bottom: 26 };
const PAD_MM = 60;
/** A room this much taller than wide has the top view stand in it. */
const TALL = 1.25;
const GRID_PX = 60;
const IN_MM = 25.4;
/** Steps of a grid: round millimeters, or whole inches and feet. */
const GRIDS: Record<UnitSystem, readonly number[]> = {
  metric: [100, 250, 500, 1000, 2500, 5000, 10_000, 25_000],
  inch: [1, 2, 6, 12, 24, 48, 120, 240, 1200].map((inches) => inches * IN_MM),
};

/** Every place that the views must show. */
export function placesOf(view: LaidPlan): Vec3[] {
  return [
    ...[...view.points.values()].map((p) => p.fixed.atMm),
    ...[...view.ports.values()].filter((p) => p.port.role !== 'bleeder').map((p) => p.fixed.atMm),
    ...view.lines.flatMap((line) => line.nodesMm),
    ...view.plan.things.flatMap(({ shape }) =>
      solidsOf(shape)
        .map(boxOf)
        .flatMap(({ min, max }) => [min, max]),
    ),
  ];
}

const gridOf = (pxPerMm: number, units: UnitSystem): number =>
  GRIDS[units].find((mm) => mm * pxPerMm >= GRID_PX) ?? GRIDS[units].at(-1)!;

export function projectFlat(
  places: readonly Vec3[],
  size: Size,
  units: UnitSystem = 'metric',
): FlatProjection {
  const { width, height } = size;
  const axis = (i: 0 | 1 | 2): [number, number] => {
    const values = places.map((p) => p[i]);
    const [low, high] = values.length ? [Math.min(...values), Math.max(...values)] : [0, 0];
    const more = Math.max(0, 300 - (high - low)) / 2 + PAD_MM;
    return [low - more, high + more];
  };
  const [x, y, z] = [axis(0), axis(1), axis(2)];
  const long = (of: readonly [number, number]): number => of[1] - of[0];
  const room = {
    w: width - MARGIN.left - MARGIN.right,
    h: height - MARGIN.top - MARGIN.between - MARGIN.bottom,
  };
  const common = { size, min: [x[0], y[0], z[0]], max: [x[1], y[1], z[1]] } as const;
  if (height > TALL * width) {
    const side = Math.max(0.01, Math.min(room.w / long(x), room.h / 3 / long(z)));
    const top = Math.max(0.01, Math.min(room.w / long(y), (room.h - long(z) * side) / long(x)));
    const left = {
      top: MARGIN.left + (room.w - long(y) * top) / 2,
      side: MARGIN.left + (room.w - long(x) * side) / 2,
    };
    const sideTop = MARGIN.top + long(x) * top + MARGIN.between;
    return {
      ...common,
      stands: true,
      pxPerMm: { top, side },
      gridMm: { top: gridOf(top, units), side: gridOf(side, units) },
      // Front up, the vehicle's right to the right; from the left side, up is up.
      at: (face, p) =>
        face === 'top'
          ? [left.top + (p[1] - y[0]) * top, MARGIN.top + (p[0] - x[0]) * top]
          : [left.side + (p[0] - x[0]) * side, sideTop + (z[1] - p[2]) * side],
    };
  }
  const pxPerMm = Math.max(0.01, Math.min(room.w / long(x), room.h / (long(y) + long(z))));
  const left = MARGIN.left + (room.w - long(x) * pxPerMm) / 2;
  const sideTop = MARGIN.top + long(y) * pxPerMm + MARGIN.between;
  const gridMm = gridOf(pxPerMm, units);
  return {
    ...common,
    stands: false,
    pxPerMm: { top: pxPerMm, side: pxPerMm },
    gridMm: { top: gridMm, side: gridMm },
    // From above with the front to the left, the vehicle's right is up the page; from the left side, up is up.
    at: (face, p) => [
      left + (p[0] - x[0]) * pxPerMm,
      face === 'top' ? MARGIN.top + (y[1] - p[1]) * pxPerMm : sideTop + (z[1] - p[2]) * pxPerMm,
    ],
  };
}

/** Multiples of `step` within a range. */
export function ticks(low: number, high: number, step: number): number[] {
  const first = Math.ceil(low / step);
  return Array.from(
    { length: Math.max(0, Math.floor(high / step) - first + 1) },
    (_, i) => (first + i) * step,
  );
}

/** A path through points of one face, to a hundredth of a pixel. */
export const pathThrough = (
  projection: FlatProjection,
  face: Face,
  points: readonly Vec3[],
): string =>
  points
    .map(
      (p, i) =>
        `${i ? 'L' : 'M'}${projection
          .at(face, p)
          .map((v) => v.toFixed(2))
          .join(' ')}`,
    )
    .join('');

export interface Label {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
}
interface LabelBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
/** Width of a letter and height of a line of the small type that labels are set in, px; a little over what they take. */
const LETTER_PX = 7.6;
const LINE_PX = 15;
export function boxOfLabel({ text, x, y, anchor }: Label): LabelBox {
  const wide = text.length * LETTER_PX;
  const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2;
  return { left, right: left + wide, top: y - LINE_PX + 3, bottom: y + 4 };
}
const meets = (a: LabelBox, b: LabelBox): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/**
 * Labels beside their places, none on another and none out of the drawing: each is tried round its place, and left out
 * where it has no room, unless it must stand. `taken` is what is written already.
 */
export function placeLabels(
  wanted: readonly {
    readonly text: string;
    readonly x: number;
    readonly y: number;
    readonly must: boolean;
  }[],
  { width, height }: Size,
  taken: readonly Label[] = [],
): Label[] {
  const boxes = taken.map(boxOfLabel);
  const placed: Label[] = [];
  for (const { text, x, y, must } of wanted.toSorted((a, b) => Number(b.must) - Number(a.must))) {
    const tries: Label[] = [
      { text, x: x + 9, y: y - 9, anchor: 'start' },
      { text, x: x - 9, y: y - 9, anchor: 'end' },
      { text, x: x + 9, y: y + 18, anchor: 'start' },
      { text, x: x - 9, y: y + 18, anchor: 'end' },
    ];
    const fits = tries.find((one) => {
      const box = boxOfLabel(one);
      return (
        box.left >= 0 &&
        box.top >= 0 &&
        box.right <= width &&
        box.bottom <= height &&
        !boxes.some((other) => meets(box, other))
      );
    });
    const one = fits ?? (must ? tries[0]! : null);
    if (!one) continue;
    placed.push(one);
    boxes.push(boxOfLabel(one));
  }
  return placed;
}
