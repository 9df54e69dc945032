import type { BenchSolids } from './bench-solids.ts';
import { dieSolid } from './bench-solids.ts';
import { pose, type PosedRod, type TubeInBender } from './pose.ts';
import { apartMm, touches, type Solid } from './solids.ts';

export interface OrderInput {
  readonly tube: TubeInBender;
  readonly dieRadiusMm: number;
  /** Which end's side of a bend the clamp holds where bends are made from A; made from B it is the other. */
  readonly clampSide: 'a' | 'b';
  readonly bench: BenchSolids;
}
/** From an end, or from a middle bend (its index) outwards. */
export type Start = 'a' | 'b' | number;
/** One bend of an order: which, and the side of which end lies in the clamp. */
export interface OrderedBend {
  readonly bend: number;
  readonly clamped: 'a' | 'b';
}
/** What a tube would run into, and at which bend. */
export interface Hit {
  readonly bend: number;
  readonly what: string;
}
export interface BendOrder {
  readonly start: Start;
  readonly sequence: readonly OrderedBend[];
  /** Bends that this order has no room for: made by hand, in more room, or with a union. Empty where it is free. */
  readonly hits: readonly Hit[];
  /** Orders that were tried before it, each with the first thing in its way. */
  readonly tried: readonly { readonly start: Start; readonly hit: Hit }[];
}

/** How far round the bend is looked at. */
const SHARES = [0, 0.25, 0.5, 0.75, 1];

/** The bends in the order of a start, the clamp on the side of what is made already, or of what is not, as the bender has it. */
export function sequenceOf(start: Start, bends: number, clampSide: 'a' | 'b'): OrderedBend[] {
  const other = clampSide === 'a' ? 'b' : 'a';
  const up = (from: number): OrderedBend[] =>
    Array.from({ length: bends - from }, (_, i) => ({ bend: from + i, clamped: clampSide }));
  const down = (from: number): OrderedBend[] =>
    Array.from({ length: from + 1 }, (_, i) => ({ bend: from - i, clamped: other }));
  if (start === 'a') return up(0);
  return start === 'b' ? down(bends - 1) : [...up(start), ...down(start - 1)];
}

const boundsMeet = (a: PosedRod, b: PosedRod, mm: number): boolean =>
  [0, 1, 2].every(
    (axis) =>
      Math.max(a.from[axis]!, a.to[axis]!) + mm >= Math.min(b.from[axis]!, b.to[axis]!) &&
      Math.max(b.from[axis]!, b.to[axis]!) + mm >= Math.min(a.from[axis]!, a.to[axis]!),
  );

/** A rod in the frame of the lever, which lies along the straight that is swept: about the die's center by the angle. */
function inLever({ from, to, ...rest }: PosedRod, angleDeg: number, dieRadiusMm: number): PosedRod {
  const [c, s] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
  const turn = ([x, y, z]: PosedRod['from']): PosedRod['from'] => [
    c * x + s * (y - dieRadiusMm),
    c * (y - dieRadiusMm) - s * x + dieRadiusMm,
    z,
  ];
  return { ...rest, from: turn(from), to: turn(to) };
}
const leverSolid = ({ lever }: BenchSolids, odMm: number): Solid => ({
  kind: 'box',
  name: 'the lever',
  minMm: [0, -odMm / 2 - 1 - lever.wideMm, -lever.highMm / 2],
  maxMm: [lever.lengthMm, -odMm / 2 - 1, lever.highMm / 2],
});

/** The first thing that the tube, or what is slid on it, runs into while a bend is made; null where there is room. */
export function inTheWay(
  { tube, dieRadiusMm, bench }: OrderInput,
  k: number,
  clamped: 'a' | 'b',
  made: ReadonlySet<number>,
): string | null {
  const solids = [dieSolid(dieRadiusMm, tube.odMm), ...bench.solids];
  const lever = leverSolid(bench, tube.odMm);
  const named = (rod: PosedRod, what: string): string =>
    rod.slid ? `the parts slid on hit ${what}` : what;
  for (const share of SHARES) {
    const angleDeg = share * tube.bends[k]!.bendDeg;
    const rods = pose(tube, k, clamped, angleDeg, made);
    for (const rod of rods) {
      if (rod.own) continue;
      // What lies still was looked at when the bend began.
      if (rod.side === 'free' || share === 0)
        for (const solid of solids) if (touches(rod, solid)) return named(rod, solid.name);
      if (rod.side === 'clamped' || share === 0)
        if (touches(inLever(rod, angleDeg, dieRadiusMm), lever)) return named(rod, lever.name);
    }
    const free = rods.filter(({ side }) => side === 'free');
    for (const still of rods.filter(({ side }) => side === 'clamped'))
      for (const swept of free) {
        const least = still.radiusMm + swept.radiusMm;
        if ((still.own && swept.own) || !boundsMeet(still, swept, least)) continue;
        if (apartMm(still, swept) < least - 0.1) return 'the tube itself';
      }
  }
  return null;
}

/** An order gone through bend by bend, each put in the other way round where only that is free; `all`: on after the first hit. */
function goThrough(
  input: OrderInput,
  sequence: readonly OrderedBend[],
  all: boolean,
): { sequence: OrderedBend[]; hits: Hit[] } {
  const made = new Set<number>();
  const hits: Hit[] = [];
  const done: OrderedBend[] = [];
  for (const { bend, clamped } of sequence) {
    const other = clamped === 'a' ? 'b' : 'a';
    const what = inTheWay(input, bend, clamped, made);
    const isOther = what !== null && inTheWay(input, bend, other, made) === null;
    done.push({ bend, clamped: isOther ? other : clamped });
    if (what !== null && !isOther) {
      hits.push({ bend, what });
      if (!all) break;
    }
    made.add(bend);
  }
  return { sequence: done, hits };
}

/**
 * Which way round and in what order a tube is bent: from A, from B, then from each middle bend
 * outwards, the tube held at every bend against the bench, the bender, its lever's sweep, the die and
 * itself, what is slid on in place; a bend is put in the other way round where only that is free. The
 * first order that is free is taken; where none is, the one
 * with the fewest bends that want another way.
 */
export function bendOrder(input: OrderInput): BendOrder {
  const count = input.tube.bends.length;
  const starts: Start[] = [
    'a',
    'b',
    ...Array.from({ length: Math.max(0, count - 2) }, (_, i) => i + 1),
  ];
  const tried: { start: Start; hit: Hit }[] = [];
  for (const start of starts) {
    const { sequence, hits } = goThrough(input, sequenceOf(start, count, input.clampSide), false);
    if (!hits.length) return { start, sequence, hits, tried };
    tried.push({ start, hit: hits[0]! });
  }
  const all = starts.map((start) => ({
    start,
    ...goThrough(input, sequenceOf(start, count, input.clampSide), true),
    tried,
  }));
  return all.reduce((best, one) => (one.hits.length < best.hits.length ? one : best));
}
