import type { Category } from '../../trade/categories.ts';
import { classOf, type VehicleClass } from '../../trade/vehicle-classes.ts';
import { braking, locksFirst, pushN } from './balance.ts';
import { RULES, type Limits } from './rules.ts';
import { DEFAULT_MU, GRAVITY_MS2, type SizeInput } from './types.ts';

/** The limits for a vehicle by its class, or null where none is known for its kind: none is drawn then. */
export function limitsFor(category: Category, massKg: number, given?: VehicleClass): Limits | null {
  const is = classOf(category, massKg, given);
  return is && RULES[is];
}
/** The bounds that balance is looked at by where no rule of its own is known: those of light vehicles. */
export const DEFAULT_BALANCE = RULES.M1.balance;

/** Most adhesion that may be used at a deceleration of z. */
export const mostAdhesion = (z: number, { rise } = DEFAULT_BALANCE): number =>
  (z - 0.1) / rise + 0.2;

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

/** Stopping distance from a speed at a steady deceleration, build-up included, m. Source: v²/2a, and the rule's own first term. */
export function stoppingM(kmh: number, z: number, buildUpS = RULES.M1.buildUpS): number {
  const v = kmh / 3.6;
  return z > 0 ? v * buildUpS + (v * v) / (2 * z * GRAVITY_MS2) : Infinity;
}
