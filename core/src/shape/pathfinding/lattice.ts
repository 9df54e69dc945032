import type { Vec3 } from '../../lib/vec/index.ts';

/** Directions a tube may run in on the lattice: fore and aft, left and right, down and up. */
export const DIRECTIONS: readonly Vec3[] = [
  [-1, 0, 0],
  [1, 0, 0],
  [0, -1, 0],
  [0, 1, 0],
  [0, 0, -1],
  [0, 0, 1],
];
export const axisOf = (direction: number): 0 | 1 | 2 => (direction >> 1) as 0 | 1 | 2;
export const isReverse = (a: number, b: number): boolean => (a ^ b) === 1;

/** Places where a tube may have its corners: three lists of coordinates, every triple of them a node. */
export interface Lattice {
  readonly mm: readonly [Float64Array, Float64Array, Float64Array];
  readonly count: number;
}

/** Round figures `pitchMm` apart from `low` to `high`; `good` ones in place of those next to them, and `wanted` ones in place of both. */
function axis(
  low: number,
  high: number,
  pitchMm: number,
  wanted: readonly number[],
  good: readonly number[],
): Float64Array {
  const clear = (mm: number, of: readonly number[]): boolean =>
    of.every((other) => Math.abs(other - mm) >= pitchMm / 2);
  const kept = [...new Set(wanted)];
  for (const mm of good) if (mm >= low && mm <= high && clear(mm, kept)) kept.push(mm);
  const first = Math.ceil(low / pitchMm);
  const round = Array.from(
    { length: Math.max(0, Math.floor(high / pitchMm) - first + 1) },
    (_, i) => (first + i) * pitchMm,
  );
  const apart = round.filter((mm) => clear(mm, kept));
  return Float64Array.from([...apart, ...kept].sort((a, b) => a - b));
}

/** A lattice through some places, with coordinates that are good on each axis where there is room for them. */
export function makeLattice(
  min: Vec3,
  max: Vec3,
  pitchMm: number,
  through: readonly Vec3[],
  good: readonly [readonly number[], readonly number[], readonly number[]] = [[], [], []],
): Lattice {
  const along = (i: 0 | 1 | 2): Lattice['mm'][0] =>
    axis(
      min[i],
      max[i],
      pitchMm,
      through.map((p) => p[i]),
      good[i],
    );
  const mm = [along(0), along(1), along(2)] as const;
  return { mm, count: mm[0].length * mm[1].length * mm[2].length };
}

/** Node at three indices, x fastest. */
export const nodeAt = ({ mm: [xs, ys] }: Lattice, i: number, j: number, k: number): number =>
  i + xs.length * (j + ys.length * k);

export function placeOf({ mm: [xs, ys, zs] }: Lattice, node: number): Vec3 {
  const i = node % xs.length;
  const rest = (node - i) / xs.length;
  const j = rest % ys.length;
  return [xs[i]!, ys[j]!, zs[(rest - j) / ys.length]!];
}

/** The node at a place that the lattice was made through. */
export function nodeOf(lattice: Lattice, at: Vec3): number {
  const index = lattice.mm.map((list, axis) => list.indexOf(at[axis]!));
  if (index.includes(-1)) throw new Error(`The search grid has no node at ${at.join(', ')}.`);
  return nodeAt(lattice, index[0]!, index[1]!, index[2]!);
}
