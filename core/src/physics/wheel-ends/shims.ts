import { InputError, figure } from '../../lib/faults/index.ts';

/** Shims of one thickness, and how many of them there are, or are taken. */
export interface Shims {
  readonly thicknessMm: number;
  readonly count: number;
}
/** A bolt through the stack. */
export interface StackBolt {
  readonly lengthMm: number;
  /** Metal between its head and its thread's first turn, without shims. */
  readonly gripMm: number;
  /** All its washers together. */
  readonly washerMm: number;
  /** The least thread that must hold. */
  readonly needMm: number;
  /** The thread there is; null or not there: a through bolt. */
  readonly depthMm?: number | null;
  /** Its plain part. */
  readonly shankMm?: number;
}
export interface ShimsInput {
  readonly innerGapMm: number;
  readonly outerGapMm: number;
  /** Shims that were in when the gaps were measured; they belong to the box. */
  readonly stackMm: number;
  readonly moves: 'out' | 'in';
  readonly shimsMm: readonly Shims[];
  readonly toleranceMm?: number;
  readonly bolt?: StackBolt | null;
}
export type BoltFault = 'short' | 'shank' | 'bottoms';
export interface ShimsResult {
  readonly wantMm: number;
  readonly stackMm: number;
  /** Thickest first. */
  readonly shims: readonly Shims[];
  readonly offMm: number;
  readonly ok: boolean;
  /** All null without a bolt. */
  readonly engagementMm: number | null;
  readonly boltFault: BoltFault | null;
  readonly boltOk: boolean | null;
  readonly boltMm: { readonly least: number; readonly most: number | null } | null;
}

export const MOST_SHIMS = 60;
export const MOST_THICKNESSES = 8;
/** Off the middle by no more than this is in the middle, mm. Common practice. */
export const STACK_TOLERANCE_MM = 0.25;
/** Stacks nearer than this are the same. */
const SAME_MM = 1e-6;
const NEAR = 1e-9;

/** A choice out of a box: of each thickness so many. */
interface Choice {
  readonly sumMm: number;
  readonly pieces: number;
  readonly counts: readonly number[];
}
/** More of the first, then of the next: above nought where `a` has more. */
const moreOfThickest = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((count, i) => count !== b[i]);
  return at < 0 ? 0 : a[at]! - b[at]!;
};

/** Every choice of some thicknesses, by its sum; of those with one sum the fewest pieces, then more of the thickest. */
function choicesOf(box: readonly Shims[]): Choice[] {
  let all: Choice[] = [{ sumMm: 0, pieces: 0, counts: [] }];
  for (const { thicknessMm, count } of box)
    all = all.flatMap(({ sumMm, pieces, counts }) =>
      Array.from({ length: count + 1 }, (_, n) => ({
        sumMm: sumMm + n * thicknessMm,
        pieces: pieces + n,
        counts: [...counts, n],
      })),
    );
  all.sort(
    (a, b) => a.sumMm - b.sumMm || a.pieces - b.pieces || moreOfThickest(b.counts, a.counts),
  );
  const kept: Choice[] = [];
  for (const choice of all) {
    const last = kept.at(-1);
    if (!last || choice.sumMm - last.sumMm > NEAR) kept.push(choice);
    else if (
      choice.pieces < last.pieces ||
      (choice.pieces === last.pieces && moreOfThickest(choice.counts, last.counts) > 0)
    )
      kept[kept.length - 1] = { ...choice, sumMm: last.sumMm };
  }
  return kept;
}

