import { diagnose, type Diagnosis } from '../../physics/hydraulics/index.ts';
import { leakdown, type Leakdown } from '../../physics/proof-tests/index.ts';
import { METRIC_QUANTITIES, type Quantities } from '../../lib/units/index.ts';
import type { AirTest, PedalCurve, HoldTest } from '../../plan/index.ts';

export type HoldVerdict = 'held' | 'fell' | 'low' | 'cannot-tell';
export interface HoldView {
  readonly verdict: HoldVerdict;
  readonly fellMPa: number;
  /** What the temperature alone may have done to it, MPa, and how far the gauge itself is unsure. */
  readonly warmMPa: number;
  readonly unsureMPa: number;
  readonly words: string;
}
/** Shorter than this nothing is held. Common practice: five minutes by gauge. */
export const HOLD_MINUTES = 5;
/**
 * Fluid shut in between a shut master and brakes that give is far from stiff: of the thermal pressure of shut-in
 * fluid (some 0.6 MPa a degree in rigid steel) hoses and calipers leave about this, MPa a degree. Ours, said to be a judgement.
 */
const MPA_PER_C = 0.05;

/**
 * A hydraulic hold: no fall that temperature and gauge do not explain, at the pressure that is required. Its words
 * have pressures in the units of `quantities`, metric unless given. Common practice.
 */
export function judgeHold(
  { wantedMPa, startMPa, endMPa, startC, endC, minutes, sigmaMPa }: HoldTest,
  { pressure }: Pick<Quantities, 'pressure'> = METRIC_QUANTITIES,
): HoldView {
  const fellMPa = startMPa - endMPa;
  const warmMPa = MPA_PER_C * Math.abs(endC - startC);
  const unsureMPa = 2 * Math.SQRT2 * sigmaMPa;
  const view = (verdict: HoldVerdict, words: string): HoldView => ({
    verdict,
    fellMPa,
    warmMPa,
    unsureMPa,
    words,
  });
  if (startMPa < wantedMPa * 0.97)
    return view(
      'low',
      `Held at ${pressure(startMPa, 2)}, but ${pressure(wantedMPa, 2)} required. A leak that opens between the two is missed.`,
    );
  if (fellMPa > warmMPa + unsureMPa + 1e-9)
    return view(
      'fell',
      `Pressure fell by ${pressure(fellMPa, 2)}; gauge and temperature explain ${pressure(warmMPa + unsureMPa, 2)}. Find the leak.`,
    );
  if (minutes < HOLD_MINUTES)
    return view(
      'cannot-tell',
      `${minutes} minutes is too short. Hold for at least ${HOLD_MINUTES} minutes.`,
    );
  if (warmMPa + unsureMPa > wantedMPa * 0.03 + 0.1)
    return view(
      'cannot-tell',
      `Gauge accuracy and temperature can hide ${pressure(warmMPa + unsureMPa, 2)}. Hold again at steady temperature.`,
    );
  return view(
    'held',
    fellMPa < -(warmMPa + unsureMPa)
      ? 'Pressure rose: the fluid warmed more than the probe shows.'
      : `Pressure fell by ${pressure(Math.max(0, fellMPa), 2)}, no more than gauge accuracy and temperature explain.`,
  );
}

/** The share of the working pressure that an air test may not exceed. Common practice. */
export const AIR_SHARE = 0.1;
/** And never more than this, whatever the lines are made for, MPa. Ours: gas under pressure bursts what it parts. */
export const AIR_MOST_MPA = 0.7;
export const airCeilingMPa = (workingMPa: number): number =>
  Math.min(AIR_MOST_MPA, AIR_SHARE * workingMPa);
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

/** What a curve says; null while it has too few readings. */
export function judgeCurve(
  { ratio, boreMm, sigmaMm, points }: Pick<PedalCurve, 'ratio' | 'boreMm' | 'sigmaMm' | 'points'>,
  quantities?: Pick<Quantities, 'pressure'>,
): Diagnosis | null {
  return points.length < 4 || new Set(points.map(({ pressureMPa }) => pressureMPa)).size < 3
    ? null
    : diagnose({ ratio, boreMm, travelSigmaMm: sigmaMm, points }, quantities);
}
