import { gapTo, obstacleOf, type Thing } from '../../shape/obstacles/index.ts';
import { add, addScaled, nearestTo, pointAt, sub, type Vec3 } from '../../lib/vec/index.ts';

/** A bracket further than this from a rail or member is not fixed to it, mm. */
const BESIDE_MM = 250;

/** The middle of what a bracket at a place is fixed to, the nearest rail or member; else a line along the vehicle. */
function pathBeside(things: readonly Thing[], at: Vec3): readonly Vec3[] {
  let best: readonly Vec3[] = [addScaled(at, [-1, 0, 0], 10_000), addScaled(at, [1, 0, 0], 10_000)];
  let leastMm = BESIDE_MM;
  for (const thing of things) {
    if (!thing.holds || thing.shape.kind !== 'bar') continue;
    const gap = gapTo(obstacleOf(thing), at, at, leastMm);
    if (gap && gap.distanceMm < leastMm) [best, leastMm] = [thing.shape.pathMm, gap.distanceMm];
  }
  return best;
}

/** Where a bracket comes to when it is slid so far along the rail or member beside it, aft where that runs aft: never off its end. */
export function slideAlong(things: readonly Thing[], fromMm: Vec3, byMm: number): Vec3 {
  const path = pathBeside(things, fromMm);
  const from = nearestTo(path, fromMm).runMm;
  return add(fromMm, sub(pointAt(path, from + byMm).at, pointAt(path, from).at));
}
/** By how much it is slid to come as near as it can to a place, in steps of `stepMm`. */
export function slideTo(
  things: readonly Thing[],
  fromMm: Vec3,
  towardMm: Vec3,
  stepMm = 5,
): number {
  const path = pathBeside(things, fromMm);
  return (
    Math.round((nearestTo(path, towardMm).runMm - nearestTo(path, fromMm).runMm) / stepMm) * stepMm
  );
}
