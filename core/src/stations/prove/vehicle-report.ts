import type { PedalPoint } from '../../plan/index.ts';
import { curveEvidence, lagEvidence } from './curve-evidence.ts';
import { lagMm } from './curves.ts';
import type { HeldAgainst } from './expected-pedal.ts';
import { CAUSES, type Cause } from './fault-tables.ts';
import { findFault, type Evidence } from './faults.ts';
import { judgeCurve } from './judge.ts';
import { seen } from './true-checks.ts';
import { readPedal, trueVehicle, type BuiltTo, type TrueVehicle } from './true-vehicle.ts';

/** A pedal that vehicles are built to, and what their curves are held against. */
export interface Built {
  readonly to: BuiltTo;
  readonly against: HeldAgainst;
}
/** Pressures that a curve is taken at. */
export const CURVE_MPA = [
  0, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6, 6.5, 7,
];
/** How well travel is read, mm. */
const SIGMA_MM = 0.3;

const fitOf = ({ ratio, boreMm }: BuiltTo, points: readonly PedalPoint[], against: HeldAgainst) =>
  judgeCurve({ ratio, boreMm, sigmaMm: SIGMA_MM, points }, undefined, against)!;

export interface CurveReport {
  /** Of vehicles with air or none: how often the true air lies within two standard deviations of what is said. */
  readonly airWithin: number;
  /** Of sound vehicles: how often they are called firm, and how often a fault is named. */
  readonly soundFirm: number;
  readonly soundNamed: number;
  /** Of vehicles with five millilitres of air or more: how often it is named. */
  readonly airNamed: number;
}
/** Seeded vehicles, sound and with air, built to several pedals: how good a curve's verdict is against a model that is not its own. */
export function reportOnCurves(
  vehicles: number,
  built: readonly Built[],
  random: () => number,
): CurveReport {
  const count = { within: 0, firm: 0, named: 0, much: 0, air: 0 };
  for (let i = 0; i < vehicles; i++) {
    const { to, against } = built[i % built.length]!;
    const sound = trueVehicle(random, [], to);
    const { verdict } = fitOf(to, readPedal(sound, CURVE_MPA, random), against);
    if (verdict === 'firm') count.firm++;
    else if (verdict !== 'cannot-tell') count.named++;
    const airy = trueVehicle(random, ['air'], to);
    const found = fitOf(to, readPedal(airy, CURVE_MPA, random), against);
    if (Math.abs(found.airMl - airy.airMl) <= 2 * found.sigma.airMl) count.within++;
    if (airy.airMl < 5) continue;
    count.much++;
    if (found.verdict === 'air') count.air++;
  }
  return {
    airWithin: count.within / vehicles,
    soundFirm: count.firm / vehicles,
    soundNamed: count.named / vehicles,
    airNamed: count.air / Math.max(1, count.much),
  };
}

/** Claims of so much to so much: how many, and how often they were right. */
export interface Claims {
  readonly from: number;
  readonly to: number;
  readonly claims: number;
  readonly right: number;
}
export interface FinderReport {
  /** Mean square of chance less truth over all causes of all vehicles. Source: Brier (1950). */
  readonly brier: number;
  /** The same for someone who always says how often each cause is there. */
  readonly brierOfRates: number;
  readonly claims: readonly Claims[];
  /** Of vehicles where a cause was named: how often it is there; of sound ones: how often sound was said, and a cause named. */
  readonly namedRight: number;
  readonly soundSaid: number;
  readonly soundNamed: number;
  readonly cannotTell: number;
}
/** Of what could be checked, the share that a shop checks. */
const CHECKED = 0.6;
const TENTHS = [0, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 1] as const;

function noted(v: TrueVehicle, { to, against }: Built, random: () => number): Evidence {
  const all = seen(v, random);
  const down = readPedal(v, CURVE_MPA, random);
  const lag = lagMm([...down, ...readPedal(v, [5, 3, 2, 1, 0.5], random, 'back')]);
  const curve =
    random() < CHECKED
      ? { ...curveEvidence(fitOf(to, down, against), against), ...lagEvidence(lag) }
      : {};
  return {
    ...Object.fromEntries(Object.entries(all).filter(() => random() < CHECKED)),
    ...curve,
  };
}
/** Seeded vehicles with no fault, one or several, each partly checked: how good the finder's chances are against vehicles not made from its tables. */
export function reportOnFinder(
  vehicles: number,
  built: readonly Built[],
  random: () => number,
): FinderReport {
  const claims: { readonly chance: number; readonly cause: Cause; readonly is: boolean }[] = [];
  const count = { named: 0, right: 0, sound: 0, soundSaid: 0, soundNamed: 0, cannot: 0 };
  for (let i = 0; i < vehicles; i++) {
    const one = built[i % built.length]!;
    const v = trueVehicle(random, undefined, one.to);
    const { ranked, verdict } = findFault(noted(v, one, random));
    const is = (cause: Cause): boolean => (v.faults as readonly Cause[]).includes(cause);
    claims.push(
      ...ranked
        .filter(({ cause }) => cause !== 'other')
        .map(({ cause, chance }) => ({ cause, chance, is: is(cause) })),
    );
    if (verdict === 'named') {
      count.named++;
      if (is(ranked[0]!.cause)) count.right++;
    }
    if (verdict === 'cannot-tell') count.cannot++;
    if (v.faults.length) continue;
    count.sound++;
    if (verdict === 'sound') count.soundSaid++;
    if (verdict === 'named') count.soundNamed++;
  }
  const rate = (cause: Cause): number =>
    claims.filter((one) => one.cause === cause && one.is).length / vehicles;
  const rates = Object.fromEntries((Object.keys(CAUSES) as Cause[]).map((one) => [one, rate(one)]));
  const square = (of: (claim: (typeof claims)[number]) => number): number =>
    claims.reduce((sum, claim) => sum + (of(claim) - Number(claim.is)) ** 2, 0) / claims.length;
  return {
    brier: square(({ chance }) => chance),
    brierOfRates: square(({ cause }) => rates[cause]!),
    claims: TENTHS.slice(1).map((to, i): Claims => {
      const from = TENTHS[i]!;
      const within = claims.filter(
        ({ chance }) => chance >= from && (chance < to || (to === 1 && chance <= 1)),
      );
      return {
        from,
        to,
        claims: within.length,
        right: within.filter((one) => one.is).length / Math.max(1, within.length),
      };
    }),
    namedRight: count.right / Math.max(1, count.named),
    soundSaid: count.soundSaid / Math.max(1, count.sound),
    soundNamed: count.soundNamed / Math.max(1, count.sound),
    cannotTell: count.cannot / vehicles,
  };
}
