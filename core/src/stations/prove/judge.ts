import { diagnose, type Diagnosis, type ModelDoubt } from '../../physics/hydraulics/index.ts';
import {
  gasEnergyJ,
  hold,
  leakdown,
  seenMPa,
  type Leakdown,
} from '../../physics/proof-tests/index.ts';
import { METRIC_QUANTITIES, type Quantities } from '../../lib/units/index.ts';
import type { AirTest, PedalCurve, HoldTest } from '../../plan/index.ts';
import type { HeldAgainst } from './expected-pedal.ts';
import type { HoldAsk } from './hold-ask.ts';

export type HoldVerdict = 'held' | 'fell' | 'low' | 'cannot-tell';
export interface HoldView {
  readonly verdict: HoldVerdict;
  /** How far it fell, put back to the temperature of the start. */
  readonly fellMPa: number;
  /** Most that it may have fallen by, and the least that its instruments can see. */
  readonly limitMPa: number;
  readonly seenMPa: number;
  readonly words: string;
}
/** Shorter than this nothing is held. Common practice: five minutes by gauge. */
export const HOLD_MINUTES = 5;
/** What may be lost: this share of what is held, and never less than a gauge for brakes sees, MPa. Ours, said to be a judgement: half of what common practice allows. */
const LOST_SHARE = 0.05;
const LOST_LEAST_MPA = 0.2;
/** Two readings of one thermometer at one place differ by this of themselves, °C. Common practice. */
const TEMP_SIGMA_C = 0.05;
/** Within this the fluid is as warm as before, °C. Common practice. */
const STEADY_C = 1;

/** What a hold is judged by besides its own figures. */
type Shut = Pick<HoldAsk, 'wantedMPa' | 'stiffnessMPaPerK' | 'stiffnessSigmaMPaPerK'>;
/** The fall that a hold may show, and the least that a gauge can see of it. Under what is alive no temperature counts. */
export const holdLimits = (
  { wantedMPa, stiffnessMPaPerK }: Shut,
  { sigmaMPa, pedal }: Pick<HoldTest, 'sigmaMPa' | 'pedal'>,
): Pick<HoldView, 'limitMPa' | 'seenMPa'> => ({
  limitMPa: Math.max(LOST_LEAST_MPA, LOST_SHARE * wantedMPa),
  seenMPa: seenMPa(sigmaMPa, pedal === 'live' ? 0 : stiffnessMPaPerK, TEMP_SIGMA_C),
});

/**
 * A hydraulic hold: no fall that temperature and gauge do not explain, at the pressure that is required. Under a foot,
 * a weight or a booster no temperature counts. Its words have pressures in the units of `quantities`, metric unless given.
 */
export function judgeHold(
  test: HoldTest,
  shut: Shut,
  { pressure }: Pick<Quantities, 'pressure'> = METRIC_QUANTITIES,
): HoldView {
  const { startMPa, endMPa, startC, endC, minutes, sigmaMPa, pedal } = test;
  const live = pedal === 'live';
  const { limitMPa, seenMPa: seen } = holdLimits(shut, test);
  const { fallMPa, verdict, missing } = hold({
    start: { pressureMPa: startMPa, tempC: startC },
    end: { pressureMPa: endMPa, tempC: endC },
    minutes,
    stiffnessMPaPerK: live ? 0 : shut.stiffnessMPaPerK,
    stiffnessSigmaMPaPerK: live ? 0 : shut.stiffnessSigmaMPaPerK,
    limitMPa: Math.max(limitMPa, seen),
    pressureSigmaMPa: sigmaMPa,
    tempSigmaC: TEMP_SIGMA_C,
  });
  const view = (is: HoldVerdict, words: string): HoldView => ({
    verdict: is,
    fellMPa: fallMPa,
    limitMPa,
    seenMPa: seen,
    words,
  });
  if (startMPa < shut.wantedMPa * 0.97)
    return view(
      'low',
      `Held at ${pressure(startMPa, 2)}, but ${pressure(shut.wantedMPa, 2)} required. A leak that opens between the two is missed.`,
    );
  const fell = `Pressure fell by ${pressure(Math.max(0, fallMPa), 2)}${live || startC === endC ? '' : ', temperature allowed for'}`;
  if (verdict === 'falls')
    return view('fell', `${fell}; ${pressure(limitMPa, 2)} is allowed. Find the leak.`);
  if (minutes < HOLD_MINUTES)
    return view(
      'cannot-tell',
      `${minutes} minutes is too short. Hold for at least ${HOLD_MINUTES} minutes.`,
    );
  if (seen > limitMPa)
    return view(
      'cannot-tell',
      `This gauge cannot see a fall under ${pressure(seen, 2)}, and ${pressure(limitMPa, 2)} is allowed. Use a finer gauge.`,
    );
  if (Math.abs(endC - startC) > STEADY_C)
    return view(
      'cannot-tell',
      `The temperature changed by ${Math.abs(endC - startC).toFixed(1)} °C, and ${STEADY_C} °C is allowed. Hold again once it is steady.`,
    );
  if (verdict === 'rises')
    return view(
      'cannot-tell',
      'Pressure rose: the fluid warmed more than the probe shows. Hold again once it is steady.',
    );
  if (verdict === 'cannot-tell')
    return view('cannot-tell', `${fell}, and it could be a leak or not. ${missing!}`);
  return view('held', `${fell}, no more than gauge accuracy and temperature explain.`);
}

