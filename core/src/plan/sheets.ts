import {
  clutch,
  GRAVITY_MS2,
  parking,
  single,
  takenMl,
  sumMl,
  trailer,
  type Brake,
  type ClutchSize,
  type ParkingInput,
  type ParkingSize,
  type Pedal,
  type SingleSize,
  type TrailerSize,
} from '../hydraulics/index.ts';
import { allGuessed, type Sheet } from './figures.ts';
import type { LineView } from './line-view.ts';
import { linesWith, TYPICAL_BRAKE, type Hose } from './sizing.ts';
import type { Plan } from './types.ts';

/** A trailer's axles on one actuator. */
export interface TrailerSheet extends Sheet {
  readonly actuatorMPa: number;
  /** Fluid the actuator can push out. */
  readonly actuatorMl: number;
  /** One to three. */
  readonly axles: readonly {
    readonly brake: Brake;
    readonly tyreRadiusMm: number;
    readonly emptyKg: number;
    readonly ladenKg: number;
  }[];
  readonly hose: Hose;
  readonly airMl: number;
  readonly mu: number;
}
/** A lever or pedal with a master and brakes of its own. */
export interface SingleSheet extends Sheet {
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
  readonly hose: Hose;
  readonly airMl: number;
}
export interface ClutchSheet extends Sheet {
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
  readonly hose: Hose;
}
/** What holds the vehicle when nobody does. */
export type ParkingSheet = Sheet &
  (({ readonly by: 'lever' } & Omit<ParkingInput, 'massKg' | 'tyreRadiusMm'>) | { readonly by: 'hydraulic' });

const BULK_GPA = 1.7;

export const trailerView = (plan: Plan, sheet: TrailerSheet, lines: readonly LineView[], share: number): TrailerSize => {
  const circuits = plan.circuits.filter((c) => c.work === 'brake').map((c) => c.id);
  return trailer({
    actuatorMPa: sheet.actuatorMPa,
    axles: sheet.axles.map(({ brake, tyreRadiusMm, emptyKg, ladenKg }) => ({
      brake,
      tyreRadiusMm,
      loadKg: emptyKg + share * (ladenKg - emptyKg),
    })),
    lines: linesWith(plan, lines, circuits, sheet.hose),
    bulkGPa: BULK_GPA,
    airMl: sheet.airMl,
  });
};

export const singleView = (plan: Plan, sheet: SingleSheet, lines: readonly LineView[]): SingleSize =>
  single({
    ...sheet,
    loadN: sheet.loadKg * GRAVITY_MS2,
    lines: linesWith(plan, lines, sheet.circuitId ? [sheet.circuitId] : [], sheet.hose),
    bulkGPa: BULK_GPA,
  });

export function clutchView(plan: Plan, sheet: ClutchSheet, lines: readonly LineView[]): ClutchSize {
  const own = linesWith(
    plan,
    lines,
    plan.circuits.filter((c) => c.work === 'clutch').map((c) => c.id),
    sheet.hose,
  );
  const input = { ...sheet, masterStrokeMm: sheet.strokeMm - sheet.deadMm };
  const { pressureMPa } = clutch({ ...input, takenMl: 0 });
  // A slave takes what moves it; lines and hose take theirs besides.
  const none: Brake = { kind: 'drum', cylinderMm: 1, brakeFactor: 1, drumRadiusMm: 1, travelMm: 0 };
  return clutch({ ...input, takenMl: sumMl(takenMl(none, own, BULK_GPA, 0, pressureMPa)) });
}

/** What the parking brake holds, laden, on the rear wheels; null where it is hydraulic or the vehicle's figures are not there. */
export const parkingView = ({ sizing, parking: sheet }: Plan): ParkingSize | null =>
  sizing && sheet?.by === 'lever'
    ? parking({ ...sheet, massKg: sizing.laden.massKg, tyreRadiusMm: sizing.tyreRadiusMm.rear })
    : null;

const HOSE: Hose = { hoseMm: 400, hoseMlPerMPaM: 0.2 };

/** Figures to begin with, every one of them a guess. Common practice. */
export const typicalTrailer = (): TrailerSheet =>
  allGuessed({
    actuatorMPa: 11,
    actuatorMl: 60,
    axles: [{ brake: TYPICAL_BRAKE.disc, tyreRadiusMm: 320, emptyKg: 500, ladenKg: 1200 }],
    hose: HOSE,
    airMl: 0,
    mu: 0.8,
  });
export const typicalSingle = (name: string, circuitId: string | null): SingleSheet => ({
  ...allGuessed({
    lever: { forceN: 150, ratio: 5, efficiency: 0.9, strokeMm: 90 },
    boreMm: 15.875,
    strokeMm: 18,
    deadMm: 1,
    brake: { ...TYPICAL_BRAKE.disc, pistonsMm: [34], opposed: true },
    tyreRadiusMm: 300,
    loadKg: 130,
    hose: HOSE,
    airMl: 0,
  }),
  name,
  circuitId,
  wheels: 1,
});
export const typicalClutch = (): ClutchSheet =>
  allGuessed({
    pedal: { forceN: 120, ratio: 6, efficiency: 0.9, strokeMm: 150 },
    masterBoreMm: 19.05,
    strokeMm: 34,
    deadMm: 1.5,
    slaveBoreMm: 22.225,
    forkRatio: 2,
    bearingLoadN: 1500,
    releaseMm: 8,
    mostMm: 12,
    hose: HOSE,
  });
export const typicalParking = (by: ParkingSheet['by']): ParkingSheet =>
  by === 'hydraulic'
    ? { by, open: [] }
    : allGuessed({ by, handN: 350, leverRatio: 6, efficiency: 0.7, shoeRatio: 3, brakeFactor: 2.4, drumRadiusMm: 114 });
