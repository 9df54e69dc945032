import { addScaled, distance, shareAlong, sub, unit, type Vec3 } from './vec.ts';

/** A path through places, walked from its first; lengths and runs in mm. */
export type Path = readonly Vec3[];

/** How far along a path each of its places lies. */
export function runsOf(path: Path): number[] {
  const runs: number[] = [];
  for (const [i, at] of path.entries())
    runs.push(i ? runs[i - 1]! + distance(path[i - 1]!, at) : 0);
  return runs;
}
export const pathLength = (path: Path): number => runsOf(path).at(-1) ?? 0;

/** The place so far along a path, and the way it runs there; its ends where that is past them. */
export function pointAt(path: Path, runMm: number): { readonly at: Vec3; readonly along: Vec3 } {
  let run = 0;
  let found: { at: Vec3; along: Vec3 } = { at: path[0]!, along: [1, 0, 0] };
  for (let i = 1; i < path.length; i++) {
    const [from, to] = [path[i - 1]!, path[i]!];
    const along = unit(sub(to, from));
    if (!along) continue;
    const long = distance(from, to);
    found = { at: addScaled(from, along, Math.min(Math.max(runMm - run, 0), long)), along };
    run += long;
    if (run >= runMm) break;
  }
  return found;
}

/** Where a path comes nearest to a place: there, how far along, on which leg, how far away. Of equals the first. */
export function nearestTo(
  path: Path,
  place: Vec3,
): { readonly at: Vec3; readonly runMm: number; readonly leg: number; readonly awayMm: number } {
  let best = { at: path[0]!, runMm: 0, leg: 0, awayMm: distance(path[0]!, place) };
  let run = 0;
  for (let leg = 0; leg + 1 < path.length; leg++) {
    const [from, to] = [path[leg]!, path[leg + 1]!];
    const [long, share] = [distance(from, to), shareAlong(place, from, to)];
    const at = addScaled(from, sub(to, from), share);
    const awayMm = distance(at, place);
    if (awayMm < best.awayMm) best = { at, runMm: run + share * long, leg, awayMm };
    run += long;
  }
  return best;
}
