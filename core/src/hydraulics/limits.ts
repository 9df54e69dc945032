import type { Category } from '../categories/index.ts';
import { braking, locksFirst, pushN } from './balance.ts';
import { DEFAULT_MU, GRAVITY_MS2, type SizeInput } from './types.ts';

/** Published limits of a kind of vehicle; what a rule does not give is null. */
export interface Limits {
  readonly fromKmh: number;
  readonly wholeM: (kmh: number) => number;
  readonly failedM: ((kmh: number) => number) | null;
  readonly pedalMostN: number;
  readonly source: string;
}

/** Mass up to which the rules for light vehicles hold. Source: UN R13-H (from memory). */
export const LIGHT_MOST_KG = 3500;

/** The limits for a vehicle, or null where none is known for its kind: none is drawn then. */
export function limitsFor(category: Category, massKg: number): Limits | null {
  if (category === 'light' && massKg <= LIGHT_MOST_KG) {
    return {
      fromKmh: 100,
      wholeM: (v) => 0.1 * v + 0.006 * v * v,
      failedM: (v) => 0.1 * v + 0.0158 * v * v,
      pedalMostN: 500,
      source: 'FMVSS 135 / UN R13-H, light vehicles to 3.5 t (from memory)',
    };
  }
  if (category === 'light' || category === 'heavy') {
    return {
      fromKmh: 80,
      wholeM: (v) => 0.15 * v + (v * v) / 130,
      failedM: null,
      pedalMostN: 700,
      source: 'UN R13 for heavier vans and trucks (from memory)',
    };
  }
  return null;
}

/** Range of deceleration in which the rear may not use more adhesion than the front. Source: UN R13-H annex 5 (from memory). */
export const BALANCE_RANGE_Z = { from: 0.15, to: 0.8 } as const;
/** Most adhesion that may be used at a deceleration of z: z ≥ 0.1 + 0.7·(k − 0.2) for k from 0.2 to 0.8. Source: UN R13-H annex 5 (from memory). */
export const mostAdhesion = (z: number): number => (z - 0.1) / 0.7 + 0.2;

/** Deceleration that can be had: what the foot asks, or where the first axle locks. */
export function usableZ(input: SizeInput): number {
  const mu = input.mu ?? DEFAULT_MU;
  const asked = braking(input, pushN(input.pedal, input.booster));
  const over = (axle: 'front' | 'rear'): boolean => (asked.adhesion[axle] ?? Infinity) > mu;
  if (!over('front') && !over('rear')) return asked.z;
  const first = locksFirst(input, mu);
  const axle = first === 'rear' ? 'rear' : 'front';
  let [low, high] = [0, pushN(input.pedal, input.booster)];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if ((braking(input, middle).adhesion[axle] ?? Infinity) > mu) high = middle;
    else low = middle;
  }
  return braking(input, low).z;
}

/** Time until the brakes are up, as the published formulas allow for: 0.10·V with V in km/h is 0.36 s. */
const BUILD_UP_S = 0.36;

/** Stopping distance from a speed at a steady deceleration, build-up included, m. Source: v²/2a, and the rule's own first term. */
export function stoppingM(kmh: number, z: number): number {
  const v = kmh / 3.6;
  return z > 0 ? v * BUILD_UP_S + (v * v) / (2 * z * GRAVITY_MS2) : Infinity;
}
