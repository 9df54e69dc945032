import { distance, dot, unit, type Vec3 } from '../../lib/vec/index.ts';
import { gapTo, keptFrom, pointGapMm, type Obstacle } from '../obstacles/index.ts';
import { DIRECTIONS, placeOf, type Lattice } from './lattice.ts';
import type { Costs } from './search.ts';

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
export const STANDOFF_MM = 6;

/** The lattice direction nearest to one; ports that point askew are met by a bend of less than 45°. */
export function directionOf(way: Vec3): number {
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
export function edgeCosts(lattice: Lattice, input: WayInput): Costs {
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
