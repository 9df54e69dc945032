import {
  addScaled,
  cross,
  dot,
  radians,
  squareTo,
  sub,
  turnDeg,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** Carries a direction along a line of points without turning it about the line (by the least turn from one chord to the next). */
function carried(start: Vec3, tangents: readonly Vec3[]): Vec3 {
  let side = start;
  for (let i = 1; i < tangents.length; i++) {
    const [from, to] = [tangents[i - 1]!, tangents[i]!];
    const half = unit([from[0] + to[0], from[1] + to[1], from[2] + to[2]]);
    if (!half) continue;
    // Two mirrors make the turn. Source: W. Wang and others, Computation of Rotation Minimizing Frames (2008), from memory.
    const mirrored = addScaled(side, half, -2 * dot(side, half));
    side = addScaled(mirrored, to, -2 * dot(mirrored, to));
  }
  return side;
}

/** A mark square to a tangent. */
const squared = (mark: Vec3, tangent: Vec3): Vec3 =>
  unit(addScaled(mark, tangent, -dot(mark, tangent))) ?? unit(cross(tangent, squareTo(tangent)))!;

/**
 * By how much a hose's far end would have to turn about itself to hang free of twist, degrees: the turn
 * from a mark carried along the hose to the same mark on the fitting. `firstMark` and `lastMark` are
 * any directions that move with the fittings. Only differences between two states mean anything.
 */
export function freeTurnDeg(
  pointsMm: readonly Vec3[],
  first: Vec3,
  last: Vec3,
  firstMark: Vec3,
  lastMark: Vec3,
): number {
  const tangents = [
    first,
    ...pointsMm.slice(1).map((p, i) => unit(sub(p, pointsMm[i]!)) ?? first),
    last,
  ];
  return turnDeg(carried(squared(firstMark, first), tangents), squared(lastMark, last), last);
}

/** Turn from a mark carried along a rod's tangents (three numbers each) to the mark of its far end, rad in (−π, π]. */
export function twistRad(
  tangents: Float64Array,
  [firstMark, lastMark]: readonly [Vec3, Vec3],
): number {
  const all = Array.from({ length: tangents.length / 3 }, (_, i): Vec3 => [
    tangents[3 * i]!,
    tangents[3 * i + 1]!,
    tangents[3 * i + 2]!,
  ]);
  const last = all.at(-1)!;
  return radians(turnDeg(carried(squared(firstMark, all[0]!), all), squared(lastMark, last), last));
}

/** What a turn along a rod adds to Newton's system: its own slopes (two a node), and `by` times its curvatures. */
interface TwistTerms {
  readonly basis: Float64Array;
  readonly twist: Float64Array;
  readonly diagonal: Float64Array;
  readonly beside: Float64Array;
}

/**
 * Slopes of that turn with each inner tangent, on its two basis vectors, into `twist`: a × b/(1 + a·b)
 * of the two joints beside it; and `by` times its curvatures on to `diagonal` and `beside`.
 * Source of the slopes: M. Bergou and others, Discrete Elastic Rods (2008), from memory; the curvatures
 * are their derivatives.
 */
export function addTwist(
  tangents: Float64Array,
  by: number,
  { basis, twist, diagonal, beside }: TwistTerms,
): void {
  const at = (from: Float64Array, i: number): Vec3 => [from[i]!, from[i + 1]!, from[i + 2]!];
  const arcs = tangents.length / 3 - 1;
  twist.fill(0);
  for (let i = 0; i < arcs; i++) {
    const [a, b] = [at(tangents, 3 * i), at(tangents, 3 * i + 3)];
    const near = 1 / (1 + dot(a, b));
    const normal = cross(a, b);
    const bases = [
      at(basis, 6 * i),
      at(basis, 6 * i + 3),
      at(basis, 6 * i + 6),
      at(basis, 6 * i + 9),
    ] as const;
    for (const [node, other, side] of [
      [i, b, 1],
      [i + 1, a, -1],
    ] as const) {
      const [e, f] = side > 0 ? [bases[0], bases[1]] : [bases[2], bases[3]];
      const [en, fn, eo, fo] = [
        dot(e, normal) * near,
        dot(f, normal) * near,
        dot(e, other) * near,
        dot(f, other) * near,
      ];
      twist[2 * node] = twist[2 * node]! + en;
      twist[2 * node + 1] = twist[2 * node + 1]! + fn;
      // What turns one basis vector into the other cancels between the joints on either side.
      diagonal[3 * node] = diagonal[3 * node]! - by * en * eo;
      diagonal[3 * node + 1] = diagonal[3 * node + 1]! - (by * (en * fo + fn * eo)) / 2;
      diagonal[3 * node + 2] = diagonal[3 * node + 2]! - by * fn * fo;
    }
    for (let r = 0; r < 2; r++)
      for (let c = 0; c < 2; c++) {
        const [e, f] = [bases[r]!, bases[2 + c]!];
        const k = 4 * i + 2 * r + c;
        beside[k] =
          beside[k]! + by * near * (dot(e, cross(a, f)) - dot(e, normal) * near * dot(a, f));
      }
  }
}