/** The first of some choices whose sum is at least this. */
function firstFrom(choices: readonly Choice[], sumMm: number): number {
  let [low, high] = [0, choices.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (choices[middle]!.sumMm < sumMm) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Two halves of a box whose numbers of choices are near each other, the thicker first. */
function halves(box: readonly Shims[]): readonly [Shims[], Shims[]] {
  const ways = (part: readonly Shims[]): number =>
    part.reduce((product, { count }) => product * (count + 1), 1);
  let best = 0;
  for (let cut = 0; cut <= box.length; cut++)
    if (
      Math.max(ways(box.slice(0, cut)), ways(box.slice(cut))) <
      Math.max(ways(box.slice(0, best)), ways(box.slice(best)))
    )
      best = cut;
  return [box.slice(0, best), box.slice(best)];
}

/** The choice out of a box, thickest first, whose sum is nearest: of equals the fewest, then the thinner, then more of the thickest. */
function nearest(box: readonly Shims[], wantMm: number): Choice {
  const [thick, thin] = halves(box).map(choicesOf) as [Choice[], Choice[]];
  let offMm = Infinity;
  for (const { sumMm } of thick) {
    const at = firstFrom(thin, wantMm - sumMm);
    for (const other of [thin[at - 1], thin[at]])
      if (other) offMm = Math.min(offMm, Math.abs(sumMm + other.sumMm - wantMm));
  }
  let found: Choice | null = null;
  const isBetter = (a: Choice, b: Choice): boolean => {
    if (a.pieces !== b.pieces) return a.pieces < b.pieces;
    if (Math.abs(a.sumMm - b.sumMm) > SAME_MM) return a.sumMm < b.sumMm;
    return moreOfThickest(a.counts, b.counts) > 0;
  };
  for (const one of thick)
    for (const aimMm of offMm > SAME_MM ? [wantMm - offMm, wantMm + offMm] : [wantMm])
      for (let i = firstFrom(thin, aimMm - one.sumMm - 2 * SAME_MM); i < thin.length; i++) {
        const other = thin[i]!;
        const sumMm = one.sumMm + other.sumMm;
        if (sumMm > aimMm + 2 * SAME_MM) break;
        if (Math.abs(sumMm - wantMm) > offMm + SAME_MM) continue;
        const choice = {
          sumMm,
          pieces: one.pieces + other.pieces,
          counts: [...one.counts, ...other.counts],
        };
        if (!found || isBetter(choice, found)) found = choice;
      }
  return found!;
}

type Gaps = Pick<ShimsInput, 'innerGapMm' | 'outerGapMm' | 'stackMm' | 'moves'>;
/** The stack that brings a caliper over the middle of its disc, mm; below nought where metal is in the way. */
export const wantedStackMm = ({ innerGapMm, outerGapMm, stackMm, moves }: Gaps): number =>
  stackMm + ((moves === 'out' ? 1 : -1) * (innerGapMm - outerGapMm)) / 2;

/** What a bolt does behind a stack: how much of its thread holds, and the first thing that is wrong with it. */
export function boltThrough(
  { lengthMm, gripMm, washerMm, needMm, depthMm = null, shankMm = 0 }: StackBolt,
  stackMm: number,
) {
  const beforeMm = gripMm + washerMm + stackMm;
  const engagementMm = lengthMm - beforeMm;
  const boltFault: BoltFault | null =
    engagementMm < needMm - NEAR
      ? 'short'
      : shankMm > beforeMm + NEAR
        ? 'shank'
        : depthMm !== null && engagementMm > depthMm + NEAR
          ? 'bottoms'
          : null;
  return {
    engagementMm,
    boltFault,
    boltOk: boltFault === null,
    boltMm: { least: beforeMm + needMm, most: depthMm === null ? null : beforeMm + depthMm },
  };
}

/**
 * Which shims out of a box bring a caliper over the middle of its disc, and whether its bolt still holds, mm.
 * Half of what one gap has more than the other is what the stack wants more, or less. Throws InputError at
 * `shimsMm` for too many, at `stackMm` where metal is in the way, at `bolt.needMm` where there is less thread.
 * Source: the verb's contract; common practice for the tolerance.
 */
export function shims(input: ShimsInput): ShimsResult {
  const { moves, toleranceMm = STACK_TOLERANCE_MM, bolt } = input;
  const byThickness = new Map<number, number>();
  for (const { thicknessMm, count } of input.shimsMm)
    byThickness.set(thicknessMm, (byThickness.get(thicknessMm) ?? 0) + count);
  const box = [...byThickness]
    .map(([thicknessMm, count]) => ({ thicknessMm, count }))
    .sort((a, b) => b.thicknessMm - a.thicknessMm);
  if (box.length > MOST_THICKNESSES)
    throw new InputError(
      'shimsMm',
      `${box.length} shim thicknesses are too many: ${MOST_THICKNESSES} is the limit.`,
    );
  const pieces = box.reduce((sum, { count }) => sum + count, 0);
  if (pieces > MOST_SHIMS)
    throw new InputError('shimsMm', `${pieces} shims are too many: ${MOST_SHIMS} is the limit.`);
  if (bolt && bolt.depthMm !== null && bolt.depthMm !== undefined && bolt.needMm > bolt.depthMm)
    throw new InputError(
      'bolt.needMm',
      `${figure(bolt.needMm)} mm of thread engagement needed, and the bolt has ${figure(bolt.depthMm)}.`,
    );
  const wantMm = wantedStackMm(input);
  if (wantMm < -toleranceMm - NEAR)
    throw new InputError(
      'stackMm',
      `With no shims the caliper is still ${figure(-wantMm)} mm too far ${moves}. Machine the bracket, or use another one.`,
    );
  const { sumMm: stackMm, counts } = nearest(box, wantMm);
  const offMm = stackMm - wantMm;
  return {
    wantMm,
    stackMm,
    shims: box.flatMap(({ thicknessMm }, i) =>
      counts[i] ? [{ thicknessMm, count: counts[i] }] : [],
    ),
    offMm,
    ok: Math.abs(offMm) <= toleranceMm + NEAR,
    ...(bolt
      ? boltThrough(bolt, stackMm)
      : { engagementMm: null, boltFault: null, boltOk: null, boltMm: null }),
  };
}
