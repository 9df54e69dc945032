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
  /** Where the centre lines of two neighbouring straights meet, one a bend. */
  readonly cornersMm: readonly Vec3[];
  /** End of the last bend, and the way of the straight after it. */
  readonly lastMm: Vec3;
  readonly way: Vec3;
  /** Normal of the last bend's plane. */
  readonly normal: Vec3;
  /** What is straight after the last bend. */
  readonly tailMm: number;
}
/** What a tape reads after a bend, the bend laid flat: to centre lines but for the outside of the new straight. */
export interface Reading {
  readonly endToBendMm: number;
  readonly heightMm: number;
  readonly tipToTipMm: number;
}

export const ON_THE_BENCH: Held = { atMm: [0, 0, 0], direction: [1, 0, 0], normal: [0, 0, 1] };

/** One centre-line radius, or one for each bend. */
export type Clr = number | readonly number[];
export const clrAt = (clr: Clr, bend: number): number =>
  typeof clr === 'number' ? clr : clr[bend]!;

/** A tube of a length with these bends in it. A feed below nothing is taken as it comes: the caller sees to it. */
export function bent(
  bends: readonly MadeBend[],
  clrMm: Clr,
  cutMm: number,
  held: Held = ON_THE_BENCH,
): Bent {
  let [at, way, normal] = [held.atMm, held.direction, held.normal];
  let run = 0;
  const cornersMm: Vec3[] = [];
  for (const [i, { markMm, rotateDeg, bendDeg }] of bends.entries()) {
    const r = clrAt(clrMm, i);
    const tangent = tangentMm(bendDeg, r);
    at = addScaled(at, way, markMm - run + tangent);
    cornersMm.push(at);
    normal = rotate(normal, way, rotateDeg);
    way = rotate(way, normal, bendDeg);
    at = addScaled(at, way, tangent);
    run = markMm + arcMm(bendDeg, r);
  }
  return { cornersMm, lastMm: at, way, normal, tailMm: cutMm - run };
}

/** What the tape reads of a tube after its last bend, end A over the plane and beside the straight with their signs. */
export function signedReading(
  { cornersMm, lastMm, way, normal, tailMm }: Bent,
  endA: Vec3,
): readonly [across: number, height: number, tip: number] {
  const arm = sub(endA, cornersMm[cornersMm.length - 1]!);
  return [
    dot(arm, cross(normal, way)),
    dot(arm, normal),
    distance(endA, addScaled(lastMm, way, tailMm)),
  ];
}

/** The reading of a tube after its last bend. */
export function readingOf(tube: Bent, endA: Vec3, odMm: number): Reading {
  const [across, height, tipToTipMm] = signedReading(tube, endA);
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
