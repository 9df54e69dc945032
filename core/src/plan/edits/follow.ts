import {
  add,
  distance,
  dot,
  length,
  scale,
  sub,
  unit,
  type Vec3,
  tenths,
} from '../../lib/vec/index.ts';
import { layPlan } from '../layout/laid-plan.ts';
import type { Line, Plan } from '../model/index.ts';

/** Under this a place has not moved. */
const STILL_MM = 1e-3;
/** A straight gives way down to this share of its length. */
const LEAST_SHARE = 0.4;

/**
 * A line's corners once its first node has moved: the straight out of the port goes along as it is, and each straight
 * after it takes up what of the move lies along it, as far as it is long enough; what is left then turns the last one
 * that may turn. The straight into the other port keeps its direction.
 */
export function followedCorners(nodesMm: readonly Vec3[], byMm: Vec3): Vec3[] {
  const corners = nodesMm.slice(1, -1);
  let left = byMm;
  return corners.map((corner, i) => {
    if (length(left) < STILL_MM) return corner;
    const next = nodesMm[i + 2]!;
    const way = unit(sub(next, corner));
    const along = way ? dot(left, way) : 0;
    const long = distance(corner, next);
    const taken =
      way && long - along >= LEAST_SHARE * long ? scale(way, along) : ([0, 0, 0] as const);
    // The last corner moves along the straight into the port alone, so that this stays in line with it.
    const by = i === corners.length - 1 && i > 0 ? taken : left;
    left = sub(left, taken);
    return add(corner, by);
  });
}

/** Where a line's corners go when its ends have moved by so much; null: that end stays. */
export function lineFollowed(
  nodesMm: readonly Vec3[],
  a: Vec3 | null,
  b: Vec3 | null,
): readonly Vec3[] {
  let nodes = nodesMm;
  if (a) nodes = [add(nodes[0]!, a), ...followedCorners(nodes, a), nodes.at(-1)!];
  if (b) {
    const turned = nodes.toReversed();
    nodes = [add(turned[0]!, b), ...followedCorners(turned, b), turned.at(-1)!].reverse();
  }
  return nodes.slice(1, -1);
}

/** A plan whose lines went along with the ports that lie elsewhere than they did before. */
export function linesFollow(before: Plan, after: Plan): Plan {
  const [was, is] = [layPlan(before), layPlan(after)];
  const moved = (portId: string | null): Vec3 | null => {
    const [from, to] = [
      was.ports.get(portId ?? '')?.fixed.atMm,
      is.ports.get(portId ?? '')?.fixed.atMm,
    ];
    return from && to && distance(from, to) > STILL_MM ? sub(to, from) : null;
  };
  let any = false;
  const lines = after.lines.map((line, i): Line => {
    const [a, b] = [moved(line.ends.a.portId), moved(line.ends.b.portId)];
    const { nodesMm } = was.lines[i]!;
    if ((!a && !b) || !nodesMm.length || !line.cornersMm.length) return line;
    any = true;
    return { ...line, cornersMm: lineFollowed(nodesMm, a, b).map(tenths) };
  });
  return any ? { ...after, lines } : after;
}
