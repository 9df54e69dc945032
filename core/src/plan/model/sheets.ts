import type { Brake, ParkingInput, Pedal, Rotor } from '../../physics/hydraulics/index.ts';
import {
  byKind,
  list,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  ref,
} from './field.ts';
import {
  AIR_ML,
  BRAKE,
  GUESSES,
  HEAT_OF_DAY,
  HOSE_FIGURES,
  PEDAL,
  ROTOR,
  STROKES,
  type HoseFigures,
  type EstimatedFigures,
} from './sizing.ts';

/** A trailer's axles on one actuator. */
export interface TrailerSheet extends EstimatedFigures {
  readonly actuatorMPa: number;
  /** Fluid the actuator can push out. */
  readonly actuatorMl: number;
  /** One to three. */
  readonly axles: readonly TrailerAxle[];
  readonly hose: HoseFigures;
  readonly airMl: number;
  readonly mu: number;
  /** What the heat of stops goes into, each wheel alike; not there while nobody has begun it. */
  readonly heat?: TrailerHeat | null;
}
export interface TrailerHeat {
  readonly topKmh: number;
  readonly ambientC: number;
  readonly rotor: Rotor;
}
export interface TrailerAxle {
  readonly brake: Brake;
  readonly tyreRadiusMm: number;
  readonly emptyKg: number;
  readonly ladenKg: number;
}
/** A lever or pedal with a master and brakes of its own. */
export interface SingleSheet extends EstimatedFigures {
  readonly name: string;
  /** Circuit whose tube it fills; null while there is none. */
  readonly circuitId: string | null;
  readonly lever: Pedal;
  readonly boreMm: number;
  readonly strokeMm: number;
  readonly deadMm: number;
  readonly brake: Brake;
  readonly wheels: 1 | 2;
  readonly tyreRadiusMm: number;
  readonly loadKg: number;
  readonly hose: HoseFigures;
  readonly airMl: number;
}
export interface ClutchSheet extends EstimatedFigures {
  readonly pedal: Pedal;
  readonly masterBoreMm: number;
  readonly strokeMm: number;
  readonly deadMm: number;
  readonly slaveBoreMm: number;
  readonly forkRatio: number;
  readonly bearingLoadN: number;
  /** Travel of the bearing that frees the clutch, and the most it may have. */
  readonly releaseMm: number;
  readonly mostMm: number;
  readonly hose: HoseFigures;
}
/** What holds the vehicle when nobody does. */
export type ParkingSheet = EstimatedFigures &
  (
    | ({ readonly by: 'lever' } & Omit<ParkingInput, 'massKg' | 'tyreRadiusMm'>)
    | { readonly by: 'hydraulic' }
  );

export const TRAILER = record<TrailerSheet>()({
  actuatorMPa: over(200),
  actuatorMl: over(100_000),
  axles: list(
    record<TrailerAxle>()({
      brake: BRAKE,
      tyreRadiusMm: over(1000),
      emptyKg: over(100_000),
      ladenKg: over(100_000),
    }),
    3,
    1,
  ),
  hose: HOSE_FIGURES,
  airMl: AIR_ML,
  mu: over(10),
  heat: optional(nullable(record<TrailerHeat>()({ ...HEAT_OF_DAY, rotor: ROTOR }))),
  open: GUESSES,
});
export const SINGLE = record<SingleSheet>()({
  name,
  circuitId: nullable(ref('circuit')),
  lever: PEDAL,
  boreMm: over(1000),
  ...STROKES,
  brake: BRAKE,
  wheels: oneOf([1, 2]),
  tyreRadiusMm: over(1000),
  loadKg: over(100_000),
  hose: HOSE_FIGURES,
  airMl: AIR_ML,
  open: GUESSES,
});
export const CLUTCH = record<ClutchSheet>()({
  pedal: PEDAL,
  masterBoreMm: over(1000),
  ...STROKES,
  slaveBoreMm: over(1000),
  forkRatio: over(100),
  bearingLoadN: over(100_000),
  releaseMm: over(1000),
  mostMm: over(1000),
  hose: HOSE_FIGURES,
  open: GUESSES,
});
export const PARKING = byKind<ParkingSheet>()('by', {
  hydraulic: { open: GUESSES },
  lever: {
    handN: over(10_000),
    leverRatio: over(100),
    efficiency: number(0, 1, { over: true }),
    shoeRatio: over(100),
    brakeFactor: over(100),
    drumRadiusMm: over(1000),
    open: GUESSES,
  },
});
