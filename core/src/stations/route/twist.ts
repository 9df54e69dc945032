import {
  mover,
  turnAlong,
  twisted,
  type Motion,
  type Pose,
  type Settled,
} from '../../shape/rod/index.ts';
import { degrees, squareTo, unit } from '../../lib/vec/index.ts';
import type { EndPlace, HoseState } from './hose-sweep.ts';
import { neighbor } from './neighbor.ts';

/**
 * By how much a hose is twisted from end to end in each state of its travel, deg, once both ends are
 * tight: no nut, swivel or banjo turns then. It is free of twist at ride, where it is tightened, and is
 * followed from there. Null where it does not reach or comes to no rest.
 */
export function twistThrough(
  motion: Motion,
  a: EndPlace,
  b: EndPlace,
  lengthMm: number,
  stiffness: number,
  states: readonly HoseState[],
): (number | null)[] {
  const firstMark = squareTo(unit(a.clamp.direction)!);
  const lastMark = squareTo(b.clamp.direction);
  const turned: { pose: Pose; rods: readonly Settled[] }[] = [];
  let freeRad = 0;
  for (const { pose, rods, clampB } of states) {
    const marks = [firstMark, mover(motion, pose)!.direction(lastMark)] as const;
    if (!turned.length && rods[0]) freeRad = turnAlong(rods[0], marks);
    const rod = rods.length
      ? twisted(
          lengthMm,
          a.clamp,
          clampB,
          { marks, freeRad, stiffness },
          neighbor(turned, pose)?.rods[0] ?? null,
          rods,
        )
      : null;
    turned.push({ pose, rods: rod ? [rod] : [] });
  }
  return turned.map(({ rods: [rod] }) => (rod ? degrees(rod.twistRad) : null));
}
