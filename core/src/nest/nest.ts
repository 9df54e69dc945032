import { figure, InputError } from '../fault/index.ts';
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
export interface NestPiece {
  readonly stockMm: number;
  readonly cutsMm: readonly number[];
  readonly leftMm: number;
}
export interface Nest {
  /** Pieces that are opened, the one with most left over first. */
  readonly pieces: readonly NestPiece[];
  readonly usedMm: number;
  readonly leftMm: number;
  /** No plan uses less: proven. */
  readonly boundMm: number;
  readonly optimal: boolean;
}

/** The longest a plan is thought about. */
const MOST_MS = 2000;
/** Fillings looked at in each question for the largest left-over. */
const LEFT_OVER_STEPS = 6000;
/** Fillings looked at before other pieces are tried, and when the doubtful ones are taken up again. */
const STEPS = 8000;
const LONG_STEPS = 400_000;

interface Stock {
  readonly lengthMm: number;
  readonly count: number;
  /** Room for cuts, each with the kerf beside it. */
  readonly roomMm: number;
}
/** How many of each stock length are opened. */
type Opened = readonly number[];

/** Equal lengths put together, longest first. */
function together(lengths: readonly (readonly [mm: number, count: number])[]): [number, number][] {
  const counts = new Map<number, number>();
  for (const [mm, count] of lengths) counts.set(mm, (counts.get(mm) ?? 0) + count);
  return [...counts].sort((a, b) => b[0] - a[0]);
}

const totalMm = (stock: readonly Stock[], opened: Opened): number =>
  opened.reduce((sum, n, i) => sum + n * stock[i]!.lengthMm, 0);
const binsOf = (stock: readonly Stock[], opened: Opened): Bin[] => stock.map(({ roomMm }, i) => ({ roomMm, count: opened[i]! }));

/** All choices of pieces whose lengths come to more than `overMm` and no more than `toMm` and whose room is enough, least total first. */
function choices(stock: readonly Stock[], wantedMm: number, overMm: number, toMm: number, budget: Budget): Opened[] {
  const found: { opened: Opened; sumMm: number }[] = [];
  const takes: number[] = [];
  const restMm = (i: number, of: 'lengthMm' | 'roomMm'): number =>
    stock.slice(i).reduce((sum, one) => sum + one.count * Math.max(one[of], 0), 0);
  const [lengths, rooms] = [stock.map((_, i) => restMm(i, 'lengthMm')), stock.map((_, i) => restMm(i, 'roomMm'))];
  const from = (i: number, sumMm: number, roomMm: number): void => {
    if (budget.spent) return;
    if (i === stock.length) {
      if (sumMm > overMm + ROUNDING_MM && roomMm >= wantedMm - ROUNDING_MM) found.push({ opened: takes.slice(), sumMm });
      return budget.step();
    }
    if (sumMm + lengths[i]! <= overMm || roomMm + rooms[i]! < wantedMm - ROUNDING_MM) return;
    const one = stock[i]!;
    const most = one.roomMm <= 0 ? 0 : Math.min(one.count, Math.floor((toMm - sumMm + ROUNDING_MM) / one.lengthMm));
    for (let k = 0; k <= most; k++) {
      takes[i] = k;
      from(i + 1, sumMm + k * one.lengthMm, roomMm + k * one.roomMm);
    }
    takes[i] = 0;
  };
  from(0, 0, 0);
  return found.sort((a, b) => a.sumMm - b.sumMm).map(({ opened }) => opened);
}

const loadMm = (takes: readonly number[], cuts: readonly Cut[]): number =>
  takes.reduce((sum, k, i) => sum + k * cuts[i]!.sizeMm, 0);

/**
 * Of all ways to cut from these pieces, one whose largest left-over is as large as can be found: for
 * each length the emptiest that one such piece can be, the rest still going into the others, halved
 * until it cannot be less.
 */
function largestLeftOver(
  stock: readonly Stock[],
  cuts: readonly Cut[],
  opened: Opened,
  first: readonly Filled[],
  late: () => boolean,
) {
  const leftOf = ({ bin, takes }: Filled): number => stock[bin]!.roomMm - loadMm(takes, cuts);
  const largest = (plan: readonly Filled[]): number => Math.max(...plan.map(leftOf));
  let best = first;
  const wantedMm = cuts.reduce((sum, { sizeMm, count }) => sum + sizeMm * count, 0);
  const roomMm = totalMm(stock.map((one) => ({ ...one, lengthMm: one.roomMm })), opened); // prettier-ignore
  for (const [s, one] of stock.entries()) {
    if (!opened[s]) continue;
    /** Most that might be left of a piece of this length, and most that is known to be. */
    let couldMm = Math.min(roomMm - wantedMm, one.roomMm - cuts[cuts.length - 1]!.sizeMm);
    while (couldMm > largest(best) + 1e-6 && !late()) {
      const sureMm = largest(best);
      // The whole of it first, since it often can be; then half way.
      for (const leaveMm of [couldMm, (couldMm + sureMm) / 2]) {
        const bins = [
          ...stock.map(({ roomMm: room }, i) => ({ roomMm: room, count: opened[i]! - (i === s ? 1 : 0) })),
          { roomMm: one.roomMm - leaveMm, count: 1 },
        ];
        const packed = fits(cuts, bins, new Budget(LEFT_OVER_STEPS, late));
        if (typeof packed === 'string') couldMm = leaveMm - 1e-6;
        else {
          best = packed.map(({ bin, takes }) => ({ bin: bin === stock.length ? s : bin, takes }));
          break;
        }
      }
    }
  }
  return { plan: best, largestMm: largest(best) };
}

