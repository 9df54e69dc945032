import { derive } from '../../../lib/derive/index.ts';
import { InputError } from '../../../lib/faults/index.ts';
import { formatLengthUnit, type UnitSystem } from '../../../lib/units/index.ts';
import { nest, type Nest, type NestInput } from '../../../physics/nesting/index.ts';
import { freshIn, type LineView, type Making } from '../../../plan/index.ts';
import {
  FLARES,
  tubeById,
  tubeLabel,
  type FlareForm,
  type TubeStock,
} from '../../../trade/stock/index.ts';
import { doneOf, isProven } from './work.ts';

/** A test piece for one flare: room for two clamps and what is looked at. Common practice. */
export const TEST_PIECE_MM = 120;

/** A length to be cut: of a line, or a test piece. */
export interface Cut {
  readonly name: string;
  readonly lineId: string | null;
  readonly lengthMm: number;
}
export interface CutPiece {
  /** The piece at hand that it is; null where it is to be bought. */
  readonly stockId: string | null;
  readonly batch: string;
  readonly lengthMm: number;
  readonly cuts: readonly Cut[];
  readonly leftMm: number;
}
/** How the lines of one tube come out of what is at hand, and what is to be bought for the rest. */
export interface CutPlan {
  readonly tube: TubeStock;
  readonly cuts: readonly Cut[];
  readonly pieces: readonly CutPiece[];
  /** Lengths to buy, longest first. */
  readonly toBuy: readonly { readonly lengthMm: number; readonly count: number }[];
  /** Least stock that any plan could use; `optimal` where this one uses no more. */
  readonly boundMm: number;
  readonly usedMm: number;
  readonly optimal: boolean;
  /** Why there is no plan. */
  readonly fault: string | null;
}
/** A left-over this long is worth keeping. Common practice. */
export const WORTH_KEEPING_MM = 200;

/** What is still to be cut of each tube: lines not cut yet, and a test piece for each flare that was not proven in it. */
function cutsOf(lines: readonly LineView[]): Map<TubeStock, Cut[]> {
  const found = new Map<TubeStock, Cut[]>();
  const tested = new Set<string>();
  for (const view of lines) {
    const { card, line, tube, bench } = view;
    if (!card || line.origin !== 'made' || doneOf(view).has('cut')) continue;
    const cuts = found.get(tube) ?? [];
    found.set(tube, cuts);
    for (const { flare } of [line.ends.a, line.ends.b]) {
      if (tested.has(`${flare} ${tube.id}`) || isProven(bench, flare, tube)) continue;
      tested.add(`${flare} ${tube.id}`);
      cuts.push({
        name: `Test piece, ${FLARES[flare as FlareForm].name.toLowerCase()}`,
        lineId: null,
        lengthMm: TEST_PIECE_MM,
      });
    }
    cuts.push({ name: line.name, lineId: line.id, lengthMm: card.stockCutMm });
  }
  return found;
}

type Stock = NestInput['stockMm'];
/** Choices of lengths to buy that are tried before it is given up. */
const MOST_CHOICES = 400;

/** The plan that buys least: nothing where what is at hand will do, else the choices of sold lengths by their total, each with all that is at hand. */
function leastBought(atHand: Stock, sold: readonly number[], plan: (stock: Stock) => Nest): Nest {
  let first: unknown = null;
  const queue: number[][] = [[]];
  for (let i = 0; i < MOST_CHOICES && queue.length; i++) {
    const bought = queue.shift()!;
    try {
      return plan([...atHand, ...bought.map((lengthMm) => ({ lengthMm, count: 1 }))]);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      // With all lengths to choose from, what is still too long for any is what is told.
      if (!bought.length && sold.length) first = null;
      first ??= bought.length || !sold.length ? error : null;
    }
    const total = (choice: readonly number[]): number => choice.reduce((sum, mm) => sum + mm, 0);
    for (const mm of new Set(sold))
      if (mm <= (bought.at(-1) ?? Infinity)) queue.push([...bought, mm]);
    queue.sort((a, b) => total(a) - total(b));
  }
  throw first;
}

/** Puts the lines' names to the lengths of a plan. */
function named(cutsMm: readonly number[], cuts: Cut[]): Cut[] {
  return cutsMm.map(
    (mm) =>
      cuts.splice(
        cuts.findIndex(({ lengthMm }) => lengthMm === mm),
        1,
      )[0]!,
  );
}

