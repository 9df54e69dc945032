/** A rounding allowance when lengths are added up, mm. */
export const ROUNDING_MM = 1e-7;

/** Pieces of one room, and how many there are. */
export interface Bin {
  readonly roomMm: number;
  readonly count: number;
}
/** Cuts of one size, and how many are wanted. */
export interface Cut {
  readonly sizeMm: number;
  readonly count: number;
}
/** What is cut from one piece: which bin it is, and how many of each cut. */
export interface Filled {
  readonly bin: number;
  readonly takes: readonly number[];
}
export type Packing = readonly Filled[] | 'none' | 'unknown';

/** Counts down while a search goes on; `spent` once there is nothing left of it. */
export class Budget {
  #left: number;
  constructor(
    nodes: number,
    readonly late: () => boolean = () => false,
  ) {
    this.#left = nodes;
  }
  get spent(): boolean {
    return this.#left <= 0;
  }
  step(): void {
    this.#left--;
    if (this.#left % 256 === 0 && this.late()) this.#left = 0;
  }
}

/** Fillings are sorted by what they waste this many at a time: the best of a few first, without listing all. */
const SORTED_AT_A_TIME = 48;

/** Every filling of a room that leaves no room for another cut, with at least one of the first cut left, fullest cuts first. */
function* fillings(
  cuts: readonly Cut[],
  left: readonly number[],
  roomMm: number,
  mostWasteMm: number,
  budget: Budget,
): Generator<number[]> {
  const takes = new Array<number>(cuts.length).fill(0);
  const first = left.findIndex((count) => count > 0);
  /** What all cuts from here on come to. */
  const rest = new Array<number>(cuts.length + 1).fill(0);
  for (let i = cuts.length - 1; i >= 0; i--) rest[i] = rest[i + 1]! + left[i]! * cuts[i]!.sizeMm;
  function* from(i: number, freeMm: number): Generator<number[]> {
    if (budget.spent || freeMm - rest[i]! > mostWasteMm + ROUNDING_MM) return;
    if (i === cuts.length) {
      // Room for one more that is left over: the fuller filling stands for this one.
      if (cuts.some(({ sizeMm }, k) => takes[k]! < left[k]! && sizeMm <= freeMm + ROUNDING_MM))
        return;
      budget.step();
      yield takes.slice();
      return;
    }
    const { sizeMm } = cuts[i]!;
    const most = Math.min(left[i]!, Math.floor((freeMm + ROUNDING_MM) / sizeMm));
    for (let k = most; k >= (i === first ? 1 : 0); k--) {
      takes[i] = k;
      yield* from(i + 1, freeMm - k * sizeMm);
    }
    takes[i] = 0;
  }
  yield* from(first, roomMm);
}

function* leastWasteFirst(source: Generator<number[]>, cuts: readonly Cut[]): Generator<number[]> {
  const full = (takes: number[]): number =>
    takes.reduce((sum, k, i) => sum + k * cuts[i]!.sizeMm, 0);
  for (let batch: number[][] = []; ; batch = []) {
    for (let next = source.next(); !next.done; next = source.next()) {
      batch.push(next.value);
      if (batch.length === SORTED_AT_A_TIME) break;
    }
    if (!batch.length) return;
    yield* batch.sort((a, b) => full(b) - full(a));
    if (batch.length < SORTED_AT_A_TIME) return;
  }
}

/** True where cuts of some length or more outnumber the places that all bins have for them: no packing exists. */
function overfull(
  cuts: readonly Cut[],
  bins: readonly Bin[],
  left: readonly number[],
  free: readonly number[],
): boolean {
  let wanted = 0;
  for (const [i, { sizeMm }] of cuts.entries()) {
    wanted += left[i]!;
    const places = bins.reduce(
      (sum, { roomMm }, b) => sum + free[b]! * Math.floor((roomMm + ROUNDING_MM) / sizeMm),
      0,
    );
    if (left[i]! && wanted > places) return true;
  }
  return false;
}

/**
 * Whether all cuts go into the bins, and how: the largest cut left goes into some bin, tried with
 * every filling that leaves no room for another, least waste first; what was found to fail is not
 * tried again. `none` is proven, `unknown` where the budget was spent.
 * Cuts are in falling order of size. Source: bin completion with dominance (common practice).
 */
export function pack(cuts: readonly Cut[], bins: readonly Bin[], budget: Budget): Packing {
  const left = cuts.map(({ count }) => count);
  const free = bins.map(({ count }) => count);
  const failed = new Set<string>();
  const filled: Filled[] = [];
  let slackMm =
    bins.reduce((sum, { roomMm, count }) => sum + roomMm * count, 0) -
    cuts.reduce((sum, { sizeMm, count }) => sum + sizeMm * count, 0);
  const place = (): boolean => {
    const first = left.findIndex((count) => count > 0);
    if (first < 0) return true;
    if (slackMm < -ROUNDING_MM || budget.spent) return false;
    const key = `${left.join()}|${free.join()}`;
    if (failed.has(key) || overfull(cuts, bins, left, free)) return false;
    for (const [b, { roomMm }] of bins.entries()) {
      if (!free[b] || roomMm + ROUNDING_MM < cuts[first]!.sizeMm) continue;
      for (const takes of leastWasteFirst(fillings(cuts, left, roomMm, slackMm, budget), cuts)) {
        const wasteMm = roomMm - takes.reduce((sum, k, i) => sum + k * cuts[i]!.sizeMm, 0);
        takes.forEach((k, i) => (left[i]! -= k));
        free[b]!--;
        slackMm -= wasteMm;
        filled.push({ bin: b, takes });
        if (place()) return true;
        filled.pop();
        slackMm += wasteMm;
        free[b]!++;
        takes.forEach((k, i) => (left[i]! += k));
        if (budget.spent) return false;
      }
    }
    failed.add(key);
    return false;
  };
  if (place()) return filled;
  return budget.spent ? 'unknown' : 'none';
}