/**
 * Which cuts come out of which pieces, so that the least stock is opened and, of those plans, the
 * largest left-over is largest. Choices of pieces are gone through by their total length, least
 * first, from the least whose room is enough; each is shown to take all cuts, or that it cannot.
 * Thinks no longer than two seconds by the clock `nowMs` (without one, as long as it takes). Throws InputError at `partsMm[i]` for a
 * cut longer than any piece, at `stockMm` where there is too little in all.
 * Source: cutting stock with pieces of several lengths, by bin completion (common practice).
 */
export function nest({ stockMm, partsMm, kerfMm, trimMm }: NestInput, nowMs: () => number = () => 0): Nest {
  const startMs = nowMs();
  const late = (): boolean => nowMs() - startMs > MOST_MS;
  const stock: Stock[] = together(stockMm.map(({ lengthMm, count }) => [lengthMm, count])).map(([lengthMm, count]) => ({
    lengthMm,
    count,
    roomMm: lengthMm - trimMm + kerfMm,
  }));
  const longestMm = (stock[0]?.lengthMm ?? 0) - trimMm;
  for (const [i, mm] of partsMm.entries())
    if (mm > longestMm + ROUNDING_MM)
      throw new InputError(
        `partsMm[${i}]`,
        stock.length
          ? `A cut of ${figure(mm)} mm is longer than any piece: the longest gives ${figure(Math.max(longestMm, 0))} mm, ${figure(mm - longestMm)} too little.`
          : `There is no stock to cut ${figure(mm)} mm from.`,
      );
  if (!partsMm.length) return { pieces: [], usedMm: 0, leftMm: 0, boundMm: 0, optimal: true };
  const cuts: Cut[] = together(partsMm.map((mm) => [mm, 1])).map(([mm, count]) => ({ sizeMm: mm + kerfMm, count }));
  const wantedMm = cuts.reduce((sum, { sizeMm, count }) => sum + sizeMm * count, 0);
  const all: Opened = stock.map(({ roomMm, count }) => Math.min(roomMm > 0 ? count : 0, partsMm.length));
  const roomMm = all.reduce((sum, n, i) => sum + n * stock[i]!.roomMm, 0);
  const short = (mm: number): InputError =>
    new InputError('stockMm', `There is too little stock: ${figure(mm)} mm are missing, and what each piece leaves over.`);
  if (roomMm < wantedMm - ROUNDING_MM) throw short(wantedMm - roomMm);

  /** Most that is ever opened: what a first packing of all pieces there are opens. */
  const anyhow = pack(cuts, binsOf(stock, all), new Budget(STEPS));
  if (anyhow === 'none') throw short(cuts[cuts.length - 1]!.sizeMm - kerfMm);
  const openedBy = (plan: readonly Filled[]): Opened => stock.map((_, i) => plan.filter(({ bin }) => bin === i).length);
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
  if (anyhow !== 'unknown') [usedMm, found] = [mostMm, [{ opened: openedBy(anyhow), plan: anyhow }]];
  for (let fromMm = 0; fromMm < usedMm - ROUNDING_MM;) {
    // Totals a shortest piece at a time, so that few choices are listed that are never tried.
    const toMm = Math.min(mostMm, leastTotal(stock, wantedMm, fromMm) + stock[stock.length - 1]!.lengthMm);
    const listing = new Budget(LONG_STEPS, late);
    for (const opened of choices(stock, wantedMm, fromMm, toMm, listing)) {
      if (late()) lookedMm = Math.min(lookedMm, totalMm(stock, opened));
      else tryOut(opened, STEPS);
    }
    if (listing.spent) lookedMm = Math.min(lookedMm, fromMm);
    fromMm = late() || toMm >= mostMm ? Infinity : toMm;
  }
  for (const steps of [8 * STEPS, LONG_STEPS]) {
    const again = doubtful.filter((opened) => totalMm(stock, opened) < usedMm - ROUNDING_MM);
    doubtful = [];
    for (const opened of again) tryOut(opened, steps);
  }
  if (!found.length)
    throw new InputError(
      'stockMm',
      'No way was found in two seconds to cut all of it from this stock: it is very nearly too little.',
    );
  const open = doubtful.map((opened) => totalMm(stock, opened));
  const boundMm = Math.min(usedMm, lookedMm, ...open);
  const best = found
    .map(({ opened, plan }) => largestLeftOver(stock, cuts, opened, plan, late))
    .reduce((a, b) => (b.largestMm > a.largestMm ? b : a));
  const pieces = best.plan
    .map(({ bin, takes }): NestPiece => {
      const cutsMm = takes.flatMap((k, i) => new Array<number>(k).fill(cuts[i]!.sizeMm - kerfMm));
      return { stockMm: stock[bin]!.lengthMm, cutsMm, leftMm: Math.max(0, stock[bin]!.lengthMm - trimMm - loadMm(takes, cuts)) };
    })
    .sort((a, b) => b.leftMm - a.leftMm);
  return {
    pieces,
    usedMm,
    leftMm: pieces.reduce((sum, piece) => sum + piece.leftMm, 0),
    boundMm,
    optimal: usedMm - boundMm <= ROUNDING_MM,
  };
}

/** The least total over `overMm` whose room might be enough: room a millimetre is best in the longest piece. */
function leastTotal(stock: readonly Stock[], wantedMm: number, overMm: number): number {
  const best = Math.max(...stock.map(({ roomMm, lengthMm }) => roomMm / lengthMm));
  return Math.max(overMm, wantedMm / best);
}
