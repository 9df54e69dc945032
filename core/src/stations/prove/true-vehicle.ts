import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { normal } from '../../lib/random/index.ts';
import type { PedalPoint } from '../../plan/index.ts';
import { judgeCurve } from './judge.ts';
import { findFault, type Cause, type Evidence } from './faults.ts';

/** A fault that the simulated vehicle can have; `none`: it is sound. */
export const TRUE_FAULTS = [
  'none',
  'air',
  'flexing hose',
  'wrong bore',
  'weeping joint',
  'sticking piston',
  'swapped feed',
  'closed compensating port',
] as const;
export type TrueFault = (typeof TRUE_FAULTS)[number];
/**
 * The vehicle behind the simulated instruments. It is built by another model than the one that judges: pads that
 * stiffen, seals that roll back, hysteresis, air that compresses polytropically, a gauge that rounds, a sensor that jitters.
 */
export interface TrueVehicle {
  readonly fault: TrueFault;
  readonly ratio: number;
  readonly boreMm: number;
  readonly airMl: number;
  readonly freePlayMm: number;
  readonly hoseMlPerMPa: number;
  readonly padMl: number;
  readonly padMPa: number;
  readonly rollbackMl: number;
  readonly gaugeStepMPa: number;
  readonly jitterMm: number;
  readonly hysteresis: number;
  readonly leakMlPerS: number;
  readonly boosterMPa: number;
}
/** A vehicle out of random numbers in [0, 1), with its fault. */
export function trueVehicle(
  random: () => number,
  fault: TrueFault = TRUE_FAULTS[Math.floor(random() * TRUE_FAULTS.length)]!,
): TrueVehicle {
  const between = (a: number, b: number): number => a + (b - a) * random();
  return {
    fault,
    ratio: between(4.5, 6.5),
    boreMm: [19.05, 20.64, 22.22, 23.81, 25.4][Math.floor(random() * 5)]!,
    airMl:
      fault === 'air'
        ? between(1.5, 7)
        : fault === 'swapped feed'
          ? between(0.5, 2)
          : between(0, 0.15),
    freePlayMm: between(4, 14) + (fault === 'sticking piston' ? between(0, 12) : 0),
    hoseMlPerMPa: fault === 'flexing hose' ? between(0.28, 0.5) : between(0.02, 0.07),
    padMl: between(0.25, 0.6),
    padMPa: between(1.5, 3.5),
    rollbackMl: between(0.1, 0.35),
    gaugeStepMPa: [0.01, 0.02, 0.05][Math.floor(random() * 3)]!,
    jitterMm: between(0.1, 0.5),
    hysteresis: between(0.01, 0.04),
    leakMlPerS: fault === 'weeping joint' ? between(0.02, 0.1) : 0,
    boosterMPa: between(5, 9),
  };
}
/** Air squeezed fast is neither isothermal nor adiabatic. */
const POLYTROPIC = 1.15;
/** What of a push past the booster's help still comes out as pressure. */
const BEYOND = 0.35;

/** Fluid that the true vehicle takes at a pressure, mL. */
const takenMl = (v: TrueVehicle, p: number): number =>
  v.airMl * (1 - (ATMOSPHERE_MPA / (ATMOSPHERE_MPA + p)) ** (1 / POLYTROPIC)) +
  v.hoseMlPerMPa * p * (1 + 0.02 * p) +
  v.padMl * (1 - Math.exp(-p / v.padMPa)) +
  v.rollbackMl * Math.tanh(p / 0.6);
/** Pedal travel at its pad for a pressure, mm. */
export const trueTravelMm = (v: TrueVehicle, p: number): number =>
  v.freePlayMm + (takenMl(v, p) * 1000 * v.ratio) / ((Math.PI / 4) * v.boreMm ** 2);