function planFor(
  tube: TubeStock,
  cuts: readonly Cut[],
  making: Making,
  { units, nowMs }: CutSettings,
): CutPlan {
  const hand = making.stock.filter((one) => one.tubeId === tube.id);
  const sold = making.sold.filter((one) => one.tubeId === tube.id);
  const partsMm = cuts.map(({ lengthMm }) => lengthMm);
  const settings = { kerfMm: making.kerfMm, trimMm: making.endMm };
  const none = { tube, cuts, pieces: [], toBuy: [], boundMm: 0, usedMm: 0, optimal: false };
  const atHand = hand.map(({ lengthMm, count }) => ({ lengthMm, count }));
  try {
    const pool = [...cuts];
    const left = hand.map((one) => ({ ...one, free: one.count }));
    const piecesOf = (plan: ReturnType<typeof nest>): CutPiece[] =>
      plan.pieces.map(({ stockMm, cutsMm, leftMm }) => {
        const own = left.find(({ lengthMm, free }) => lengthMm === stockMm && free > 0);
        if (own) own.free--;
        return {
          stockId: own?.id ?? null,
          batch: own?.batch ?? '',
          lengthMm: stockMm,
          cuts: named(cutsMm, pool),
          leftMm,
        };
      });
    const plan = leastBought(
      atHand,
      sold.map(({ lengthMm }) => lengthMm),
      (stockMm) => nest({ stockMm, partsMm, ...settings }, nowMs),
    );
    const pieces = piecesOf(plan);
    const bought = new Map<number, number>();
    for (const { stockId, lengthMm } of pieces)
      if (stockId === null) bought.set(lengthMm, (bought.get(lengthMm) ?? 0) + 1);
    const toBuy = [...bought]
      .sort((a, b) => b[0] - a[0])
      .map(([lengthMm, count]) => ({ lengthMm, count }));
    return { ...none, ...plan, pieces, toBuy, fault: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const cut = cuts[Number(/^partsMm\[(\d+)\]/.exec(error.path)?.[1])];
    if (!cut) return { ...none, fault: error.message };
    const mm = (length: number): string => formatLengthUnit(length, units);
    const givesMm = Math.max(...[...hand, ...sold].map((one) => one.lengthMm)) - making.endMm;
    return {
      ...none,
      fault: `No stock long enough for ${cut.name} (${mm(cut.lengthMm)}).${
        hand.length + sold.length ? ` The longest piece gives ${mm(Math.max(givesMm, 0))}.` : ''
      }`,
    };
  }
}

interface CutSettings {
  readonly units: UnitSystem;
  /** A clock, so that no tube takes longer than two seconds. */
  readonly nowMs?: () => number;
}
/** A plan of cuts for each tube that lines are still to be cut from; why there is none is said in `units`. */
export const cutPlans = (
  lines: readonly LineView[],
  making: Making,
  settings: CutSettings,
): CutPlan[] => [...cutsOf(lines)].map(([tube, cuts]) => planFor(tube, cuts, making, settings));

/** How much tube is still to be cut, with what every piece is short of, by tube: no plan is made for it. */
export const tubeWanted = derive(
  'tube still to be cut',
  (lines: readonly LineView[]) => [lines],
  (
    lines,
  ): readonly {
    readonly tube: TubeStock;
    readonly cuts: readonly Cut[];
    readonly totalMm: number;
    readonly longestMm: number;
  }[] =>
    [...cutsOf(lines)].map(([tube, cuts]) => ({
      tube,
      cuts,
      totalMm: cuts.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      longestMm: Math.max(...cuts.map(({ lengthMm }) => lengthMm)),
    })),
);
export const tubeName = (id: string): string => tubeLabel(tubeById(id)!);

/** The stock as it is once a plan was cut: pieces opened are gone, left-overs worth keeping are in it by the names of what was cut from them. */
export function stockAfter(making: Making, plan: CutPlan): Making {
  let stock = making.stock;
  for (const { stockId, batch, leftMm } of plan.pieces) {
    stock = stock
      .map((one) => (one.id === stockId ? { ...one, count: one.count - 1 } : one))
      .filter(({ count }) => count > 0);
    const lengthMm = Math.round((leftMm + making.endMm) * 10) / 10;
    if (leftMm < WORTH_KEEPING_MM) continue;
    const same = stock.find(
      (one) => one.tubeId === plan.tube.id && one.lengthMm === lengthMm && one.batch === batch,
    );
    stock = same
      ? stock.map((one) => (one === same ? { ...one, count: one.count + 1 } : one))
      : [
          ...stock,
          { id: freshIn('stock', stock), tubeId: plan.tube.id, lengthMm, count: 1, batch },
        ];
  }
  return { ...making, stock };
}
