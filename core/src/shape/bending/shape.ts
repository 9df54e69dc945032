import { arcMm, tangentMm } from '../tube/index.ts';
import {
  addScaled,
  cross,
  distance,
  dot,
  rotate,
  unit,
  sub,
  type Vec3,
} from '../../lib/vec/index.ts';

/** One bend of a tube: where it begins from the cut end A, its turn against the bend before it, its angle. */
export interface MadeBend {
  readonly markMm: number;
  readonly rotateDeg: number;
  readonly bendDeg: number;
}
/** How a tube is held at end A: the direction of its first straight and the normal of its first bend's plane. */
export interface Held {
  readonly atMm: Vec3;
  readonly direction: Vec3;
  readonly normal: Vec3;
}
/** A bent tube in space. */
export interface Bent {
  /** Where the center lines of two neighboring straights meet, one a bend. */
  readonly cornersMm: readonly Vec3[];
  /** End of the last bend, and the way of the straight after it. */
  readonly lastMm: Vec3;
  readonly way: Vec3;
  /** Normal of the last bend's plane. */
  readonly normal: Vec3;
  /** What is straight after the last bend. */
  readonly tailMm: number;
}
/** What a tape reads after a bend, the bend laid flat: to center lines but for the outside of the new straight. */
export interface Reading {
  readonly endToBendMm: number;
  readonly heightMm: number;
  readonly tipToTipMm: number;
}

export const ON_THE_BENCH: Held = { atMm: [0, 0, 0], direction: [1, 0, 0], normal: [0, 0, 1] };

/** One center-line radius, or one for each bend. */
export type Clr = number | readonly number[];
export const clrAt = (clr: Clr, bend: number): number =>
  typeof clr === 'number' ? clr : clr[bend]!;

/** How far a tube is followed: the end of its last bend, the way and the normal there, what was used up to it. */
interface Front {
  readonly cornerMm: Vec3;
  readonly lastMm: Vec3;
  readonly way: Vec3;
  readonly normal: Vec3;
  readonly runMm: number;
}
const beginOf = ({ atMm, direction, normal }: Held): Front => ({
  cornerMm: atMm,
  lastMm: atMm,
  way: direction,
  normal,
  runMm: 0,
});
function past(front: Front, { markMm, rotateDeg, bendDeg }: MadeBend, clrMm: number): Front {
  const tangent = tangentMm(bendDeg, clrMm);
  const cornerMm = addScaled(front.lastMm, front.way, markMm - front.runMm + tangent);
  const normal = rotate(front.normal, front.way, rotateDeg);
  const way = rotate(front.way, normal, bendDeg);
  return {
    cornerMm,
    lastMm: addScaled(cornerMm, way, tangent),
    way,
    normal,
    runMm: markMm + arcMm(bendDeg, clrMm),
  };
}

/** A tube of a length with these bends in it. A feed below nothing is taken as it comes: the caller sees to it. */
export function bent(
  bends: readonly MadeBend[],
  clrMm: Clr,
  cutMm: number,
  held: Held = ON_THE_BENCH,
): Bent {
  let front = beginOf(held);
  const cornersMm: Vec3[] = [];
  for (const [i, bend] of bends.entries()) {
    front = past(front, bend, clrAt(clrMm, i));
    cornersMm.push(front.cornerMm);
  }
  const { lastMm, way, normal, runMm } = front;
  return { cornersMm, lastMm, way, normal, tailMm: cutMm - runMm };
}

type SignedReading = readonly [across: number, height: number, tip: number];
/** What the tape reads of a tube after a bend, end A over the plane and beside the straight with their signs. */
function signedReading(
  { cornerMm, lastMm, way, normal }: Omit<Front, 'runMm'>,
  tailMm: number,
  endA: Vec3,
): SignedReading {
  const arm = sub(endA, cornerMm);
  return [
    dot(arm, cross(normal, way)),
    dot(arm, normal),
    distance(endA, addScaled(lastMm, way, tailMm)),
  ];
}
/** What the tape reads of a tube on the bench after each of its bends, cut so long each time. */
export function signedReadings(
  bends: readonly MadeBend[],
  clrMm: Clr,
  cutMm: (bend: number) => number,
): SignedReading[] {
  let front = beginOf(ON_THE_BENCH);
  return bends.map((bend, k) => {
    front = past(front, bend, clrAt(clrMm, k));
    return signedReading(front, cutMm(k) - front.runMm, ON_THE_BENCH.atMm);
  });
}

/** The reading of a tube after its last bend. */
export function readingOf(tube: Bent, endA: Vec3, odMm: number): Reading {
  const cornerMm = tube.cornersMm.at(-1)!;
  const [across, height, tipToTipMm] = signedReading({ ...tube, cornerMm }, tube.tailMm, endA);
  return { endToBendMm: Math.abs(across) + odMm / 2, heightMm: Math.abs(height), tipToTipMm };
}

/** How a tube is held for its nodes to lie as planned: along the first straight, its first bend in its own plane. */
export function heldAs(nodesMm: readonly Vec3[]): Held {
  const [first, corner] = [nodesMm[0]!, nodesMm[1]!];
  const direction = unit(sub(corner, first))!;
  const normal = nodesMm
    .slice(2)
    .map((node) => unit(cross(direction, sub(node, corner))))
    .find((n) => n !== null) ?? [0, 0, 1];
  return { atMm: first, direction, normal };
}
