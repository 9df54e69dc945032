import type { Vec3 } from '../vec/index.ts';
import { StateHeap } from './heap.ts';
import { axisOf, DIRECTIONS, isReverse, nodeOf, placeOf, type Lattice } from './lattice.ts';

/** What a run costs, and where a tube may not go. */
export interface Costs {
  /** Cost of a mm from one node to its neighbour, 1 or more; Infinity where it may not run. */
  readonly perMm: (from: number, to: number, direction: number) => number;
  readonly bend: number;
}
export interface Leg {
  readonly at: Vec3;
  /** Index of the direction the tube runs in there, from A to B. */
  readonly direction: number;
}
export interface Found {
  readonly cornersMm: readonly Vec3[];
  readonly cost: number;
  /** States that were looked at. */
  readonly looked: number;
}

/** Lengths under this are none. */
const NIL_MM = 1e-9;

/** How far it is to the next node in each direction, by node number. */
export function strides({ mm: [xs, ys] }: Lattice): readonly number[] {
  const step = [1, xs.length, xs.length * ys.length];
  return DIRECTIONS.map((_, d) => (d & 1 ? step[d >> 1]! : -step[d >> 1]!));
}

/**
 * The cheapest way over a lattice from one leg to another: A* over places with the direction the tube
 * runs in. A turn is followed by at least `straightMm` straight, so that every bend has room; the way
 * begins and ends in the legs' own directions. The estimate is the length that is left, and a bend for
 * each direction across that is still to go: never more than the truth. Null where there is no way.
 */
export function cheapest(
  lattice: Lattice,
  from: Leg,
  to: Leg,
  costs: Costs,
  straightMm: number,
  progress: (looked: number) => void = () => undefined,
): Found | null {
  const stride = strides(lattice);
  const { mm } = lattice;
  const [nx, ny] = [mm[0].length, mm[1].length];
  const [start, goal] = [nodeOf(lattice, from.at), nodeOf(lattice, to.at)];
  const states = lattice.count * 6;
  const best = new Float64Array(states).fill(Infinity);
  const came = new Int32Array(states).fill(-1);
  const closed = new Uint8Array(states);
  const heap = new StateHeap();
  // What is left along each axis, by index.
  const off = mm.map((list, axis) => list.map((at) => Math.abs(at - to.at[axis]!))) as [Float64Array, Float64Array, Float64Array];
  const left = (i: number, j: number, k: number, axis: number): number => {
    const [x, y, z] = [off[0][i]!, off[1][j]!, off[2][k]!];
    const turns = (x > NIL_MM && axis !== 0 ? 1 : 0) + (y > NIL_MM && axis !== 1 ? 1 : 0) + (z > NIL_MM && axis !== 2 ? 1 : 0);
    return x + y + z + turns * costs.bend;
  };
  const reach = (node: number, direction: number, cost: number, before: number): void => {
    const state = node * 6 + direction;
    if (cost >= best[state]! - NIL_MM) return;
    best[state] = cost;
    came[state] = before;
    const i = node % nx;
    const rest = (node - i) / nx;
    const j = rest % ny;
    heap.push(cost + left(i, j, (rest - j) / ny, direction >> 1), state);
  };
  reach(start, from.direction, 0, -1);
  const index = [0, 0, 0];
  let looked = 0;
  while (heap.size) {
    const state = heap.pop();
    if (closed[state]) continue;
    closed[state] = 1;
    if (++looked % 20_000 === 0) progress(looked);
    const direction = state % 6;
    const node = (state - direction) / 6;
    const cost = best[state]!;
    if (node === goal) {
      if (direction === to.direction) return { cornersMm: cornersOf(lattice, came, state), cost, looked };
      // A last bend into the goal's own leg needs no further straight: the leg is straight enough.
      if (!isReverse(direction, to.direction)) reach(goal, to.direction, cost + costs.bend, state);
      continue;
    }
    index[0] = node % nx;
    const rest = (node - index[0]) / nx;
    index[1] = rest % ny;
    index[2] = (rest - index[1]) / ny;
    for (let next = 0; next < 6; next++) {
      if (isReverse(next, direction)) continue;
      const axis = axisOf(next);
      const list = mm[axis];
      const way = next & 1 ? 1 : -1;
      const wanted = next === direction ? 0 : straightMm;
      let [at, i, run, more] = [node, index[axis]!, 0, next === direction ? 0 : costs.bend];
      do {
        const ahead = i + way;
        if (ahead < 0 || ahead >= list.length) {
          more = Infinity;
          break;
        }
        const step = Math.abs(list[ahead]! - list[i]!);
        more += step * costs.perMm(at, at + stride[next]!, next);
        at += stride[next]!;
        i = ahead;
        run += step;
      } while (run < wanted - NIL_MM && more < Infinity && at !== goal);
      // A way that meets the goal before its last bend has room may not bend again there.
      const cramped = at === goal && run < wanted - NIL_MM && next !== to.direction;
      if (more < Infinity && !cramped) reach(at, next, cost + more, state);
    }
  }
  return null;
}

/** Places where the way turns, from its start to its goal, both of them included where it turns there. */
function cornersOf(lattice: Lattice, came: Int32Array, last: number): Vec3[] {
  const corners: Vec3[] = [];
  for (let state = last; came[state]! >= 0; state = came[state]!) {
    const before = came[state]!;
    if (before % 6 !== state % 6) corners.push(placeOf(lattice, (before - (before % 6)) / 6));
  }
  return corners.reverse();
}
