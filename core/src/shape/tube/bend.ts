import { InputError, figure } from '../../lib/faults/index.ts';
import {
  angleDeg,
  cross,
  distance,
  radians,
  sub,
  turnDeg,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** A node that turns this little is no bend (contract of the bend table). */
const STRAIGHT_DEG = 0.01;
/** A turn beyond this doubles back on itself; a tube cannot. */
const REVERSAL_DEG = 179;
/** Nodes closer than this are one point. */
const SAME_POINT_MM = 1e-6;
/** Rounding allowance of a straight that is exactly used up, relative to its length. */
const ROOM_TOLERANCE = 1e-9;
const SNAP_TURN_DEG = 1e-9;

/** Tube used up by the flare at each end, mm. */
export interface FlareExtra {
  readonly a?: number;
  readonly b?: number;
}
export interface BendInput {
  readonly nodesMm: readonly Vec3[];
  readonly clrMm: number | readonly number[];
  readonly flareExtraMm?: FlareExtra;
}
export interface Bend {
  /** Index of the corner in `nodesMm`. */
  readonly node: number;
  readonly feedMm: number;
  readonly rotateDeg: number;
  readonly tubeTurnDeg: number;
  readonly bendDeg: number;
  readonly arcMm: number;
  readonly markMm: number;
}
export interface BendTable {
  readonly developedMm: number;
  readonly cutMm: number;
  readonly tailMm: number;
  readonly bends: readonly Bend[];
}

/** A corner that stays, with the directions into and out of it. */
export interface Corner {
  readonly node: number;
  readonly at: Vec3;
  readonly inward: Vec3;
  readonly outward: Vec3;
  readonly bendDeg: number;
}

/**
 * The corners of a center line that really turn, in order. Throws InputError at the later of two
 * equal neighboring nodes and at a corner that doubles back.
 */
export function cornersOf(nodesMm: readonly Vec3[]): Corner[] {
  for (let i = 1; i < nodesMm.length; i++) {
    if (distance(nodesMm[i - 1]!, nodesMm[i]!) <= SAME_POINT_MM) {
      throw new InputError(`nodesMm[${i}]`, `Corners ${i - 1} and ${i} are the same point.`);
    }
  }
  const corners: Corner[] = [];
  let last = nodesMm[0]!;
  for (let i = 1; i < nodesMm.length - 1; i++) {
    const inward = sub(nodesMm[i]!, last);
    const outward = sub(nodesMm[i + 1]!, nodesMm[i]!);
    const bendDeg = angleDeg(inward, outward);
    if (bendDeg > REVERSAL_DEG)
      throw new InputError(
        `nodesMm[${i}]`,
        `The line doubles back at corner ${i} (${figure(bendDeg)}°); ${REVERSAL_DEG}° is the limit.`,
      );
    if (bendDeg <= STRAIGHT_DEG) continue;
    corners.push({
      node: i,
      at: nodesMm[i]!,
      inward: unit(inward)!,
      outward: unit(outward)!,
      bendDeg,
    });
    last = nodesMm[i]!;
  }
  // A dropped node shifts the direction out of the corner before it by at most 0.01°: take the true one.
  return corners.map((corner, i) => {
    const outward = unit(sub(corners[i + 1]?.at ?? nodesMm[nodesMm.length - 1]!, corner.at))!;
    return { ...corner, outward, bendDeg: angleDeg(corner.inward, outward) };
  });
}

export const tangentMm = (bendDeg: number, clrMm: number): number =>
  clrMm * Math.tan(radians(bendDeg) / 2);
export const arcMm = (bendDeg: number, clrMm: number): number => clrMm * radians(bendDeg);

/** The radius at each kept corner. Throws where a list does not match the inner nodes. */
function radii(
  clrMm: number | readonly number[],
  corners: readonly Corner[],
  inner: number,
): number[] {
  if (typeof clrMm === 'number') return corners.map(() => clrMm);
  if (clrMm.length !== inner)
    throw new InputError(
      'clrMm',
      `There are ${inner} inner nodes and ${clrMm.length} radii: give one radius, or one for each.`,
    );
  return corners.map((corner) => clrMm[corner.node - 1]!);
}

function feedBetween(fromNode: number, toNode: number, lengthMm: number, neededMm: number): number {
  const feed = lengthMm - neededMm;
  if (feed < -ROOM_TOLERANCE * lengthMm) {
    throw new InputError(
      `nodesMm[${toNode}]`,
      `Between nodes ${fromNode} and ${toNode} there are ${figure(lengthMm)} mm, and the bends need ${figure(neededMm)}: ${figure(-feed, 2)} mm short.`,
    );
  }
  return Math.max(feed, 0);
}

function turnBetween(previous: Corner, corner: Corner): number {
  const turn = turnDeg(
    unit(cross(previous.inward, previous.outward))!,
    unit(cross(corner.inward, corner.outward))!,
    corner.inward,
  );
  if (Math.abs(turn) <= SNAP_TURN_DEG) return 0;
  return 180 - Math.abs(turn) <= SNAP_TURN_DEG ? 180 : turn;
}

/** What a tube is turned by in a bender that stays put, for a bend plane turned by `rotateDeg`. */
export const tubeTurnOf = (rotateDeg: number): number =>
  rotateDeg === 0 || rotateDeg === 180 ? rotateDeg : -rotateDeg;

/**
 * The bend table of a center line of two or more corner points, end A first: feed, turn, bend and
 * mark of each bend, and the length to cut. `clrMm` is one center-line radius or one for each inner
 * node. Throws InputError at the later node of a straight too short for its bends.
 * Source: tangent = R·tan(θ/2), arc = R·θ, plane geometry.
 */
export function bendTable({ nodesMm, clrMm, flareExtraMm }: BendInput): BendTable {
  const extraA = flareExtraMm?.a ?? 0;
  const corners = cornersOf(nodesMm);
  const clrs = radii(clrMm, corners, nodesMm.length - 2);
  const bends: Bend[] = [];
  let run = 0;
  let last: { node: number; at: Vec3; tangent: number } = { node: 0, at: nodesMm[0]!, tangent: 0 };
  for (const [i, corner] of corners.entries()) {
    const tangent = tangentMm(corner.bendDeg, clrs[i]!);
    const feedMm = feedBetween(
      last.node,
      corner.node,
      distance(last.at, corner.at),
      last.tangent + tangent,
    );
    const rotateDeg = i === 0 ? 0 : turnBetween(corners[i - 1]!, corner);
    const arc = arcMm(corner.bendDeg, clrs[i]!);
    bends.push({
      node: corner.node,
      feedMm,
      rotateDeg,
      tubeTurnDeg: tubeTurnOf(rotateDeg),
      bendDeg: corner.bendDeg,
      arcMm: arc,
      markMm: run + feedMm + extraA,
    });
    run += feedMm + arc;
    last = { node: corner.node, at: corner.at, tangent };
  }
  const end = nodesMm.length - 1;
  const tailMm = feedBetween(last.node, end, distance(last.at, nodesMm[end]!), last.tangent);
  const developedMm = run + tailMm;
  return { developedMm, cutMm: developedMm + extraA + (flareExtraMm?.b ?? 0), tailMm, bends };
}
