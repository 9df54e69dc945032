import type {
  Brake,
  ParkingInput,
  ParkingTravel,
  Pedal,
  Rotor,
} from '../../physics/hydraulics/index.ts';
import {
  byKind,
  flag,
  list,
  name,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  ref,
  told,
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
    | ({
        readonly by: 'lever';
        /** Not there: by hand. */
        readonly worked?: 'hand' | 'foot';
        /** What moves between hand and shoes; not there while nobody has measured it. */
        readonly travel?: ParkingTravel | null;
      } & Omit<ParkingInput, 'massKg' | 'tyreRadiusMm'>)
    | { readonly by: 'hydraulic' }
  );

export const TRAILER = record<TrailerSheet>()({
  actuatorMPa: told('Actuator pressure', over(200), { usual: [0.1, 200] }),
  actuatorMl: told('Actuator volume', over(100_000), { usual: [0.1, 10000] }),
  axles: told(
    'Axles',
    list(
      record<TrailerAxle>()({
        brake: told('Brake', BRAKE),
        tyreRadiusMm: told('Tire radius', over(1000), { usual: [20, 1000] }),
        emptyKg: told('Load empty', over(100_000), { usual: [1, 20000] }),
        ladenKg: told('Load laden', over(100_000), { usual: [1, 20000] }),
      }),
      3,
      1,
    ),
  ),
  hose: told('Hose', HOSE_FIGURES),
  airMl: told('Air left in', AIR_ML),
  mu: told('Grip of the road, µ', over(10), { usual: [0.05, 2] }),
  heat: told(
    'Heat',
    optional(
      nullable(record<TrailerHeat>()({ ...HEAT_OF_DAY, rotor: told('Disc or drum', ROTOR) })),
    ),
  ),
  open: told('Estimates', GUESSES),
});
export const SINGLE = record<SingleSheet>()({
  name,
  circuitId: told('Circuit', nullable(ref('circuit'))),
  lever: told('Lever', PEDAL),
  boreMm: told('Bore', over(1000), { sold: true, usual: [3, 100] }),
  ...STROKES,
  brake: told('Brake', BRAKE),
  wheels: told('Wheels', oneOf([1, 2])),
  tyreRadiusMm: told('Tire radius', over(1000), { usual: [20, 1000] }),
  loadKg: told('Load on these wheels', over(100_000), { usual: [1, 20000] }),
  hose: told('Hose', HOSE_FIGURES),
  airMl: told('Air left in', AIR_ML),
  open: told('Estimates', GUESSES),
});
export const CLUTCH = record<ClutchSheet>()({
  pedal: told('Pedal', PEDAL),
  masterBoreMm: told('Master bore', over(1000), { sold: true, usual: [3, 100] }),
  ...STROKES,
  slaveBoreMm: told('Slave bore', over(1000), { sold: true, usual: [3, 150] }),
  forkRatio: told('Fork ratio', over(100), { usual: [0.2, 10] }),
  bearingLoadN: told('Load on the bearing', over(100_000), { usual: [1, 20000] }),
  releaseMm: told('Bearing travel that frees', over(1000), { usual: [0.1, 100] }),
  mostMm: told('Bearing travel at most', over(1000), { usual: [0.1, 100] }),
  hose: told('Hose', HOSE_FIGURES),
  open: told('Estimates', GUESSES),
});
export const PARKING_TRAVEL = record<ParkingTravel>()({
  strokeMm: told('Lever travel, at the grip or pad', over(1000), { usual: [20, 600] }),
  frontMm: told('Front cable', number(0, 20_000), { usual: [0, 10000] }),
  rearMm: told('Rear cable, one', number(0, 20_000), { usual: [0, 10000] }),
  cableMm: told('Cable thickness', over(50), { usual: [1, 12] }),
  liftMm: told('Shoe to its drum', number(0, 100), { usual: [0, 10] }),
  equalizer: told('Equalizer', flag),
});
export const PARKING = byKind<ParkingSheet>()('by', {
  hydraulic: { open: told('Estimates', GUESSES) },
  lever: {
    handN: told('Hand', over(10_000), { usual: [1, 2000] }),
    leverRatio: told('Lever ratio', over(100), { usual: [0.5, 30] }),
    efficiency: told('Efficiency', number(0, 1, { over: true }), { usual: [0.05, 1] }),
    shoeRatio: told('Shoe lever ratio', over(100), { usual: [0.5, 20] }),
    brakeFactor: told('Brake factor', over(100), { usual: [0.1, 20] }),
    drumRadiusMm: told('Drum radius', over(1000), { usual: [10, 1000] }),
    worked: told('Worked by', optional(oneOf(['hand', 'foot']))),
    travel: told('Travel', optional(nullable(PARKING_TRAVEL))),
    open: told('Estimates', GUESSES),
  },
});
