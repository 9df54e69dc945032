import { figure, InputError } from '../../lib/faults/index.ts';
import { fits } from './fits.ts';
import { Budget, pack, ROUNDING_MM, type Bin, type Cut, type Filled } from './pack.ts';

export interface NestInput {
  readonly stockMm: readonly { readonly lengthMm: number; readonly count: number }[];
  readonly partsMm: readonly number[];
  /** What each cut of the saw takes. */
  readonly kerfMm: number;
  /** What every piece loses at its end before the first cut. */
  readonly trimMm: number;
}
/** Fillings looked at before other pieces are tried, and when the doubtful ones are taken up again. */
const SHORT_STEPS = 8000;
const LONG_STEPS = 400_000;

export interface Stock {
  readonly lengthMm: number;
  readonly count: number;
  /** Room for cuts, each with the kerf beside it. */
  readonly roomMm: number;
}
/** How many of each stock length are opened. */
export type Opened = readonly number[];

/** Equal lengths put together, longest first. */
function together(lengths: readonly (readonly [mm: number, count: number])[]): [number, number][] {
  const counts = new Map<number, number>();
  for (const [mm, count] of lengths) counts.set(mm, (counts.get(mm) ?? 0) + count);
  return [...counts].sort((a, b) => b[0] - a[0]);
}

export const totalMm = (stock: readonly Stock[], opened: Opened): number =>
  opened.reduce((sum, n, i) => sum + n * stock[i]!.lengthMm, 0);
const binsOf = (stock: readonly Stock[], opened: Opened): Bin[] =>
  stock.map(({ roomMm }, i) => ({ roomMm, count: opened[i]! }));

/** All choices of pieces whose lengths come to more than `overMm` and no more than `toMm` and whose room is enough, least total first. */
function choices(
  stock: readonly Stock[],
  wantedMm: number,
  overMm: number,
  toMm: number,
  budget: Budget,
): Opened[] {
  const found: { opened: Opened; sumMm: number }[] = [];
  const takes: number[] = [];
  const restMm = (i: number, of: 'lengthMm' | 'roomMm'): number =>
    stock.slice(i).reduce((sum, one) => sum + one.count * Math.max(one[of], 0), 0);
  const [lengths, rooms] = [
    stock.map((_, i) => restMm(i, 'lengthMm')),
    stock.map((_, i) => restMm(i, 'roomMm')),
  ];
  const from = (i: number, sumMm: number, roomMm: number): void => {
    if (budget.spent) return;
    if (i === stock.length) {
      if (sumMm > overMm + ROUNDING_MM && roomMm >= wantedMm - ROUNDING_MM)
        found.push({ opened: takes.slice(), sumMm });
      return budget.step();
    }
    if (sumMm + lengths[i]! <= overMm || roomMm + rooms[i]! < wantedMm - ROUNDING_MM) return;
    const one = stock[i]!;
    const most =
      one.roomMm <= 0
        ? 0
        : Math.min(one.count, Math.floor((toMm - sumMm + ROUNDING_MM) / one.lengthMm));
    for (let k = 0; k <= most; k++) {
      takes[i] = k;
      from(i + 1, sumMm + k * one.lengthMm, roomMm + k * one.roomMm);
    }
    takes[i] = 0;
  };
  from(0, 0, 0);
  return found.sort((a, b) => a.sumMm - b.sumMm).map(({ opened }) => opened);
}

export const loadMm = (takes: readonly number[], cuts: readonly Cut[]): number =>
  takes.reduce((sum, k, i) => sum + k * cuts[i]!.sizeMm, 0);

/** Ways to cut that open the least stock, one for each choice of pieces of that total. */
export interface Least {
  readonly stock: readonly Stock[];
  readonly cuts: readonly Cut[];
  readonly found: readonly { readonly opened: Opened; readonly plan: readonly Filled[] }[];
  readonly usedMm: number;
  /** No plan uses less: proven. */
  readonly boundMm: number;
}

/**
 * The least stock that takes all cuts, `late` saying when to stop thinking. Choices of pieces are gone
 * through by their total length, least first, from the least whose room is enough; each is shown to
 * take all cuts, or that it cannot. Throws InputError as `nest`.
 */
