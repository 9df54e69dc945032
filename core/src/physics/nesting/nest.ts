import { fits } from './fits.ts';
import { leastStock, loadMm, totalMm, type NestInput, type Opened, type Stock } from './least.ts';
import { Budget, ROUNDING_MM, type Cut, type Filled } from './pack.ts';

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
  const roomMm = totalMm(
    stock.map((one) => ({ ...one, lengthMm: one.roomMm })),
    opened,
  );
  for (const [s, one] of stock.entries()) {
    if (!opened[s]) continue;
    /** Most that might be left of a piece of this length, and most that is known to be. */
    let couldMm = Math.min(roomMm - wantedMm, one.roomMm - cuts[cuts.length - 1]!.sizeMm);
    while (couldMm > largest(best) + 1e-6 && !late()) {
      const sureMm = largest(best);
      // The whole of it first, since it often can be; then half way.
      for (const leaveMm of [couldMm, (couldMm + sureMm) / 2]) {
        const bins = [
          ...stock.map(({ roomMm: room }, i) => ({
            roomMm: room,
            count: opened[i]! - (i === s ? 1 : 0),
          })),
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
 * largest left-over is largest. Thinks no longer than two seconds by the clock `nowMs` (without one,
 * as long as it takes). Throws InputError at `partsMm[i]` for a cut longer than any piece, at
 * `stockMm` where there is too little in all.
 * Source: cutting stock with pieces of several lengths, by bin completion (common practice).
 */
export function nest(input: NestInput, nowMs: () => number = () => 0): Nest {
  const startMs = nowMs();
  const late = (): boolean => nowMs() - startMs > MOST_MS;
  if (!input.partsMm.length) return { pieces: [], usedMm: 0, leftMm: 0, boundMm: 0, optimal: true };
  const { stock, cuts, found, usedMm, boundMm } = leastStock(input, late);
  const best = found
    .map(({ opened, plan }) => largestLeftOver(stock, cuts, opened, plan, late))
    .reduce((a, b) => (b.largestMm > a.largestMm ? b : a));
  const pieces = best.plan
    .map(({ bin, takes }): NestPiece => {
      const cutsMm = takes.flatMap((k, i) =>
        new Array<number>(k).fill(cuts[i]!.sizeMm - input.kerfMm),
      );
      return {
        stockMm: stock[bin]!.lengthMm,
        cutsMm,
        leftMm: Math.max(0, stock[bin]!.lengthMm - input.trimMm - loadMm(takes, cuts)),
      };
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
