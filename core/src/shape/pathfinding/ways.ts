import {
  byAxis,
  addScaled,
  distance,
  pathLength,
  shareAlong,
  sub,
  unit,
  type Vec3,
  tenths,
} from '../../lib/vec/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { boxGap } from '../obstacles/index.ts';
import { makeLattice, nodeAt, type Lattice } from './lattice.ts';
import { cheapest, type Costs, type Found, type Leg } from './search.ts';
import { type WayInput, directionOf, edgeCosts, STANDOFF_MM, type Way } from './way-costs.ts';

const ROUND_TO_MM = 5;
/** How far round both ends a way is looked for, mm. */
const ROUND_MM = 450;
/** Ways whose lengths lie this near one another for half of them are the same way. */
const ALIKE_MM = 60;
/** How far round a way found the next one is kept off. */
const SPREAD_MM = 75;
const MOST_NODES = 2_000_000;

/** Share of a way that lies near another. */
export function shareNear(one: readonly Vec3[], other: readonly Vec3[], withinMm: number): number {
  let [near, all] = [0, 0];
  for (let i = 1; i < one.length; i++) {
    const [from, to] = [one[i - 1]!, one[i]!];
    const long = distance(from, to);
    const steps = Math.max(1, Math.ceil(long / 20));
    for (let k = 0; k < steps; k++) {
      const at = addScaled(from, sub(to, from), (k + 0.5) / steps);
      all += long / steps;
      if (
        other
          .slice(1)
          .some(
            (end, n) =>
              boxGap({ min: at, max: at }, other[n]!, end) <= withinMm &&
              distanceTo(at, other[n]!, end) <= withinMm,
          )
      )
        near += long / steps;
    }
  }
  return all ? near / all : 1;
}
const distanceTo = (at: Vec3, from: Vec3, to: Vec3): number =>
  distance(at, addScaled(from, sub(to, from), shareAlong(at, from, to)));

export interface Problem {
  readonly lattice: Lattice;
  readonly costs: Costs;
  readonly from: Leg;
  readonly to: Leg;
}
/** The search as it stands before it is run: its lattice, costs and legs. */
export function problemOf(input: WayInput): Problem {
  const { a, b, pitchMm } = input;
  const [outA, outB] = [directionOf(a.direction), directionOf(b.direction)];
  const from = { at: tenths(addScaled(a.atMm, unit(a.direction)!, a.leadMm)), direction: outA };
  // Into B the tube runs against the way its port points.
  const to = { at: tenths(addScaled(b.atMm, unit(b.direction)!, b.leadMm)), direction: outB ^ 1 };
  const side = (pick: (...v: number[]) => number, by: number): Vec3 =>
    byAxis((i) => pick(from.at[i]!, to.at[i]!) + by);
  const lattice = makeLattice(
    side(Math.min, -ROUND_MM),
    side(Math.max, ROUND_MM),
    pitchMm,
    [from.at, to.at],
    besideFrame(input),
  );
  if (lattice.count > MOST_NODES)
    throw new InputError(
      'pitchMm',
      `A grid of ${pitchMm} mm has ${lattice.count} points between these ports. The limit is ${MOST_NODES}. Use a coarser grid.`,
    );
  return { lattice, costs: edgeCosts(lattice, input), from, to };
}

/** Across and up: where a tube clipped to a rail or member would run, on round figures. */
function besideFrame({ obstacles, odMm }: WayInput): readonly [number[], number[], number[]] {
  const off = STANDOFF_MM + odMm / 2;
  const beside = (axis: 0 | 1 | 2): number[] =>
    obstacles.flatMap(({ thing, box }) =>
      thing.holds && box
        ? [
            Math.floor((box.min[axis] - off) / ROUND_TO_MM) * ROUND_TO_MM,
            Math.ceil((box.max[axis] + off) / ROUND_TO_MM) * ROUND_TO_MM,
          ]
        : [],
    );
  return [[], beside(1), beside(2)];
}

/** What the search may tell and ask on its way. */
export interface Hooks {
  readonly progress?: (share: number) => void;
}
const TRIES = 5;
/** By how much each try makes what is near the ways so far dearer. */
const DEARER = 0.6;

/**
 * Up to `count` ways for a tube between two ports that really differ: each has under half its length
 * within 60 mm of every other. The first is the cheapest; for the next, places near the ways so far
 * cost more. Corners land on multiples of the pitch or on the ports' own coordinates.
 */
export function findWays(
  input: WayInput,
  count = 3,
  { progress = () => undefined }: Hooks = {},
): Way[] {
  const { lattice, costs, from, to } = problemOf(input);
  const ways: Way[] = [];
  const seen: (readonly Vec3[])[] = [];
  for (let attempt = 0; attempt < TRIES && ways.length < count; attempt++) {
    progress(attempt / TRIES);
    const spread = seen.length ? spreadOf(lattice, costs, seen, DEARER * attempt) : costs;
    const found: Found | null = cheapest(lattice, from, to, spread, input.straightMm, () =>
      progress((attempt + 0.5) / TRIES),
    );
    if (!found) break;
    const nodes = [input.a.atMm, ...found.cornersMm, input.b.atMm];
    seen.push(nodes);
    const own = ways.every(
      (way) => shareNear(nodes, [input.a.atMm, ...way.cornersMm, input.b.atMm], ALIKE_MM) < 0.5,
    );
    if (own)
      ways.push({
        cornersMm: found.cornersMm,
        lengthMm: pathLength(nodes),
        bends: found.cornersMm.length,
      });
  }
  progress(1);
  return ways;
}

/** The same costs, dearer near ways already found. */
function spreadOf(
  lattice: Lattice,
  costs: Costs,
  seen: readonly (readonly Vec3[])[],
  times: number,
): Costs {
  const near = new Uint8Array(lattice.count);
  const range = (axis: 0 | 1 | 2, a: number, b: number): readonly [number, number] => {
    const list = lattice.mm[axis];
    const [low, high] = [Math.min(a, b) - SPREAD_MM, Math.max(a, b) + SPREAD_MM];
    const first = list.findIndex((mm) => mm >= low);
    const last = list.findLastIndex((mm) => mm <= high);
    return [first < 0 ? list.length : first, last];
  };
  for (const nodes of seen)
    for (let n = 1; n < nodes.length; n++) {
      const [x, y, z] = ([0, 1, 2] as const).map((axis) =>
        range(axis, nodes[n - 1]![axis], nodes[n]![axis]),
      ) as [readonly [number, number], readonly [number, number], readonly [number, number]];
      for (let k = z[0]; k <= z[1]; k++)
        for (let j = y[0]; j <= y[1]; j++) {
          const row = nodeAt(lattice, 0, j, k);
          near.fill(1, row + x[0], row + x[1] + 1);
        }
    }
  return {
    ...costs,
    perMm: (from, to, direction) => costs.perMm(from, to, direction) * (near[to] ? 1 + times : 1),
  };
}
