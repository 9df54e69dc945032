import {
  byAxis,
  addScaled,
  distance,
  dot,
  pathLength,
  shareAlong,
  sub,
  unit,
  type Vec3,
  tenths,
} from '../../lib/vec/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { boxGap, gapTo, keptFrom, pointGapMm, type Obstacle } from '../obstacles/index.ts';
import { DIRECTIONS, makeLattice, nodeAt, placeOf, type Lattice } from './lattice.ts';
import { cheapest, type Costs, type Found, type Leg } from './search.ts';

export interface WayEnd {
  readonly atMm: Vec3;
  /** Out of the port. */
  readonly direction: Vec3;
  /** Straight that nut, clamp and bender want before the first bend. */
  readonly leadMm: number;
}
export interface WayInput {
  readonly a: WayEnd;
  readonly b: WayEnd;
  readonly odMm: number;
  /** From corner to corner, so that two bends and the bender's feed have room. */
  readonly straightMm: number;
  readonly pitchMm: number;
  readonly obstacles: readonly Obstacle[];
  /** How far a clip may reach to what holds it. */
  readonly reachMm: number;
  /** A hump above both ends traps air: costs more in a wide bore. */
  readonly wide: boolean;
  /** Things that the ends are mounted on: near them is not too near. */
  readonly mountedOn: ReadonlySet<string>;
}
export interface Way {
  readonly cornersMm: readonly Vec3[];
  readonly lengthMm: number;
  readonly bends: number;
}

/** A bend is worth this much more tube, mm; a mm out of reach of anything to hold to counts as this many. Common practice: few bends, along the frame. */
const BEND_MM = 150;
const LOOSE = 2.2;
/** And out of reach of a clip that sits on the frame itself, so that it wants a bracket. */
const BRACKET = 1.3;
const CLIP_MM = 25;
/** How far above both ends a hump begins, mm. */
const HUMP_MM = 15;
const HUMP = { narrow: 1.5, wide: 4 } as const;
/** How far a tube keeps from what it is clipped to. Common practice. */
const STANDOFF_MM = 6;
const ROUND_TO_MM = 5;
/** How far round both ends a way is looked for, mm. */
const ROUND_MM = 450;
/** Ways whose lengths lie this near one another for half of them are the same way. */
const ALIKE_MM = 60;
/** How far round a way found the next one is kept off. */
const SPREAD_MM = 75;
const MOST_NODES = 2_000_000;

/** The lattice direction nearest to one; ports that point askew are met by a bend of less than 45°. */
function directionOf(way: Vec3): number {
  const along = unit(way)!;
  return DIRECTIONS.reduce(
    (best, one, i) => (dot(one, along) > dot(DIRECTIONS[best]!, along) ? i : best),
    0,
  );
}

/** Clearances past this are all the same to a search, mm. */
const FAR_MM = 80;

/**
 * What edges of the lattice cost, each asked once. How clear a place is, is felt at nodes: a distance
 * changes by no more than the way gone, so that two clear nodes clear the edge between them, and only
 * where they do not is the edge itself measured.
 */
function edgeCosts(lattice: Lattice, input: WayInput): Costs {
  const { obstacles, odMm, reachMm, mountedOn } = input;
  const half = odMm / 2;
  const blocking = obstacles
    .filter(({ thing, box }) => box && !mountedOn.has(thing.id))
    .map((obstacle) => ({
      obstacle,
      keepMm: half + Math.max(keptFrom(obstacle.thing), obstacle.thing.holds ? STANDOFF_MM : 1),
      mesh: obstacle.thing.shape.kind === 'mesh',
    }));
  const holders = obstacles.filter(({ thing, box }) => thing.holds && box);
  const high = Math.max(input.a.atMm[2], input.b.atMm[2]) + HUMP_MM;
  const lows = lowsAlong(lattice, obstacles);
  const [clear, held] = [
    new Float32Array(lattice.count).fill(NaN),
    new Float32Array(lattice.count),
  ];
  const [nx] = [lattice.mm[0].length];
  const clearAt = (node: number): number => {
    if (!Number.isNaN(clear[node]!)) return clear[node]!;
    const at = placeOf(lattice, node);
    let least = at[2] - half < lows[node % nx]! ? -1 : FAR_MM;
    for (const { obstacle, keepMm, mesh } of blocking) {
      if (least < 0) break;
      least = Math.min(
        least,
        mesh
          ? (gapTo(obstacle, at, at, keepMm + least)?.distanceMm ?? Infinity) - keepMm
          : pointGapMm(obstacle, at, keepMm + least) - keepMm,
      );
    }
    return (clear[node] = least);
  };
  const holding = (node: number): number => {
    if (!held[node]) {
      const at = placeOf(lattice, node);
      const off = holders.reduce((least, holder) => pointGapMm(holder, at, least), reachMm) - half;
      held[node] = !holders.length || off <= CLIP_MM ? 1 : off < reachMm - half ? BRACKET : LOOSE;
    }
    return held[node]!;
  };
  const known = new Float32Array(lattice.count * 3);
  const cost = (a: number, b: number): number => {
    const [one, other] = [clearAt(a), clearAt(b)];
    if (one < 0 || other < 0) return Infinity;
    const [from, to] = [placeOf(lattice, a), placeOf(lattice, b)];
    if (
      one + other <= distance(from, to) &&
      blocking.some(({ obstacle, keepMm }) => gapTo(obstacle, from, to, keepMm))
    )
      return Infinity;
    const hump = Math.max(from[2], to[2]) > high ? (input.wide ? HUMP.wide : HUMP.narrow) : 1;
    return holding(b) * hump;
  };
  return {
    bend: BEND_MM,
    perMm: (from, to, direction) => {
      const low = from < to ? from : to;
      const edge = low * 3 + (direction >> 1);
      return (known[edge] ||= cost(low, from < to ? to : from));
    },
  };
}

/** Lower face of the rails at each station along the lattice; −Infinity where there is none. */
function lowsAlong({ mm: [xs] }: Lattice, obstacles: readonly Obstacle[]): number[] {
  const rails = obstacles
    .filter(({ thing }) => thing.kind === 'rail')
    .flatMap(({ boxes }) => boxes);
  return [...xs].map((x) => {
    const beside = rails.filter(({ min, max }) => x >= min[0] && x <= max[0]);
    return beside.length ? Math.min(...beside.map(({ min }) => min[2])) : -Infinity;
  });
}

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
      `A lattice of ${pitchMm} mm has ${lattice.count} places between these ports: ${MOST_NODES} are looked through at most. Take it coarser.`,
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