/** The share of the working pressure that an air test may not exceed. Common practice. */
export const AIR_SHARE = 0.1;
/** And never more than this, whatever the lines are made for, MPa. Ours: gas under pressure bursts what it parts. */
export const AIR_MOST_MPA = 0.7;
/** Nor more than what lets go of this much, J. Ours: a joint that parts is thrown by it. */
export const AIR_MOST_J = 50;
/** Most pressure of an air test of lines worked at a pressure, MPa; of a volume, by the energy in it too. */
export function airCeilingMPa(workingMPa: number, volumeMl = 0): number {
  const byPressure = Math.min(AIR_MOST_MPA, AIR_SHARE * workingMPa);
  if (gasEnergyJ(byPressure, volumeMl) <= AIR_MOST_J) return byPressure;
  let [low, high] = [0, byPressure];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (gasEnergyJ(middle, volumeMl) > AIR_MOST_J) high = middle;
    else low = middle;
  }
  return low;
}
export const judgeAir = (test: AirTest): Leakdown =>
  leakdown({
    volumeMl: test.volumeMl,
    minutes: test.minutes,
    limitMlPerMin: test.limitMlPerMin,
    start: { pressureMPa: test.startMPa, tempC: test.startC },
    end: { pressureMPa: test.endMPa, tempC: test.endC },
    pressureSigmaMPa: test.sigmaMPa,
    tempSigmaC: test.sigmaC,
  });

/** What a calculated pedal leaves out besides, mm; as many readings as this see all there is of it, and more of them wear down scatter alone. Ours, said to be a judgement. */
const MODEL_MM = 0.3;
const MODEL_READINGS = 20;
/** A gauge for brakes at a light foot, and how gaps and air are squeezed. Ours, said to be a judgement; of air between slowly and with no time to cool. */
const DOUBT: ModelDoubt = {
  pressureSigmaMPa: 0.008,
  padShare: 0.12,
  polytropic: 1.2,
  polytropicSigma: 0.1,
};
type Taken = Pick<PedalCurve, 'ratio' | 'boreMm' | 'sigmaMm' | 'points'>;
/** What a curve says on its way down, held against the pedal that was calculated where that is given; null while it has too few readings. */
export function judgeCurve(
  { ratio, boreMm, sigmaMm, points: taken }: Taken,
  quantities?: Pick<Quantities, 'pressure'>,
  against?: HeldAgainst | null,
): Diagnosis | null {
  const points = taken.filter(({ back }) => !back);
  if (points.length < 4 || new Set(points.map(({ pressureMPa }) => pressureMPa)).size < 3)
    return null;
  const many = Math.sqrt(Math.max(1, points.length / MODEL_READINGS));
  return diagnose(
    against
      ? {
          ratio,
          boreMm,
          travelSigmaMm: Math.hypot(sigmaMm, MODEL_MM) * many,
          points,
          ...against,
          doubt: DOUBT,
        }
      : { ratio, boreMm, travelSigmaMm: sigmaMm, points },
    quantities,
  );
}
