import { forcePerMPa, loadsN, pastValve, pressurePerN } from './balance.ts';
import { DEFAULT_BALANCE } from './limits.ts';
import type { BalanceRule } from './rules.ts';
import { type RearValve, type SizeInput, type SizeVehicle } from './types.ts';

type Input = Pick<SizeInput, 'vehicle' | 'master' | 'front' | 'rear' | 'rearValve'>;
/** Steps of z along which both are held against each other. */
const CURVE_STEPS = 260;
type Range = Pick<BalanceRule, 'fromZ' | 'toZ'>;

/** Along z: pressure before the valve and the most pressure behind it that keeps the rear at or below the front. */
function bounds(
  input: Input,
  vehicle: SizeVehicle,
  { toZ }: Range,
): { z: number; before: number; most: number }[] {
  const kf = forcePerMPa(input.front, vehicle.tyreRadiusMm.front);
  const kr = forcePerMPa(input.rear, vehicle.tyreRadiusMm.rear);
  const per = pressurePerN(input.master);
  return Array.from({ length: CURVE_STEPS }, (_, i) => {
    const z = (toZ * (i + 1)) / CURVE_STEPS;
    const load = loadsN(vehicle, z);
    // Equal adhesion at z: both axles use z of their load.
    const front = (z * load.front) / kf;
    return { z, before: (front * per.rear) / per.front, most: (z * Math.max(load.rear, 0)) / kr };
  });
}

/** Where the rear uses more adhesion than the front, as the range of z; null where it never does in the range that is judged. */
export function rearLeads(
  input: Input,
  range: Range = DEFAULT_BALANCE,
): { fromZ: number; toZ: number } | null {
  const leading = bounds(input, input.vehicle, range).filter(
    ({ z, before, most }) =>
      z >= range.fromZ && pastValve(before, input.rearValve) > most * (1 + 1e-9),
  );
  return leading.length ? { fromZ: leading[0]!.z, toZ: leading.at(-1)!.z } : null;
}

/** What is kept in hand: pads of one batch differ by this share, and a rear that may just lead does lead. Source: FMVSS 135 asks z ≥ 0.9·k of the rear (from memory). */
const MARGIN = 0.9;

/**
 * The highest knee at which a valve of a given slope keeps the rear behind the front in every load case,
 * with a tenth in hand. Infinity where none is needed; null where no knee of that slope would do: its
 * slope is cut into its metal. Source: ideal distribution from axle loads.
 */
export function kneeFor(
  input: Input,
  cases: readonly SizeVehicle[],
  slope: number,
  range: Range = DEFAULT_BALANCE,
): number | null {
  const all = cases
    .flatMap((vehicle) => bounds(input, vehicle, range))
    .filter(({ z }) => z >= range.fromZ);
  const tight = all
    .map(({ before, most }) => ({ before, most: MARGIN * most }))
    .filter(({ before, most }) => before > most);
  if (!tight.length) return Infinity;
  const knee = Math.min(...tight.map(({ before, most }) => (most - slope * before) / (1 - slope)));
  return slope < 1 && knee > 0 ? knee : null;
}

/** Shares between which a balance bar is looked at. */
const BAR = [0.02, 0.98] as const;

/**
 * The least front share of a balance bar at which the rear stays behind the front in every load case, with
 * a tenth in hand; null where none does, or where there is no bar. Source: as for `kneeFor`.
 */
export function shareFor(
  input: Input,
  cases: readonly SizeVehicle[],
  range: Range = DEFAULT_BALANCE,
): number | null {
  const { master } = input;
  if (master.kind !== 'twin') return null;
  const behind = (frontShare: number): boolean =>
    cases.every((vehicle) =>
      bounds({ ...input, master: { ...master, frontShare } }, vehicle, range)
        .filter(({ z }) => z >= range.fromZ)
        .every(({ before, most }) => pastValve(before, input.rearValve) <= MARGIN * most),
    );
  let [low, high]: [number, number] = [...BAR];
  if (!behind(high)) return null;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (behind(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Knees tried, as shares of the highest that is possible. */
const KNEES = Array.from({ length: 36 }, (_, i) => 1 - 0.02 * i);

/**
 * The knee and slope of a proportioning valve that keep the rear at or below the front for z from 0.15
 * to 0.8 in every load case and give the rear as much as it may have; `needed` false where no valve is.
 * Null where even a slope of 0 would not do. Source: ideal distribution from axle loads; UN R13-H annex 5 (from memory).
 */
export function proportionFor(
  input: Input,
  cases: readonly SizeVehicle[],
  range: Range = DEFAULT_BALANCE,
): (RearValve & { readonly needed: boolean }) | null {
  const all = cases
    .flatMap((vehicle) => bounds(input, vehicle, range))
    .filter(({ z }) => z >= range.fromZ);
  const tight = all.filter(({ before, most }) => before > most);
  if (!tight.length)
    return { kneeMPa: Math.max(...all.map((b) => b.before)), slope: 1, needed: false };
  // A knee above the least pressure that is already too much would let that pressure through.
  const highest = Math.min(...tight.map((b) => b.most));
  let best: { valve: RearValve; sum: number } | null = null;
  for (const share of KNEES) {
    const kneeMPa = highest * share;
    const slope = Math.min(
      1,
      ...all
        .filter(({ before }) => before > kneeMPa)
        .map(({ before, most }) => (most - kneeMPa) / (before - kneeMPa)),
    );
    if (!(slope >= 0)) continue;
    const valve = { kneeMPa, slope };
    const sum = all.reduce((total, { before }) => total + pastValve(before, valve), 0);
    if (!best || sum > best.sum) best = { valve, sum };
  }
  return best && { ...best.valve, needed: true };
}
