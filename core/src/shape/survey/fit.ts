import {
  add,
  addScaled,
  distance,
  dot,
  length,
  scale,
  sub,
  unit,
  ZERO,
  type Vec3,
} from '../../lib/vec/index.ts';
import { eigen, invert, times, type Sym3 } from './linear.ts';

export type Axis = 0 | 1 | 2;
/** Datums this near to one plane (or one line) count as in it; contract of the survey. */
export const IN_PLANE_MM = 1;
export const LEAST_REDUNDANCY = 1e-6;
/** A point found this near to the datums' plane cannot be told from its mirror image. */
export const MIRROR_MM = 1e-3;

export interface Reading {
  readonly datum: Vec3;
  readonly from: string;
  readonly readMm: number;
  readonly weight: number;
  /** Read along this axis alone; null: a tape. */
  readonly axis: Axis | null;
}
export interface Fit {
  readonly point: Vec3;
  readonly cost: number;
  readonly normal: Sym3;
}

const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
export const directionFrom = (r: Reading, point: Vec3): Vec3 =>
  r.axis === null ? (unit(sub(point, r.datum)) ?? [0, 0, 0]) : AXES[r.axis]!;
export const residual = (r: Reading, point: Vec3): number =>
  r.readMm - (r.axis === null ? distance(point, r.datum) : point[r.axis] - r.datum[r.axis]);
const costAt = (readings: readonly Reading[], point: Vec3): number =>
  readings.reduce((sum, r) => sum + r.weight * residual(r, point) ** 2, 0);

/** Normal matrix Σ w·u·uᵀ and right side Σ w·v·u at a point. */
function normalAt(readings: readonly Reading[], point: Vec3): { normal: Sym3; right: Vec3 } {
  const normal: Sym3 = [0, 0, 0, 0, 0, 0];
  let right: Vec3 = ZERO;
  for (const r of readings) {
    const u = directionFrom(r, point);
    normal[0] += r.weight * u[0] * u[0];
    normal[1] += r.weight * u[0] * u[1];
    normal[2] += r.weight * u[0] * u[2];
    normal[3] += r.weight * u[1] * u[1];
    normal[4] += r.weight * u[1] * u[2];
    normal[5] += r.weight * u[2] * u[2];
    right = addScaled(right, u, r.weight * residual(r, point));
  }
  return { normal, right };
}

/** Damped least squares (Levenberg–Marquardt) from one start, to steps of 1e-9 mm. */
export function descend(readings: readonly Reading[], start: Vec3): Fit {
  let point = start;
  let cost = costAt(readings, point);
  let damping = 1e-6;
  for (let round = 0; round < 400; round++) {
    const { normal, right } = normalAt(readings, point);
    const lift = damping * (normal[0] + normal[3] + normal[5]);
    const inverse = invert([
      normal[0] + lift,
      normal[1],
      normal[2],
      normal[3] + lift,
      normal[4],
      normal[5] + lift,
    ]);
    if (!inverse) break;
    const step = times(inverse, right);
    const next = add(point, step);
    const nextCost = costAt(readings, next);
    const stepMm = length(step);
    if (nextCost <= cost) {
      point = next;
      cost = nextCost;
      damping = Math.max(damping / 10, 1e-15);
    } else damping *= 10;
    if (stepMm < 1e-9) break;
  }
  return { point, cost, normal: normalAt(readings, point).normal };
}

/** Best plane of the datums read from: its middle, axes by rising spread, and how far they stray from plane and from line. */
export function spread(datums: readonly Vec3[]): {
  middle: Vec3;
  axes: readonly [Vec3, Vec3, Vec3];
  offPlaneMm: number;
  offLineMm: number;
} {
  const middle = scale(datums.reduce(add, ZERO), 1 / datums.length);
  const scatter: Sym3 = [0, 0, 0, 0, 0, 0];
  for (const datum of datums) {
    const [x, y, z] = sub(datum, middle);
    [x * x, x * y, x * z, y * y, y * z, z * z].forEach((value, i) => (scatter[i] += value));
  }
  const axes = eigen(scatter).vectors;
  const most = (distanceOf: (d: Vec3) => number): number =>
    Math.max(...datums.map((d) => distanceOf(sub(d, middle))));
  return {
    middle,
    axes,
    offPlaneMm: most((d) => Math.abs(dot(d, axes[0]))),
    offLineMm: most((d) => Math.hypot(dot(d, axes[0]), dot(d, axes[1]))),
  };
}

/** Where to start from: both sides of the datums' plane at several heights, over their middle and over each of them. */
export function starts(readings: readonly Reading[], middle: Vec3, normal: Vec3): Vec3[] {
  const heights = [1, 0.6, 0.25].map(
    (share) => share * Math.max(...readings.map((r) => Math.abs(r.readMm))),
  );
  const feet = [middle, ...new Set(readings.map((r) => r.datum))].slice(0, 7);
  return feet.flatMap((foot) =>
    heights.flatMap((h) => [addScaled(foot, normal, h), addScaled(foot, normal, -h)]),
  );
}

export const plainlyDeeper = (a: Fit, b: Fit): boolean => a.cost < b.cost - 1e-9 * (1 + b.cost);
