import { mapVec, type Vec3 } from '../../lib/vec/index.ts';
import type { Gap } from './distance.ts';
import { gapTo, pointGapMm, type Obstacle } from './obstacles.ts';
import type { Thing } from './shapes.ts';

/** How near a tube comes to a thing on one stretch of it. */
export interface Clearance {
  readonly thing: Thing;
  /** Surface of the tube to surface of the thing; 0 where they meet. */
  readonly distanceMm: number;
  /** Where that is: along the center line, on it and on the thing. */
  readonly atMm: number;
  readonly onLine: Vec3;
  readonly onThing: Vec3;
}

/** A center line as points, the last one included. */
export type Points = readonly Vec3[];

const lengthOf = (from: Vec3, to: Vec3): number =>
  Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);

/**
 * The nearest a tube of `odMm` comes to a thing, from `fromMm` to `toMm` of its length; null where that
 * is further than `withinMm`. The points are those of its center line, chords at bends.
 */
export function clearanceTo(
  obstacle: Obstacle,
  points: Points,
  odMm: number,
  withinMm: number,
  fromMm = 0,
  toMm = Infinity,
): Clearance | null {
  let run = 0;
  let best: (Gap & { atMm: number }) | null = null;
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1]!, points[i]!];
    const long = lengthOf(from, to);
    const [start, end] = [Math.max(fromMm, run), Math.min(toMm, run + long)];
    if (long > 0 && end > start) {
      const at = (mm: number): Vec3 =>
        mapVec(from, (v, k) => v + ((to[k]! - v) * (mm - run)) / long);
      const limit = best ? best.distanceMm : withinMm + odMm / 2;
      const gap = gapTo(obstacle, at(start), at(end), limit);
      if (gap && (!best || gap.distanceMm < best.distanceMm))
        best = { ...gap, atMm: start + gap.share * (end - start) };
    }
    run += long;
  }
  return (
    best && {
      thing: obstacle.thing,
      distanceMm: Math.max(0, best.distanceMm - odMm / 2),
      atMm: best.atMm,
      onLine: best.onLine,
      onThing: best.onThing,
    }
  );
}

/** Whether a short piece comes within a distance: told by its middle where that is clear, else measured. */
function comesNear(obstacle: Obstacle, from: Vec3, to: Vec3, withinMm: number): boolean {
  if (obstacle.thing.shape.kind !== 'mesh') {
    const half = lengthOf(from, to) / 2;
    const middle: Vec3 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (from[2] + to[2]) / 2];
    const gapMm = pointGapMm(obstacle, middle, withinMm + half + 1);
    if (gapMm <= withinMm) return true;
    if (gapMm > withinMm + half) return false;
  }
  return gapTo(obstacle, from, to, withinMm) !== null;
}

/** Stretches of a tube that come nearer than `withinMm` to a thing, along its length, to about `stepMm`. */
export function stretchesNear(
  obstacle: Obstacle,
  points: Points,
  odMm: number,
  withinMm: number,
  stepMm = 10,
): [number, number][] {
  const found: [number, number][] = [];
  let run = 0;
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1]!, points[i]!];
    const long = lengthOf(from, to);
    if (long > 0 && gapTo(obstacle, from, to, withinMm + odMm / 2)) {
      const count = Math.max(1, Math.ceil(long / stepMm));
      const at = (k: number): Vec3 => mapVec(from, (v, axis) => v + ((to[axis]! - v) * k) / count);
      for (let k = 0; k < count; k++) {
        if (!comesNear(obstacle, at(k), at(k + 1), withinMm + odMm / 2)) continue;
        const [start, end] = [run + (long * k) / count, run + (long * (k + 1)) / count];
        const last = found.at(-1);
        if (last && start <= last[1] + 1e-6) last[1] = end;
        else found.push([start, end]);
      }
    }
    run += long;
  }
  return found;
}
