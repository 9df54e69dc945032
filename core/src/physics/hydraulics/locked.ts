import { braking, loadsN } from './balance.ts';
import { kneeFor } from './proportion.ts';
import type { BalanceRule } from './rules.ts';
import type { Axle, Brake, SizeInput, SizeVehicle } from './types.ts';

/** An axle that was seen locking: at what share of g, and how much grip the road had, each with its standard deviation. */
export interface Locked {
  readonly axle: Axle;
  readonly z: number;
  readonly zSigma: number;
  readonly grip: number;
  readonly gripSigma: number;
}
export interface RealBalance {
  /** Share of all braking that the front makes at that moment, and how well that is known. */
  readonly frontShare: number;
  readonly sigma: number;
  /** What is calculated for the same deceleration. */
  readonly calculated: number;
}

const shareAt = (vehicle: SizeVehicle, { axle, z, grip }: Locked): number => {
  const load = loadsN(vehicle, z);
  const lockedShare = (grip * load[axle]) / (z * (load.front + load.rear));
  return axle === 'front' ? lockedShare : 1 - lockedShare;
};
/** Pressed until the vehicle would slow down by so much, however little grip there is. */
function calculatedShare(input: SizeInput, z: number): number {
  let [low, high] = [0, 1e6];
  for (let i = 0; i < 100; i++) {
    const push = (low + high) / 2;
    if (braking(input, push).z < z) low = push;
    else high = push;
  }
  const { forceN } = braking(input, high);
  return forceN.front / (forceN.front + forceN.rear);
}

/**
 * The real share of the front out of which axle locked first: the locked one makes all that the road gives its load, the
 * other the rest. Null where no share does: the grip is not what was said. Source: statics of two axles; first-order propagation.
 */
export function realBalance(input: SizeInput, locked: Locked): RealBalance | null {
  const frontShare = shareAt(input.vehicle, locked);
  if (!(frontShare > 0.02 && frontShare < 0.98)) return null;
  const step = 1e-4;
  const slope = (to: Partial<Locked>): number =>
    (shareAt(input.vehicle, { ...locked, ...to }) - frontShare) / step;
  return {
    frontShare,
    sigma: Math.hypot(
      slope({ z: locked.z + step }) * locked.zSigma,
      slope({ grip: locked.grip + step }) * locked.gripSigma,
    ),
    calculated: calculatedShare(input, locked.z),
  };
}

/** A brake that makes so many times the force for the same pressure. */
const scaled = (brake: Brake, by: number): Brake =>
  brake.kind === 'disc'
    ? { ...brake, padMu: brake.padMu * by }
    : { ...brake, brakeFactor: brake.brakeFactor * by };
/** The highest knee for a front share that was measured: the rear's brakes are taken as so much stronger or weaker than calculated. */
export function kneeByBalance(
  input: SizeInput,
  cases: readonly SizeVehicle[],
  slope: number,
  { calculated }: Pick<RealBalance, 'calculated'>,
  frontShare: number,
  range?: BalanceRule,
): number | null {
  const by = ((1 - frontShare) / frontShare) * (calculated / (1 - calculated));
  return kneeFor({ ...input, rear: scaled(input.rear, by) }, cases, slope, range);
}
