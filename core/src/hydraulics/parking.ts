import { GRAVITY_MS2 } from './types.ts';
import type { Category } from '../categories/index.ts';

/** A mechanical parking brake: hand on lever, cable, shoe lever, drum. */
export interface ParkingInput {
  readonly handN: number;
  readonly leverRatio: number;
  /** Of lever, cables and equaliser together. */
  readonly efficiency: number;
  /** Of the lever that spreads the shoes. */
  readonly shoeRatio: number;
  /** Total drag at the drum's radius for the force on one shoe. */
  readonly brakeFactor: number;
  readonly drumRadiusMm: number;
  readonly tyreRadiusMm: number;
  readonly massKg: number;
}
export interface ParkingSize {
  /** In the front cable, before it is shared between two wheels. */
  readonly cableN: number;
  readonly shoeN: number;
  readonly wheelTorqueNm: number;
  readonly forceN: number;
  /** Steepest slope that it holds, rise over run; null where it holds on any. */
  readonly holdsGrade: number | null;
}

/** From the hand to the slope that is held. Source: levers, and m·g·sin of the slope. */
export function parking(input: ParkingInput): ParkingSize {
  const cableN = input.handN * input.leverRatio * input.efficiency;
  const shoeN = (cableN / 2) * input.shoeRatio;
  const wheelTorqueNm = (shoeN * input.brakeFactor * input.drumRadiusMm) / 1000;
  const forceN = (2 * wheelTorqueNm * 1000) / input.tyreRadiusMm;
  const sine = forceN / (input.massKg * GRAVITY_MS2);
  return { cableN, shoeN, wheelTorqueNm, forceN, holdsGrade: sine < 1 ? sine / Math.sqrt(1 - sine * sine) : null };
}

export interface ParkingLimit {
  readonly grade: number;
  readonly handMostN: number;
  readonly source: string;
}
/** Slope that a parking brake must hold with the vehicle laden; null where none is known for its kind. */
export function parkingLimit(category: Category): ParkingLimit | null {
  if (category === 'light') return { grade: 0.2, handMostN: 400, source: 'FMVSS 135 / UN R13-H annex 3 (from memory)' };
  if (category === 'heavy') return { grade: 0.18, handMostN: 600, source: 'UN R13 annex 4 (from memory)' };
  return null;
}
