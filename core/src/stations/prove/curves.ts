import { quantitiesOf } from '../../lib/units/index.ts';
import type { Diagnosis } from '../../physics/hydraulics/index.ts';
import type { PedalCurve, PedalPoint, Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { circuitDigest } from './digests.ts';
import { expectedPedal, type HeldAgainst, type PedalAsked } from './expected-pedal.ts';
import { judgeCurve } from './judge.ts';

type Judging = PedalAsked & { readonly plan: Pick<Plan, 'units' | 'ownUnits'> };

/** A curve that was taken, and what it is held against: the pedal that the plan calculates now. */
export interface JudgedCurve {
  readonly fit: Diagnosis;
  readonly against: HeldAgainst | null;
}
/** What a saved curve says; null while it has too few readings, or its circuit is gone. */
export function judgedCurve(curve: PedalCurve, view: Judging): JudgedCurve | null {
  const circuit = view.plan.circuits.find(({ id }) => id === curve.circuitId);
  if (!circuit) return null;
  const against = expectedPedal(circuit, view);
  const fit = judgeCurve(curve, quantitiesOf(view.plan), against);
  return fit && { fit, against };
}

/** Whether a pedal is so much firmer than the calculated one that they cannot be the same: then no part of it can be told. */
export const isAnotherPedal = (
  { excess, excessSigma }: Pick<Diagnosis, 'excess' | 'excessSigma'>,
  { limitMm }: Pick<HeldAgainst, 'limitMm'>,
): boolean => !!excess && !!excessSigma && excess.flexMm + 2 * excessSigma.flexMm < -limitMm;

/** Travel on the way down at a pressure, between the readings beside it; null outside them. */
function travelAt(points: readonly PedalPoint[], pMPa: number): number | null {
  const down = points.filter(({ back }) => !back).toSorted((a, b) => a.pressureMPa - b.pressureMPa);
  const after = down.findIndex(({ pressureMPa }) => pressureMPa >= pMPa);
  const [a, b] = [down[after - 1], down[after]];
  if (!b) return null;
  if (!a) return b.pressureMPa === pMPa ? b.travelMm : null;
  const share = (pMPa - a.pressureMPa) / (b.pressureMPa - a.pressureMPa);
  return a.travelMm + share * (b.travelMm - a.travelMm);
}
/** Readings in the order of their time, those after the highest pressure taken as the way back. */
export function asPressed(points: readonly PedalPoint[]): PedalPoint[] {
  const mostMPa = Math.max(...points.map(({ pressureMPa }) => pressureMPa));
  const top = points.findLastIndex(({ pressureMPa }) => pressureMPa >= mostMPa);
  return points.map((point, i) => (i > top ? { ...point, back: true } : point));
}
/** Under this a reading on the way back is of springs and seals, MPa. */
const BACK_FROM_MPA = 0.3;
/** How far the pedal lags on its way back, mm, the mean over the readings there; null where there are none. */
export function lagMm(points: readonly PedalPoint[]): number | null {
  const lags = points
    .filter(({ back, pressureMPa }) => back && pressureMPa >= BACK_FROM_MPA)
    .flatMap(({ pressureMPa, travelMm }) => {
      const down = travelAt(points, pressureMPa);
      return down === null ? [] : [travelMm - down];
    });
  return lags.length ? lags.reduce((sum, mm) => sum + mm, 0) / lags.length : null;
}
/** Curves of a circuit that still rest on what is there now, oldest first. */
export function validCurves(
  circuitId: string,
  view: Pick<PlanView, 'lines' | 'bleeding' | 'plan'>,
): PedalCurve[] {
  const circuit = view.plan.circuits.find(({ id }) => id === circuitId);
  return circuit
    ? view.plan.proving.curves.filter(
        (one) => one.circuitId === circuitId && one.rests === circuitDigest(circuit, view),
      )
    : [];
}
/** Where a pumped pedal is compared with one that was not, MPa. */
const PUMPED_AT_MPA = 2;
/** How much shorter the pedal is once it was pumped, mm, by the newest curve of each; null where one of them is missing. */
export function pumpedShorterMm(curves: readonly PedalCurve[]): number | null {
  const travel = (is: boolean): number | null => {
    const last = curves.findLast((one) => (one.pumped ?? false) === is);
    return last ? travelAt(last.points, PUMPED_AT_MPA) : null;
  };
  const [first, pumped] = [travel(false), travel(true)];
  return first === null || pumped === null ? null : first - pumped;
}
