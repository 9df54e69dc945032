import {
  add,
  addScaled,
  distance,
  dot,
  length,
  scale,
  sub,
  unit,
  type Vec3,
  tenths,
} from '../../lib/vec/index.ts';

/** Two moves this near in direction are along one line; 0.1° is under what a tape and a square can tell. */
const ALONG = Math.cos((0.1 * Math.PI) / 180);

/** The moves of a line from node to node. */
export const movesOf = (nodesMm: readonly Vec3[]): Vec3[] =>
  nodesMm.slice(1).map((node, i) => sub(node, nodesMm[i]!));

/** True where `by` can be taken out of `move` without turning it or using it up. */
function takesUp(move: Vec3, by: Vec3): boolean {
  const [way, change] = [unit(move), unit(by)];
  if (!way || !change || Math.abs(dot(way, change)) < ALONG) return false;
  return dot(way, sub(move, by)) > 0.5;
}

export interface Shift {
  /** Corners after the change, from A to B, without the ports. */
  readonly cornersMm: readonly Vec3[];
  /** Index of the move that gave way for the change. */
  readonly takenUpBy: number;
}

/**
 * The corners of a line after its move `index` (to node `index + 1`) becomes `moveMm`. Corners behind
 * it go along, until a later move in the same direction can take the change up; where none can,
 * only the one corner moves and the next move gives way. Both ports stay where they are.
 */
export function changeMove(nodesMm: readonly Vec3[], index: number, moveMm: Vec3): Shift {
  const moves = movesOf(nodesMm);
  const change = sub(moveMm, moves[index]!);
  const later = moves.findIndex((move, k) => k > index && takesUp(move, change));
  const takenUpBy = later > 0 ? later : index + 1;
  return {
    cornersMm: nodesMm
      .slice(1, -1)
      .map((corner, k) => (k >= index && k < takenUpBy ? add(corner, change) : corner)),
    takenUpBy,
  };
}

/**
 * Ways to make the straight at one end `moreMm` longer: first the last corner with the one behind it
 * (which keeps a square route square), then the last corner alone.
 */
export function lengthenEnd(nodesMm: readonly Vec3[], end: 'a' | 'b', moreMm: number): Vec3[][] {
  const fromEnd = end === 'a' ? [...nodesMm] : [...nodesMm].reverse();
  const [port, corner] = fromEnd as [Vec3, Vec3];
  if (fromEnd.length < 3 || distance(port, corner) < 1e-6) return [];
  const way = scale(sub(corner, port), 1 / length(sub(corner, port)));
  const shifted = (count: number): Vec3[] => {
    const nodes = fromEnd.map((node, i) =>
      i >= 1 && i <= count && i < fromEnd.length - 1 ? tenths(addScaled(node, way, moreMm)) : node,
    );
    return (end === 'a' ? nodes : nodes.reverse()).slice(1, -1);
  };
  return fromEnd.length > 3 ? [shifted(2), shifted(1)] : [shifted(1)];
}

/** Corners of ours land on tenths of a millimetre. */
