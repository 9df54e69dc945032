import { GRAVITY_MS2 } from './types.ts';

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
/** How the vehicle stands, where the grip of the braked rear axle is to be judged too. */
export interface Stands {
  readonly frontFraction: number;
  readonly cgHeightMm: number;
  readonly wheelbaseMm: number;
  readonly mu: number;
}
export interface ParkingSize {
  /** In the front cable, before it is shared between two wheels. */
  readonly cableN: number;
  readonly shoeN: number;
  readonly wheelTorqueNm: number;
  readonly forceN: number;
  /** Steepest slopes on which the rear wheels still grip, the nose up the slope and down it; null where it is not judged. */
  readonly gripGrade: { readonly up: number; readonly down: number } | null;
  /** Steepest slope that it holds both ways, rise over run; null where it holds on any. */
  readonly holdsGrade: number | null;
}

/** From the hand to the slope that is held, by the brake and by the grip of its axle. Source: levers, and m·g·sin of the slope. */
export function parking(input: ParkingInput, stands: Stands | null = null): ParkingSize {
  const cableN = input.handN * input.leverRatio * input.efficiency;
  const shoeN = (cableN / 2) * input.shoeRatio;
  const wheelTorqueNm = (shoeN * input.brakeFactor * input.drumRadiusMm) / 1000;
  const forceN = (2 * wheelTorqueNm * 1000) / input.tyreRadiusMm;
  const sine = forceN / (input.massKg * GRAVITY_MS2);
  const byForce = sine < 1 ? sine / Math.sqrt(1 - sine * sine) : Infinity;
  const gripGrade = stands ? gripOnSlope(stands) : null;
  const holds = Math.min(byForce, gripGrade?.up ?? Infinity, gripGrade?.down ?? Infinity);
  return {
    cableN,
    shoeN,
    wheelTorqueNm,
    forceN,
    gripGrade,
    holdsGrade: Number.isFinite(holds) ? holds : null,
  };
}

/** Where the rear axle alone holds, m·g·sin = µ·load, its load by moments about the front contact: nose up the slope it carries more, nose down less. */
function gripOnSlope({ frontFraction, cgHeightMm, wheelbaseMm, mu }: Stands): {
  up: number;
  down: number;
} {
  const lever = (mu * cgHeightMm) / wheelbaseMm;
  const flat = mu * (1 - frontFraction);
  return { up: lever < 1 ? flat / (1 - lever) : Infinity, down: flat / (1 + lever) };
}
