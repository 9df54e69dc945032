import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';

export interface LeakdownReading {
  /** Gauge pressure. */
  readonly pressureMPa: number;
  readonly tempC: number;
}
export interface LeakdownInput {
  readonly volumeMl: number;
  readonly start: LeakdownReading;
  readonly end: LeakdownReading;
  readonly minutes: number;
  readonly limitMlPerMin?: number;
  readonly pressureSigmaMPa?: number;
  readonly tempSigmaC?: number;
}
export type LeakVerdict = 'tight' | 'watch' | 'leaks' | 'cannot-tell';
export interface Leakdown {
  /** Free air at 0.101325 MPa and 20 °C. */
  readonly lossMlPerMin: number;
  /** How far the pressure fell once it is put back to the temperature of the start. */
  readonly dropAtStartTempMPa: number;
  readonly verdict: LeakVerdict;
  /** It gained: the gas got warmer than the probe says. */
  readonly warming: boolean;
  readonly lossSigmaMlPerMin?: number;
  /** How long a test would have to be for twice its sigma to come down to half the limit. */
  readonly minutesNeeded?: number;
}
const FREE = { mpa: ATMOSPHERE_MPA, k: 293.15 };
const ZERO_C_K = 273.15;
/** Free air lost through a joint that is tight enough for an air test, mL a minute. Common practice. */
export const DEFAULT_LIMIT_ML_PER_MIN = 0.1;

/**
 * An air test of dry, plugged lines: what two readings of pressure and temperature say was lost, and whether
 * they can tell. It finds gross leaks only and never replaces the hydraulic hold.
 * Source: the gas law, absolute by 0.101325 MPa and 273.15 K; limits are common practice. Throws InputError
 * for a temperature below nothing.
 */
export function leakdown({
  volumeMl,
  start,
  end,
  minutes,
  limitMlPerMin: limit = DEFAULT_LIMIT_ML_PER_MIN,
  pressureSigmaMPa,
  tempSigmaC,
}: LeakdownInput): Leakdown {
  const absolute = ({ pressureMPa, tempC }: LeakdownReading, path: string) => {
    const k = tempC + ZERO_C_K;
    if (k <= 0) throw new InputError(`${path}.tempC`, `${tempC} °C is below absolute zero.`);
    return { mpa: pressureMPa + FREE.mpa, k };
  };
  const [first, last] = [absolute(start, 'start'), absolute(end, 'end')];
  const scale = (volumeMl * FREE.k) / (FREE.mpa * minutes);
  const lossMlPerMin = scale * (first.mpa / first.k - last.mpa / last.k);
  const judged: Leakdown = {
    lossMlPerMin,
    dropAtStartTempMPa: first.mpa - (last.mpa * first.k) / last.k,
    verdict: lossMlPerMin < limit / 2 ? 'tight' : lossMlPerMin < limit ? 'watch' : 'leaks',
    warming: lossMlPerMin < -limit / 2,
  };
  if (pressureSigmaMPa === undefined && tempSigmaC === undefined) return judged;
  const [sp, st] = [pressureSigmaMPa ?? 0, tempSigmaC ?? 0];
  const sigma =
    scale * Math.hypot(...[first, last].flatMap(({ mpa, k }) => [sp / k, (st * mpa) / (k * k)]));
  return {
    ...judged,
    ...(2 * sigma >= Math.abs(limit - lossMlPerMin) ? { verdict: 'cannot-tell' as const } : {}),
    lossSigmaMlPerMin: sigma,
    minutesNeeded: (minutes * 4 * sigma) / limit,
  };
}
