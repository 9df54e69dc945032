import { braking, pushN } from './balance.ts';
import { stoppingM, usableZ, type LeftRule } from './limits.ts';
import { sumMl, takenMl } from './size.ts';
import { boreArea, DEFAULT_MU, GRAVITY_MS2, type Axle, type SizeInput, type SizeVehicle } from './types.ts';

export type Failed = Axle | 'booster';
/** What is left when something has failed, at the foot force that the vehicle's rule names. */
export interface Failure {
  readonly failed: Failed;
  readonly footN: number;
  /** In the circuit that is left; the front's where both are. */
  readonly pressureMPa: number;
  /** Deceleration that can be had: by that foot, and no more than the axles that are left can hold. */
  readonly z: number;
  /** The grip of an axle sets it, not the foot. */
  readonly locks: boolean;
  readonly travelMm: number;
  /** The master or the pedal runs out of stroke before the deceleration that is asked for. */
  readonly strokesOut: boolean;
}

/** Share of a tandem's stroke that each chamber has to itself. Common practice: halves; the maker's sheet comes first. */
const CHAMBER_SHARE = 0.5;

/** Deceleration at which an axle that brakes alone locks. Source: moments about the tyre contacts, z = µ·load ÷ weight. */
export function gripZ({ frontFraction, cgHeightMm, wheelbaseMm }: SizeVehicle, axle: Axle, mu: number): number {
  const lever = (mu * cgHeightMm) / wheelbaseMm;
  // Past this height the front takes all of the load.
  if (axle === 'front') return lever < 1 ? Math.min((mu * frontFraction) / (1 - lever), mu) : mu;
  return (mu * (1 - frontFraction)) / (1 + lever);
}

/**
 * What is left when one circuit has failed. A tandem's dead chamber closes up (half its stroke) and
 * the other takes the whole push; on a balance bar the dead master runs to its end and the other
 * keeps the share of the push that the bar gives it. The stroke is asked at the pressure for the
 * deceleration that the rule asks, where the foot gives that much. Source: statics of both; chamber
 * halves are common practice.
 */
export function withFailed(given: SizeInput, failed: Axle, rule: LeftRule | null = null): Failure {
  const footN = rule?.footMostN ?? given.pedal.forceN;
  const input = { ...given, pedal: { ...given.pedal, forceN: footN } };
  const axle: Axle = failed === 'front' ? 'rear' : 'front';
  const { master, pedal } = input;
  const brakes = braking(input, pushN(pedal, input.booster));
  const footZ = brakes.forceN[axle] / (input.vehicle.massKg * GRAVITY_MS2);
  const grip = gripZ(input.vehicle, axle, input.mu ?? DEFAULT_MU);
  const z = Math.min(footZ, grip);
  const askedZ = Math.min(z, rule ? rule.leastMs2 / GRAVITY_MS2 : z);
  const pressureMPa = footZ > 0 ? (brakes.pressureMPa[axle] * askedZ) / footZ : 0;
  const ml = sumMl(takenMl(input[axle], input.lines[axle], input.fluid.bulkGPa, input.airMl[axle], pressureMPa));
  const bore = master.kind === 'tandem' ? master.boreMm : axle === 'front' ? master.frontBoreMm : master.rearBoreMm;
  const ownMm = (1000 * ml) / boreArea(bore);
  const share = master.kind === 'tandem' ? 1 : axle === 'front' ? master.frontShare : 1 - master.frontShare;
  const lostMm = master.kind === 'tandem' ? CHAMBER_SHARE * master.strokeMm : (1 - share) * (master.strokeMm - master.deadMm);
  const travelMm = (master.deadMm + share * ownMm + lostMm) * pedal.ratio;
  const roomMm = master.kind === 'tandem' ? (1 - CHAMBER_SHARE) * master.strokeMm : master.strokeMm;
  return {
    failed,
    footN,
    pressureMPa: brakes.pressureMPa[axle],
    z,
    locks: grip < footZ,
    travelMm,
    strokesOut: master.deadMm + ownMm > roomMm || travelMm > pedal.strokeMm,
  };
}

/** What the foot alone does when the booster gives nothing; null where there is none. */
export function withoutBooster(given: SizeInput, rule: LeftRule | null = null): Failure | null {
  if (!given.booster) return null;
  const footN = rule?.footMostN ?? given.pedal.forceN;
  const input = { ...given, booster: null, pedal: { ...given.pedal, forceN: footN } };
  const brakes = braking(input, pushN(input.pedal));
  const z = usableZ(input);
  return { failed: 'booster', footN, pressureMPa: brakes.pressureMPa.front, z, locks: z < brakes.z - 1e-9, travelMm: 0, strokesOut: false };
} // prettier-ignore

/** Whether what is left is as much as the rule asks: by its distance, or by its mean deceleration. */
export const isEnough = ({ z }: Failure, rule: LeftRule, buildUpS: number): boolean =>
  stoppingM(rule.fromKmh, z, buildUpS) <= rule.mostM(rule.fromKmh) + 1e-9 || z * GRAVITY_MS2 >= rule.leastMs2 - 1e-9;
