import { addScaled, cross, dot, squareTo, sub, turnDeg, unit, type Vec3 } from '../vec/index.ts';

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

/**
 * By how much a hose's far end would have to turn about itself to hang free of twist, degrees: the turn
 * from a mark carried along the hose to the same mark on the fitting. `firstMark` and `lastMark` are
 * any directions that move with the fittings. Only differences between two states mean anything.
 */
export function freeTurnDeg(pointsMm: readonly Vec3[], first: Vec3, last: Vec3, firstMark: Vec3, lastMark: Vec3): number {
  const tangents = [first, ...pointsMm.slice(1).map((p, i) => unit(sub(p, pointsMm[i]!)) ?? first), last];
  const square = (mark: Vec3, tangent: Vec3): Vec3 =>
    unit(addScaled(mark, tangent, -dot(mark, tangent))) ?? unit(cross(tangent, squareTo(tangent)))!;
  return turnDeg(carried(square(firstMark, first), tangents), square(lastMark, last), last);
}
