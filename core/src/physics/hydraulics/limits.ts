import type { Category } from '../../trade/categories.ts';
import { braking, locksFirst, pushN } from './balance.ts';
import { DEFAULT_MU, GRAVITY_MS2, type SizeInput } from './types.ts';

/** How the adhesion that an axle uses is bounded. */
export interface BalanceRule {
  /** Decelerations between which the rear may not use more adhesion than the front. */
  readonly fromZ: number;
  readonly toZ: number;
  /** z ≥ 0.1 + rise·(k − 0.2) for k from 0.2 to 0.8. */
  readonly rise: number;
  readonly source: string;
}
/** What must be left when a circuit, or the booster, has failed. */
export interface ResidualBrakingRule {
  readonly fromKmh: number;
  readonly mostM: (kmh: number) => number;
  /** Mean deceleration fully developed, m/s². */
  readonly leastMs2: number;
  readonly footMostN: number;
  readonly source: string;
}
/** Published limits of a kind of vehicle. */
export interface Limits {
  readonly fromKmh: number;
  readonly wholeM: (kmh: number) => number;
  /** Mean fully developed deceleration at least, m/s². */
  readonly leastMs2: number;
  readonly pedalMostN: number;
  /** Time until the brakes are up, as the first term of the rule's distance allows for, s. */
  readonly buildUpS: number;
  readonly balance: BalanceRule;
  readonly residual: ResidualBrakingRule;
  readonly source: string;
}

/** Mass up to which the rules for light vehicles hold. Source: UN R13-H (from memory). */
export const LIGHT_MOST_KG = 3500;

const LIGHT: Limits = {
  fromKmh: 100,
  wholeM: (v) => 0.1 * v + 0.006 * v * v,
  leastMs2: 6.43,
  pedalMostN: 500,
  buildUpS: 0.36,
  balance: { fromZ: 0.15, toZ: 0.8, rise: 0.7, source: 'UN R13-H annex 5 (from memory)' },
  residual: {
    fromKmh: 100,
    mostM: (v) => 0.1 * v + 0.0158 * v * v,
    leastMs2: 2.44,
    footMostN: 500,
    source: 'FMVSS 135 / UN R13-H, one circuit or the booster failed (from memory)',
  },
  source: 'FMVSS 135 / UN R13-H, light vehicles to 3.5 t (from memory)',
};
const HEAVY: Limits = {
  fromKmh: 60,
  wholeM: (v) => 0.15 * v + (v * v) / 130,
  leastMs2: 5,
  pedalMostN: 700,
  buildUpS: 0.54,
  balance: { fromZ: 0.15, toZ: 0.3, rise: 0.85, source: 'UN R13 annex 10 (from memory)' },
  residual: {
    fromKmh: 50,
    mostM: (v) => 0.15 * v + (2 * v * v) / 115,
    leastMs2: 2.2,
    footMostN: 700,
    source: 'UN R13 secondary braking, N2 (from memory)',
  },
  source: 'UN R13 for heavier vans and trucks, N2 (from memory)',
};

/** The limits for a vehicle, or null where none is known for its kind: none is drawn then. */
export function limitsFor(category: Category, massKg: number): Limits | null {
  if (category === 'light') return massKg <= LIGHT_MOST_KG ? LIGHT : HEAVY;
  return category === 'heavy' ? HEAVY : null;
}
/** The bounds that balance is looked at by where no rule of its own is known: those of light vehicles. */
export const DEFAULT_BALANCE = LIGHT.balance;

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
export function stoppingM(kmh: number, z: number, buildUpS = LIGHT.buildUpS): number {
  const v = kmh / 3.6;
  return z > 0 ? v * buildUpS + (v * v) / (2 * z * GRAVITY_MS2) : Infinity;
}
