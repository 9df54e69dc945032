import { ROUNDING_MM, type Bin, type Budget, type Cut } from './pack.ts';

/** A filling of one bin and how often the relaxed plan uses it. */
export interface Column {
  readonly bin: number;
  readonly takes: readonly number[];
  readonly times: number;
}
/** `none`: shown that no plan exists, whole or in fractions. */
export type Relaxed = readonly Column[] | 'none' | 'unknown';

const EPSILON = 1e-9;

/** The filling of a room that is worth most, no cut taken oftener than it is wanted; null where the budget was spent. Depth first by worth a millimetre, with the bound of the knapsack filled in fractions. */
function worthiest(
  cuts: readonly Cut[],
  worth: readonly number[],
  roomMm: number,
  budget: Budget,
): { takes: number[]; worth: number } | null {
  const order = cuts
    .map((_, i) => i)
    .filter((i) => worth[i]! > EPSILON && cuts[i]!.count > 0)
    .sort((a, b) => worth[b]! / cuts[b]!.sizeMm - worth[a]! / cuts[a]!.sizeMm);
  const takes = new Array<number>(cuts.length).fill(0);
  let best = { takes: takes.slice(), worth: 0 };
  const from = (k: number, freeMm: number, sum: number): void => {
    if (sum > best.worth + EPSILON) best = { takes: takes.slice(), worth: sum };
    if (k === order.length || budget.spent) return;
    budget.step();
    let bound = sum;
    for (let j = k, room = freeMm; j < order.length && room > 0; j++) {
      const { sizeMm, count } = cuts[order[j]!]!;
      const times = Math.min(count, room / sizeMm);
      bound += times * worth[order[j]!]!;
      room -= times * sizeMm;
    }
    if (bound <= best.worth + EPSILON) return;
    const i = order[k]!;
    const { sizeMm, count } = cuts[i]!;
    for (let n = Math.min(count, Math.floor((freeMm + ROUNDING_MM) / sizeMm)); n >= 0; n--) {
      takes[i] = n;
      from(k + 1, freeMm - n * sizeMm, sum + n * worth[i]!);
    }
    takes[i] = 0;
  };
  from(0, roomMm, 0);
  return budget.spent ? null : best;
}

/**
 * The plan with fillings used in fractions: leaves the least length of cuts uncovered, fillings made
 * up as they are wanted. Where some length stays uncovered whatever is done, no whole plan exists
 * either. Source: column generation for cutting stock (Gilmore and Gomory), revised simplex, and
 * Farley's bound at every step.
 */
export function relaxed(cuts: readonly Cut[], bins: readonly Bin[], budget: Budget): Relaxed {
  const [m, rows] = [cuts.length, cuts.length + bins.length];
  const demand = [...cuts.map(({ count }) => count), ...bins.map(({ count }) => count)];
  /** Cost of each basic column: its length where it is an uncovered cut. */
  const cost = [...cuts.map(({ sizeMm }) => sizeMm), ...bins.map(() => 0)];
  const columns: (Omit<Column, 'times'> | null)[] = new Array(rows).fill(null);
  const inverse: number[][] = demand.map((_, i) => demand.map((__, j) => (i === j ? 1 : 0)));
  const amount = demand.slice();
  const total = cuts.reduce((sum, { sizeMm, count }) => sum + sizeMm * count, 0);
  for (let round = 0; round < 4000; round++) {
    budget.step();
    if (budget.spent || budget.late()) return 'unknown';
    const dual = demand.map((_, j) =>
      inverse.reduce((sum, row, i) => sum + (cost[i] ? cost[i]! * row[j]! : 0), 0),
    );
    const uncovered = amount.reduce((sum, x, i) => sum + x * cost[i]!, 0);
    if (uncovered <= 1e-7 * total) break;
    let enters: { column: Omit<Column, 'times'> | null; entries: number[]; gain: number } | null =
      null;
    const surplus = dual.slice(0, m).findIndex((price) => price < -1e-7);
    if (surplus >= 0)
      enters = { column: null, entries: demand.map((_, i) => (i === surplus ? -1 : 0)), gain: 1 };
    else {
      let bound = dual.slice(0, m).reduce((sum, price, i) => sum + price * demand[i]!, 0);
      for (const [b, { roomMm, count }] of bins.entries()) {
        if (!count) continue;
        const best = worthiest(cuts, dual, roomMm, budget);
        if (!best) return 'unknown';
        bound -= count * best.worth;
        const gain = best.worth + dual[m + b]!;
        if (gain > 1e-7 && (!enters || gain > enters.gain))
          enters = {
            column: { bin: b, takes: best.takes },
            entries: [...best.takes, ...bins.map((_, k) => (k === b ? 1 : 0))],
            gain,
          };
      }
      if (bound > 1e-6 * total) return 'none';
    }
    if (!enters) return 'unknown';
    const { column, entries } = enters;
    const way = inverse.map((row) =>
      row.reduce((sum, x, j) => sum + (entries[j] ? x * entries[j]! : 0), 0),
    );
    let leaves = -1;
    for (let i = 0; i < rows; i++)
      if (
        way[i]! > EPSILON &&
        (leaves < 0 || amount[i]! / way[i]! < amount[leaves]! / way[leaves]! - 1e-12)
      )
        leaves = i;
    if (leaves < 0) return 'unknown';
    const pivot = way[leaves]!;
    const step = amount[leaves]! / pivot;
    const [row] = [inverse[leaves]!.map((x) => x / pivot)];
    for (let i = 0; i < rows; i++) {
      if (i === leaves) continue;
      amount[i] = Math.max(0, amount[i]! - way[i]! * step);
      if (way[i]) inverse[i] = inverse[i]!.map((x, j) => x - way[i]! * row[j]!);
    }
    [inverse[leaves], amount[leaves], cost[leaves], columns[leaves]] = [row, step, 0, column];
  }
  return columns.flatMap((column, i) =>
    column && amount[i]! > EPSILON ? [{ ...column, times: amount[i]! }] : [],
  );
}