/** Readings as the instruments give them: rounded, jittered, a little behind on the way up. */
export function readPedal(
  v: TrueVehicle,
  pressuresMPa: readonly number[],
  random: () => number,
): PedalPoint[] {
  const jitter = normal(random);
  /** Past what the booster helps to, the foot adds little. */
  const reached = (p: number): number =>
    p <= v.boosterMPa ? p : v.boosterMPa + BEYOND * (p - v.boosterMPa);
  return pressuresMPa.map(reached).map((p) => ({
    pressureMPa: Math.max(
      0,
      Math.round((p * (1 - v.hysteresis * random())) / v.gaugeStepMPa) * v.gaugeStepMPa,
    ),
    travelMm: Math.round((trueTravelMm(v, p) + v.jitterMm * jitter()) * 10) / 10,
  }));
}
/** What somebody would see of it; each look is wrong now and then. */
export function seen(
  v: TrueVehicle,
  points: readonly PedalPoint[],
  random: () => number,
): Evidence {
  const look = (is: boolean, slip = 0.04): boolean => (random() < slip ? !is : is);
  const fit = judgeCurve({ ratio: v.ratio, boreMm: v.boreMm, sigmaMm: 0.3, points });
  const mlPerMm = ((Math.PI / 4) * v.boreMm ** 2) / v.ratio / 1000;
  return {
    ...(fit
      ? {
          airCostMm:
            (Math.max(0, fit.airMl) / mlPerMm) * (1 - ATMOSPHERE_MPA / (ATMOSPHERE_MPA + 7)),
          flexCostMm: 7 * Math.max(0, fit.flexMmPerMPa),
          freePlayMm: Math.max(0, fit.t0Mm),
        }
      : {}),
    pumps: look(v.airMl > 1 || (v.fault === 'sticking piston' && random() < 0.5)),
    sinks: look(v.leakMlPerS > 0 || (v.fault === 'swapped feed' && random() < 0.4)),
    wet: look(v.leakMlPerS > 0),
    drags: look(
      v.fault === 'sticking piston' || (v.fault === 'closed compensating port' && random() < 0.7),
    ),
    dragsHot: look(v.fault === 'closed compensating port'),
    fountain: look(v.fault === 'swapped feed'),
    pressureRatio:
      v.fault === 'wrong bore' ? (random() < 0.5 ? 0.72 : 1.35) : 1 + 0.08 * (random() - 0.5),
  };
}

export interface Report {
  readonly vehicles: number;
  /** Root mean square of fitted less true air over those that could be told, mL. */
  readonly airRmsMl: number;
  /** Of vehicles with a fault: how often the first-ranked cause is it, and how often it was said outright and right. */
  readonly firstRight: number;
  /** How often the curve alone said that it cannot tell; and how often that was right: the fitted air was off by over a mL there. */
  readonly cannotTell: number;
  readonly cannotTellRight: number;
}
/** Many seeded vehicles, each read and judged: how good the judgement is against a model that is not its own. */
export function reportOn(vehicles: number, random: () => number): Report {
  let [squares, fitted, faulty, first, cannot, rightly] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < vehicles; i++) {
    const v = trueVehicle(random);
    // Some are read only from where the gauge begins to move: such curves hide air behind free play.
    const low = random() < 0.7;
    const pressures = low ? [0.05, 0.15, 0.3, 0.6, 1, 2, 4, 6, 7] : [1.5, 2, 3, 4, 6, 7];
    const points = readPedal(v, pressures, random);
    const fit = judgeCurve({ ratio: v.ratio, boreMm: v.boreMm, sigmaMm: 0.3, points });
    if (fit?.verdict === 'cannot-tell') {
      cannot++;
      if (Math.abs(fit.airMl - v.airMl) > 1) rightly++;
    } else if (fit) {
      fitted++;
      squares += (fit.airMl - v.airMl) ** 2;
    }
    if (v.fault === 'none') continue;
    faulty++;
    const known = seen(v, points, random);
    const blind =
      fit?.verdict === 'cannot-tell'
        ? { ...known, airCostMm: undefined, flexCostMm: undefined, freePlayMm: undefined }
        : known;
    if (findFault(blind as Evidence).ranked[0]!.cause === (v.fault as Cause)) first++;
  }
  return {
    vehicles,
    airRmsMl: Math.sqrt(squares / Math.max(1, fitted)),
    firstRight: first / Math.max(1, faulty),
    cannotTell: cannot / vehicles,
    cannotTellRight: cannot ? rightly / cannot : 1,
  };
}
