import { InputError } from '../../lib/faults/index.ts';
import type { Thing } from '../../shape/obstacles/index.ts';
import { TAUT, worstOf, type HoseVerdict } from '../../shape/rod/index.ts';
import { fittingMm } from '../../plan/index.ts';
import { type HoseView } from './hose-view.ts';
import { sweep, type HoseState } from './hose-sweep.ts';

/** Hoses are ordered in steps of this, mm. Common practice. */
export const ORDER_STEP_MM = 5;
/** Lengths are tried up to this share over the shortest that serves. */
const MOST_OVER = 1.5;
const MOST_STEPS = 200;

/** What one length says of a hose: its worst verdict, and whether it comes too near to anything. */
export interface LengthVerdict {
  readonly orderMm: number;
  readonly verdict: HoseVerdict;
  readonly rubs: boolean;
  readonly ok: boolean;
}
export interface Lengths {
  /** The shortest and the longest that serve in every state and touch nothing; null where none does. */
  readonly shortestMm: number | null;
  readonly longestMm: number | null;
  readonly tried: readonly LengthVerdict[];
}
/** Asked between lengths: how far it has come, 0 to 1. Throwing there ends the search. */
export type Progress = (share: number) => void;

/** A hose that comes nearer to something than it may, in this state. */
export const rubs = ({ near }: Pick<HoseState, 'near'>): boolean =>
  near !== null && near.distanceMm < near.wantedMm;

const bad = (state: HoseState): boolean => state.verdict !== 'ok' || rubs(state);

/** A hose as it would be at another ordered length; looked at no further than the first state in which it fails. */
export function atLength(
  { hose, fittings, ends, stock }: HoseView,
  things: readonly Thing[] | null,
  orderMm: number,
): LengthVerdict {
  const freeMm = orderMm - fittingMm(fittings.a) - fittingMm(fittings.b);
  try {
    const states =
      freeMm > 0 ? sweep(hose.motion, ends.a.clamp, ends.b, freeMm, stock, things, bad) : [];
    const verdict = worstOf(states)?.verdict ?? 'out-of-reach';
    const touching = states.some(rubs);
    return { orderMm, verdict, rubs: touching, ok: verdict === 'ok' && !touching };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    // What does not come to rest is never said to be well.
    return { orderMm, verdict: 'kinks', rubs: false, ok: false };
  }
}

/** The least ordered length that could reach in every state, on a whole step. */
function firstOf({ states, fittings }: HoseView): number {
  const chord = Math.max(0, ...states.map((state) => state.chordMm));
  return (
    Math.ceil((TAUT * chord + fittingMm(fittings.a) + fittingMm(fittings.b)) / ORDER_STEP_MM) *
    ORDER_STEP_MM
  );
}

/** Every length that is sold, from the least that reaches upwards: which serve in every state and touch nothing. */
export function lengthsOf(
  view: HoseView,
  things: readonly Thing[],
  progress: Progress = () => undefined,
): Lengths {
  if (!view.states.length) return { shortestMm: null, longestMm: null, tried: [] };
  const first = firstOf(view);
  const tried: LengthVerdict[] = [];
  let shortestMm: number | null = null;
  let longestMm: number | null = null;
  for (let n = 0; n < MOST_STEPS; n++) {
    const orderMm = first + n * ORDER_STEP_MM;
    if (orderMm > MOST_OVER * (shortestMm ?? first * MOST_OVER)) break;
    const one = atLength(view, things, orderMm);
    tried.push(one);
    if (one.ok) {
      shortestMm ??= orderMm;
      longestMm = orderMm;
    } else if (shortestMm !== null) break;
    progress(Math.min(1, n / ((0.6 * first) / ORDER_STEP_MM)));
  }
  return { shortestMm, longestMm, tried };
}

/** The shortest length that serves in every state and touches nothing; null where none up to half as long again as would just reach does. */
export function shortestOf(view: HoseView, things: readonly Thing[]): number | null {
  if (!view.states.length) return null;
  const first = firstOf(view);
  for (let orderMm = first; orderMm <= MOST_OVER * first; orderMm += ORDER_STEP_MM)
    if (atLength(view, things, orderMm).ok) return orderMm;
  return null;
}

/** One length for several hoses; where there is none, the hose that spoke against most of them. */
export interface EqualLength {
  readonly orderMm: number | null;
  readonly against: string | null;
}
/** The shortest ordered length that serves several hoses alike, so that one spare will do. */
export function equalLength(
  views: readonly HoseView[],
  things: readonly Thing[],
  progress: Progress = () => undefined,
): EqualLength {
  const first = Math.max(...views.map(firstOf));
  const blamed = new Map<HoseView, number>();
  // Whatever spoke against the last length is asked first.
  const order = [...views];
  for (let n = 0; n < MOST_STEPS && n * ORDER_STEP_MM < (MOST_OVER - 1) * first; n++) {
    const orderMm = first + n * ORDER_STEP_MM;
    const fails = order.findIndex((view) => !atLength(view, things, orderMm).ok);
    if (fails < 0) return { orderMm, against: null };
    const [view] = order.splice(fails, 1);
    order.unshift(view!);
    blamed.set(view!, (blamed.get(view!) ?? 0) + 1);
    progress(Math.min(1, (n * ORDER_STEP_MM) / ((MOST_OVER - 1) * first)));
  }
  const worst = [...blamed].sort((a, b) => b[1] - a[1])[0];
  return { orderMm: null, against: worst?.[0].hose.name ?? null };
}
