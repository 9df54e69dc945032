import { boxOf, solidsOf } from '@firm-line/core/frame';
import type { LaidPlan } from '@firm-line/core/plan';
import type { Vec3 } from '@firm-line/core/vec';
import type { Size } from './element-size';

export type Face = 'top' | 'side';
/** How the two flat views lie on one drawing: the top view above the side view, front to the left, one scale. */
export interface FlatProjection {
  readonly pxPerMm: number;
  readonly min: Vec3;
  readonly max: Vec3;
  readonly at: (face: Face, point: Vec3) => readonly [number, number];
  readonly gridMm: number;
  readonly size: Size;
}

const MARGIN = { left: 48, right: 20, top: 26, between: 40, bottom: 26 };
const PAD_MM = 60;

/** Every place that the views must show. */
export function placesOf(view: LaidPlan): Vec3[] {
  return [
    ...[...view.points.values()].map((p) => p.fixed.atMm),
    ...[...view.ports.values()].filter((p) => p.port.role !== 'bleeder').map((p) => p.fixed.atMm),
    ...view.lines.flatMap((line) => line.nodesMm),
    ...view.plan.things.flatMap(({ shape }) => solidsOf(shape).map(boxOf).flatMap(({ min, max }) => [min, max])),
  ]; // prettier-ignore
}

export function projectFlat(places: readonly Vec3[], size: Size): FlatProjection {
  const { width, height } = size;
  const axis = (i: 0 | 1 | 2): [number, number] => {
    const values = places.map((p) => p[i]);
    const [low, high] = values.length ? [Math.min(...values), Math.max(...values)] : [0, 0];
    const more = Math.max(0, 300 - (high - low)) / 2 + PAD_MM;
    return [low - more, high + more];
  };
  const [x, y, z] = [axis(0), axis(1), axis(2)];
  const room = { w: width - MARGIN.left - MARGIN.right, h: height - MARGIN.top - MARGIN.between - MARGIN.bottom };
  const pxPerMm = Math.max(0.01, Math.min(room.w / (x[1] - x[0]), room.h / (y[1] - y[0] + z[1] - z[0])));
  const left = MARGIN.left + (room.w - (x[1] - x[0]) * pxPerMm) / 2;
  const sideTop = MARGIN.top + (y[1] - y[0]) * pxPerMm + MARGIN.between;
  return {
    size,
    pxPerMm,
    min: [x[0], y[0], z[0]],
    max: [x[1], y[1], z[1]],
    // From above with the front to the left, the vehicle's right is up the page; from the left side, up is up.
    at: (face, p) => [
      left + (p[0] - x[0]) * pxPerMm,
      face === 'top' ? MARGIN.top + (y[1] - p[1]) * pxPerMm : sideTop + (z[1] - p[2]) * pxPerMm,
    ],
    gridMm: [100, 250, 500, 1000, 2500, 5000, 10_000].find((mm) => mm * pxPerMm >= 60) ?? 25_000,
  };
}

/** Multiples of `step` within a range. */
export function ticks(low: number, high: number, step: number): number[] {
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.max(0, Math.floor(high / step) - first + 1) }, (_, i) => (first + i) * step);
}

/** A path through points of one face, to a hundredth of a pixel. */
export const pathThrough = (projection: FlatProjection, face: Face, points: readonly Vec3[]): string =>
  points.map((p, i) => `${i ? 'L' : 'M'}${projection.at(face, p).map((v) => v.toFixed(2)).join(' ')}`).join(''); // prettier-ignore