export function leastStock(
  { stockMm, partsMm, kerfMm, trimMm }: NestInput,
  late: () => boolean,
): Least {
  const stock: Stock[] = together(stockMm.map(({ lengthMm, count }) => [lengthMm, count])).map(
    ([lengthMm, count]) => ({
      lengthMm,
      count,
      roomMm: lengthMm - trimMm + kerfMm,
    }),
  );
  const longestMm = (stock[0]?.lengthMm ?? 0) - trimMm;
  for (const [i, mm] of partsMm.entries())
    if (mm > longestMm + ROUNDING_MM)
      throw new InputError(
        `partsMm[${i}]`,
        stock.length
          ? `A cut of ${figure(mm)} mm is longer than any piece. The longest gives ${figure(Math.max(longestMm, 0))} mm, ${figure(mm - longestMm)} too little.`
          : `No stock long enough for ${figure(mm)} mm.`,
      );
  const cuts: Cut[] = together(partsMm.map((mm) => [mm, 1])).map(([mm, count]) => ({
    sizeMm: mm + kerfMm,
    count,
  }));
  const wantedMm = cuts.reduce((sum, { sizeMm, count }) => sum + sizeMm * count, 0);
  const all: Opened = stock.map(({ roomMm, count }) =>
    Math.min(roomMm > 0 ? count : 0, partsMm.length),
  );
  const roomMm = all.reduce((sum, n, i) => sum + n * stock[i]!.roomMm, 0);
  const short = (mm: number): InputError =>
    new InputError(
      'stockMm',
      `Not enough stock: ${figure(mm)} mm short, plus the waste from each piece.`,
    );
  if (roomMm < wantedMm - ROUNDING_MM) throw short(wantedMm - roomMm);

  /** Most that is ever opened: what a first packing of all pieces there are opens. */
  const anyhow = pack(cuts, binsOf(stock, all), new Budget(SHORT_STEPS));
  if (anyhow === 'none') throw short(cuts[cuts.length - 1]!.sizeMm - kerfMm);
  const openedBy = (plan: readonly Filled[]): Opened =>
    stock.map((_, i) => plan.filter(({ bin }) => bin === i).length);
  const mostMm = anyhow === 'unknown' ? totalMm(stock, all) : totalMm(stock, openedBy(anyhow));

  let usedMm = Infinity;
  /** Ways to cut that use the least so far, one for each choice of pieces. */
  let found: { opened: Opened; plan: readonly Filled[] }[] = [];
  /** Choices that no search has settled yet, least total first. */
  let doubtful: Opened[] = [];
  /** Up to here every choice has been looked at. */
  let lookedMm = Infinity;
  const tryOut = (opened: Opened, steps: number): void => {
    const sumMm = totalMm(stock, opened);
    if (sumMm > usedMm + ROUNDING_MM) return;
    const plan = fits(cuts, binsOf(stock, opened), new Budget(steps, late));
    if (plan === 'unknown') doubtful.push(opened);
    if (typeof plan === 'string') return;
    found = [...(sumMm < usedMm - ROUNDING_MM ? [] : found), { opened, plan }];
    usedMm = sumMm;
  };
  if (anyhow !== 'unknown')
    [usedMm, found] = [mostMm, [{ opened: openedBy(anyhow), plan: anyhow }]];
  for (let fromMm = 0; fromMm < usedMm - ROUNDING_MM;) {
    // Totals a shortest piece at a time, so that few choices are listed that are never tried.
    const toMm = Math.min(
      mostMm,
      leastTotal(stock, wantedMm, fromMm) + stock[stock.length - 1]!.lengthMm,
    );
    const listing = new Budget(LONG_STEPS, late);
    for (const opened of choices(stock, wantedMm, fromMm, toMm, listing)) {
      if (late()) lookedMm = Math.min(lookedMm, totalMm(stock, opened));
      else tryOut(opened, SHORT_STEPS);
    }
    if (listing.spent) lookedMm = Math.min(lookedMm, fromMm);
    fromMm = late() || toMm >= mostMm ? Infinity : toMm;
  }
  for (const steps of [8 * SHORT_STEPS, LONG_STEPS]) {
    const again = doubtful.filter((opened) => totalMm(stock, opened) < usedMm - ROUNDING_MM);
    doubtful = [];
    for (const opened of again) tryOut(opened, steps);
  }
  if (!found.length)
    throw new InputError(
      'stockMm',
      'No cutting plan found in two seconds: the stock is only just enough, or just too little.',
    );
  const open = doubtful.map((opened) => totalMm(stock, opened));
  const boundMm = Math.min(usedMm, lookedMm, ...open);
  return { stock, cuts, found, usedMm, boundMm };
}

/** The least total over `overMm` whose room might be enough: room a millimetre is best in the longest piece. */
function leastTotal(stock: readonly Stock[], wantedMm: number, overMm: number): number {
  const best = Math.max(...stock.map(({ roomMm, lengthMm }) => roomMm / lengthMm));
  return Math.max(overMm, wantedMm / best);
}
