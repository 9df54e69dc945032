import { gapTo, obstacleOf, type Thing } from '../frame/index.ts';
import { add, addScaled, distance, scale, shareAlong, sub, type Vec3 } from '../vec/index.ts';

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

/** How far along a path it comes nearest to a place. */
function runTo(path: readonly Vec3[], at: Vec3): number {
  let [run, best, least] = [0, 0, Infinity];
  for (let i = 1; i < path.length; i++) {
    const [from, to] = [path[i - 1]!, path[i]!];
    const long = distance(from, to);
    const share = shareAlong(at, from, to);
    const off = distance(at, addScaled(from, sub(to, from), share));
    if (off < least) [best, least] = [run + share * long, off];
    run += long;
  }
  return best;
}
/** The place so far along a path; its ends where that is past them. */
function placeOn(path: readonly Vec3[], runMm: number): Vec3 {
  let run = 0;
  for (let i = 1; i < path.length; i++) {
    const way = sub(path[i]!, path[i - 1]!);
    const long = Math.hypot(...way);
    if (runMm <= run + long && long) return addScaled(path[i - 1]!, scale(way, 1 / long), Math.max(0, runMm - run));
    run += long;
  }
  return path.at(-1)!;
}

/** Where a bracket comes to when it is slid so far along the rail or member beside it, aft where that runs aft: never off its end. */
export function slideAlong(things: readonly Thing[], fromMm: Vec3, byMm: number): Vec3 {
  const path = pathBeside(things, fromMm);
  const from = runTo(path, fromMm);
  return add(fromMm, sub(placeOn(path, from + byMm), placeOn(path, from)));
}
/** By how much it is slid to come as near as it can to a place, in steps of `stepMm`. */
export function slideTo(things: readonly Thing[], fromMm: Vec3, towardMm: Vec3, stepMm = 5): number {
  const path = pathBeside(things, fromMm);
  return Math.round((runTo(path, towardMm) - runTo(path, fromMm)) / stepMm) * stepMm;
}
