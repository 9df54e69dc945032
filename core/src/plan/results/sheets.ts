import {
  clutch,
  GRAVITY_MS2,
  parking,
  parkingPull,
  single,
  sumMl,
  takenMl,
  trailer,
  type Brake,
  type ClutchSize,
  type ParkingLimit,
  type ParkingPull,
  type ParkingSize,
  type SingleSize,
  type TrailerSize,
} from '../../physics/hydraulics/index.ts';
import type { ClutchSheet, ParkingSheet, Plan, SingleSheet, TrailerSheet } from '../model/index.ts';
import type { LineView } from '../layout/line-view.ts';
import { linesWith } from './sizing.ts';

/** What says which tubes and hoses a sheet's cylinders fill. */
type Feeding = Pick<Plan, 'circuits' | 'hoses'>;

/** Bulk modulus of brake fluid where no sheet has one. Common practice. */
export const BULK_GPA = 1.7;

export const trailerView = (
  plan: Feeding,
  sheet: TrailerSheet,
  lines: readonly LineView[],
  share: number,
): TrailerSize => {
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
    mu: sheet.mu,
  });
};

export const singleView = (
  plan: Feeding,
  sheet: SingleSheet,
  lines: readonly LineView[],
): SingleSize =>
  single({
    ...sheet,
    loadN: sheet.loadKg * GRAVITY_MS2,
    lines: linesWith(plan, lines, sheet.circuitId ? [sheet.circuitId] : [], sheet.hose),
    bulkGPa: BULK_GPA,
  });

export function clutchView(
  plan: Feeding,
  sheet: ClutchSheet,
  lines: readonly LineView[],
): ClutchSize {
  const own = linesWith(
    plan,
    lines,
    plan.circuits.filter((c) => c.work === 'clutch').map((c) => c.id),
    sheet.hose,
  );
  // The free stroke is taken by the pedal before the master moves any fluid.
  const pedal = {
    ...sheet.pedal,
    strokeMm: Math.max(0, sheet.pedal.strokeMm - sheet.deadMm * sheet.pedal.ratio),
  };
  const input = { ...sheet, pedal, masterStrokeMm: sheet.strokeMm - sheet.deadMm };
  const { pressureMPa } = clutch({ ...input, takenMl: 0 });
  // A slave takes what moves it; lines and hose take theirs besides.
  const none: Brake = { kind: 'drum', cylinderMm: 1, brakeFactor: 1, drumRadiusMm: 1, travelMm: 0 };
  return clutch({ ...input, takenMl: sumMl(takenMl(none, own, BULK_GPA, 0, pressureMPa)) });
}

/** What the parking brake holds, laden, on the rear wheels; null where it is hydraulic or the vehicle's figures are not there. */
/** The most force that a rule allows on it, by hand or by foot, N. */
export const parkingMostN = (
  { worked }: Extract<ParkingSheet, { by: 'lever' }>,
  limit: ParkingLimit,
): number => (worked === 'foot' ? limit.footMostN : limit.handMostN);
/** What a parking brake holds, and where its lever's travel goes; null where that was not measured. */
export type ParkingHeld = ParkingSize & { readonly pull: ParkingPull | null };
export const parkingView = ({
  sizing,
  parking: sheet,
}: Pick<Plan, 'sizing' | 'parking'>): ParkingHeld | null => {
  if (!sizing || sheet?.by !== 'lever') return null;
  const size = parking(
    { ...sheet, massKg: sizing.laden.massKg, tyreRadiusMm: sizing.tyreRadiusMm.rear },
    { ...sizing.laden, wheelbaseMm: sizing.wheelbaseMm, mu: sizing.mu },
  );
  return { ...size, pull: sheet.travel ? parkingPull(sheet, size, sheet.travel) : null };
};
