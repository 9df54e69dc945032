import {
  mapVec,
  addScaled,
  cross,
  distance,
  dot,
  scale,
  squareTo,
  sub,
  type Vec3,
} from '../../lib/vec/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { gapTo, obstacleOf, type Thing } from '../../shape/obstacles/index.ts';
import { worstOf } from '../../shape/rod/index.ts';
import type { PortView } from '../../plan/index.ts';
import { type HoseView } from './hose-view.ts';
import { placeEnd, sweep } from './hose-sweep.ts';
import { rubs, type Progress } from './lengths.ts';

/** A place for end A's bracket, with how the hose fares from there. */
export interface BracketPlace {
  readonly atMm: Vec3;
  readonly direction: Vec3;
  readonly to: Thing;
  readonly leastRadiusMm: number;
  readonly ok: boolean;
  readonly why: string;
}

/** How far from where it is now a bracket is looked for, and in what steps. */
const REACH_MM = 200;
const STEP_MM = 40;
/** A seat stands this far off what its bracket is fixed to. Common practice. */
const STANDOFF_MM = 30;
const ALONG_AXES: readonly Vec3[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
];
const NO_PORTS: ReadonlyMap<string, PortView> = new Map();

/** Places along what holds, near enough to where the bracket stands now. */
function placesNear(things: readonly Thing[], from: Vec3): { atMm: Vec3; to: Thing; off: Vec3 }[] {
  return things.flatMap((thing) => {
    if (!thing.holds || thing.shape.kind !== 'bar') return [];
    const obstacle = obstacleOf(thing);
    const seen = gapTo(obstacle, from, from, REACH_MM + STANDOFF_MM);
    if (!seen) return [];
    const { pathMm } = thing.shape;
    return pathMm.slice(1).flatMap((to, i) => {
      const start = pathMm[i]!;
      const long = distance(to, start);
      const along = scale(sub(to, start), 1 / Math.max(long, 1e-9));
      const upright = squareTo(along);
      const level = cross(upright, along);
      const sides = [upright, scale(upright, -1), level, scale(level, -1)];
      return Array.from({ length: Math.floor(long / STEP_MM) + 1 }, (_, n) =>
        addScaled(start, along, n * STEP_MM),
      ).flatMap((p) =>
        sides.flatMap((off) => {
          const skin = gapTo(obstacle, addScaled(p, off, 300), addScaled(p, off, 300), 400);
          if (!skin) return [];
          const atMm = addScaled(skin.onThing, off, STANDOFF_MM);
          const away = distance(atMm, from);
          return away <= REACH_MM
            ? [{ atMm: mapVec(atMm, (v) => Math.round(v)), to: thing, off }]
            : [];
        }),
      );
    });
  });
}
/**
 * Places and directions for the bracket at end A along rails and members near it, best first, at most
 * `most` that lie apart from one another: those that serve in every state, then the widest bend. The
 * hose keeps its length.
 */
export function bracketPlaces(
  view: HoseView,
  things: readonly Thing[],
  most = 3,
  progress: Progress = () => undefined,
): BracketPlace[] {
  const { hose, ends, stock, freeMm } = view;
  const candidates = placesNear(things, ends.a.seatMm);
  const found = candidates.flatMap(({ atMm, to, off }, n): BracketPlace[] => {
    progress(n / candidates.length);
    return ALONG_AXES.flatMap((direction) => {
      // Into what it is fixed to it cannot point.
      if (dot(direction, off) < -0.5) return [];
      const a = placeEnd({ ...hose.ends.a, portId: null, atMm, direction }, NO_PORTS);
      try {
        const states = sweep(hose.motion, a.clamp, ends.b, freeMm, stock, null);
        const { verdict } = worstOf(states)!;
        const leastRadiusMm = Math.min(
          ...states.map((state) => state.minRadiusMm ?? (state.shape ? Infinity : 0)),
        );
        return [
          {
            atMm,
            direction,
            to,
            leastRadiusMm,
            ok: verdict === 'ok',
            why: verdict === 'ok' ? '' : verdict,
          },
        ];
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        return [];
      }
    });
  });
  const order = found.sort(
    (p, q) => Number(q.ok) - Number(p.ok) || q.leastRadiusMm - p.leastRadiusMm,
  );
  const kept: BracketPlace[] = [];
  for (const place of order) {
    if (kept.length === most) break;
    const apart = kept.every((one) => distance(one.atMm, place.atMm) > STEP_MM * 1.4);
    if (!apart) continue;
    // Those that are kept are measured against things too.
    const a = placeEnd(
      { ...hose.ends.a, portId: null, atMm: place.atMm, direction: place.direction },
      NO_PORTS,
    );
    const touching = sweep(hose.motion, a.clamp, ends.b, freeMm, stock, things).find(rubs);
    kept.push(
      touching ? { ...place, ok: false, why: `rubs on ${touching.near!.thing.name}` } : place,
    );
  }
  return kept.sort((p, q) => Number(q.ok) - Number(p.ok) || q.leastRadiusMm - p.leastRadiusMm);
}
