import type { Vec3 } from '../../lib/vec/index.ts';
import FlatQueue from 'flatqueue';
import { axisOf, DIRECTIONS, isReverse, nodeOf, placeOf, type Lattice } from './lattice.ts';

/** What a run costs, and where a tube may not go. */
export interface Costs {
  /** Cost of a mm from one node to its neighbor, 1 or more; Infinity where it may not run. */
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
const FURTHER_ON = 1 - 1e-9;

/** How far it is to the next node in each direction, by node number. */
export function strides({ mm: [xs, ys] }: Lattice): readonly number[] {
  const step = [1, xs.length, xs.length * ys.length];
  return DIRECTIONS.map((_, d) => (d & 1 ? step[d >> 1]! : -step[d >> 1]!));
}

/** What is known of each state, kept from one search to the next so that none begins by wiping it: `seen` says of which round it is. */
interface Scratch {
  readonly best: Float64Array;
  readonly came: Int32Array;
  readonly seen: Uint32Array;
  round: number;
}
let scratch: Scratch | null = null;
function scratchFor(states: number): Scratch {
  if (!scratch || scratch.best.length < states)
    scratch = {
      best: new Float64Array(states),
      came: new Int32Array(states),
      seen: new Uint32Array(states),
      round: 0,
    };
  scratch.round++;
  return scratch;
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
  const { best, came, seen, round } = scratchFor(states);
  const [open, closed] = [2 * round, 2 * round + 1];
  const heap = new FlatQueue();
  // What is left along each axis, by index.
  const [offX, offY, offZ] = mm.map((list, axis) =>
    list.map((at) => Math.abs(at - to.at[axis]!)),
  ) as [Float64Array, Float64Array, Float64Array];
  const left = (i: number, j: number, k: number, axis: number): number => {
    const x = offX[i]!;
    const y = offY[j]!;
    const z = offZ[k]!;
    const turns =
      (x > NIL_MM && axis !== 0 ? 1 : 0) +
      (y > NIL_MM && axis !== 1 ? 1 : 0) +
      (z > NIL_MM && axis !== 2 ? 1 : 0);
    return x + y + z + turns * costs.bend;
  };
  /** Node and its three indices, the direction there, what it costs and the state before. */
  const reach = (
    node: number,
    i: number,
    j: number,
    k: number,
    direction: number,
    cost: number,
    before: number,
  ): void => {
    const state = node * 6 + direction;
    if (seen[state]! >= open && cost >= best[state]! - NIL_MM) return;
    seen[state] = open;
    best[state] = cost;
    came[state] = before;
    // Of states that promise the same, the one further on comes first.
    heap.push(state, cost * FURTHER_ON + left(i, j, k, direction >> 1));
  };
  const index = new Int32Array(3);
  const find = (node: number): void => {
    index[0] = node % nx;
    const rest = (node - index[0]!) / nx;
    index[1] = rest % ny;
    index[2] = (rest - index[1]!) / ny;
  };
  find(start);
  reach(start, index[0]!, index[1]!, index[2]!, from.direction, 0, -1);
  let looked = 0;
  while (heap.length) {
    const state = heap.pop()!;
    if (seen[state] === closed) continue;
    seen[state] = closed;
    if (++looked % 20_000 === 0) progress(looked);
    const direction = state % 6;
    const node = (state - direction) / 6;
    const cost = best[state]!;
    find(node);
    const [i0, j0, k0] = [index[0]!, index[1]!, index[2]!];
    if (node === goal) {
      if (direction === to.direction)
        return { cornersMm: cornersOf(lattice, came, state), cost, looked };
      // A last bend into the goal's own leg needs no further straight: the leg is straight enough.
      if (!isReverse(direction, to.direction))
        reach(goal, i0, j0, k0, to.direction, cost + costs.bend, state);
      continue;
    }
    for (let next = 0; next < 6; next++) {
      if (isReverse(next, direction)) continue;
      const axis = axisOf(next);
      const list = mm[axis];
      const way = next & 1 ? 1 : -1;
      const wanted = next === direction ? 0 : straightMm;
      let at = node;
      let i = index[axis]!;
      let run = 0;
      let more = next === direction ? 0 : costs.bend;
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
      if (more < Infinity && !cramped)
        reach(
          at,
          axis === 0 ? i : i0,
          axis === 1 ? i : j0,
          axis === 2 ? i : k0,
          next,
          cost + more,
          state,
        );
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
