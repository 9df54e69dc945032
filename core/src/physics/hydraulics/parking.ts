import { GRAVITY_MS2 } from './types.ts';

/** A mechanical parking brake: hand or foot on lever, cable, shoe lever, drum. */
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
/** What moves between the hand and the shoes. */
export interface ParkingTravel {
  /** Travel of the lever at the hand or foot, mm. */
  readonly strokeMm: number;
  /** Front cable to the equalizer, and the rear one of one wheel. */
  readonly frontMm: number;
  readonly rearMm: number;
  readonly cableMm: number;
  /** What a shoe moves until it touches its drum, mm. */
  readonly liftMm: number;
  /** Shares the pull between both wheels whatever the length of their cables. */
  readonly equalizer: boolean;
}
/** Where the lever's travel goes, mm at the hand. */
export interface ParkingPull {
  readonly liftMm: number;
  readonly stretchMm: number;
  readonly travelMm: number;
  /** Pulled up on drums that a descent has widened. */
  readonly hotMm: number;
  /** By which share the cables pull harder once those drums are cold. */
  readonly tightens: number;
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
  /** Steepest slope on which one wheel holds alone; null on any. */
  readonly oneWheelGrade: number | null;
}

/** From the hand to the slope that is held, by the brake and by the grip of its axle. Source: levers, and m·g·sin of the slope. */
export function parking(input: ParkingInput, stands: Stands | null = null): ParkingSize {
  const cableN = input.handN * input.leverRatio * input.efficiency;
  const shoeN = (cableN / 2) * input.shoeRatio;
  const wheelTorqueNm = (shoeN * input.brakeFactor * input.drumRadiusMm) / 1000;
  const forceN = (2 * wheelTorqueNm * 1000) / input.tyreRadiusMm;
  const gradeOf = (n: number): number => {
    const sine = n / (input.massKg * GRAVITY_MS2);
    return sine < 1 ? sine / Math.sqrt(1 - sine * sine) : Infinity;
  };
  const gripGrade = stands ? gripOnSlope(stands) : null;
  const holds = Math.min(gradeOf(forceN), gripGrade?.up ?? Infinity, gripGrade?.down ?? Infinity);
  const alone = gradeOf(forceN / 2);
  return {
    cableN,
    shoeN,
    wheelTorqueNm,
    forceN,
    gripGrade,
    holdsGrade: Number.isFinite(holds) ? holds : null,
    oneWheelGrade: Number.isFinite(alone) ? alone : null,
  };
}

/** Metal in a strand, of the square of its diameter, and how stiff it is, MPa. Source: Shigley, tables of wire rope (0.38 to 0.40·d², 83 to 90 GPa), from memory. */
const STRAND = { area: 0.4, mpa: 90_000 };
/** An outer casing gives as much as the cable in it. Our judgement. */
const CASING = 2;
/** How much warmer a drum is after a descent, K, and what cast iron grows by, 1/K. Common practice; handbook tables, from memory. */
const HOT = { kelvin: 150, perK: 11e-6 };
/**
 * How far the lever goes until it pulls with its full force: shoes to their drums, and cables that stretch, the front
 * one with the whole pull and each rear one, in its casing, with half of it. Source: levers and Hooke's law.
 */
export function parkingPull(
  input: Pick<ParkingInput, 'leverRatio' | 'shoeRatio' | 'drumRadiusMm'>,
  { cableN }: Pick<ParkingSize, 'cableN'>,
  { frontMm, rearMm, cableMm, liftMm }: ParkingTravel,
): ParkingPull {
  const perMm = cableN / (STRAND.mpa * STRAND.area * cableMm ** 2);
  const stretch = perMm * frontMm + (CASING * perMm * rearMm) / 2;
  const growMm = input.shoeRatio * HOT.perK * HOT.kelvin * input.drumRadiusMm;
  const lift = input.shoeRatio * liftMm;
  const atHand = (mm: number): number => input.leverRatio * mm;
  return {
    liftMm: atHand(lift),
    stretchMm: atHand(stretch),
    travelMm: atHand(lift + stretch),
    hotMm: atHand(lift + stretch + growMm),
    tightens: stretch > 0 ? growMm / stretch : 0,
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
