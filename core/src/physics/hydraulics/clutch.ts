import { boreArea, type Pedal } from './types.ts';

export interface ClutchInput {
  readonly pedal: Pedal;
  readonly masterBoreMm: number;
  /** Stroke of the master that moves fluid, its free part taken off. */
  readonly masterStrokeMm: number;
  readonly slaveBoreMm: number;
  /** Travel of the slave for one mm of the release bearing; 1 for a bearing that is its own slave. */
  readonly forkRatio: number;
  readonly bearingLoadN: number;
  /** Fluid that lines and hose take on the way, mL. */
  readonly takenMl: number;
}
export interface ClutchSize {
  readonly slaveStrokeMm: number;
  readonly bearingStrokeMm: number;
  readonly pressureMPa: number;
  readonly pedalForceN: number;
}

/** From the clutch pedal to the release bearing. Source: Pascal and levers. */
export function clutch({
  pedal,
  masterBoreMm,
  masterStrokeMm,
  slaveBoreMm,
  forkRatio,
  bearingLoadN,
  takenMl,
}: ClutchInput): ClutchSize {
  const strokeMm = Math.min(masterStrokeMm, pedal.strokeMm / pedal.ratio);
  const slaveStrokeMm =
    Math.max(0, boreArea(masterBoreMm) * strokeMm - takenMl * 1000) / boreArea(slaveBoreMm);
  const pressureMPa = bearingLoadN / forkRatio / boreArea(slaveBoreMm);
  return {
    slaveStrokeMm,
    bearingStrokeMm: slaveStrokeMm / forkRatio,
    pressureMPa,
    pedalForceN: (pressureMPa * boreArea(masterBoreMm)) / (pedal.ratio * pedal.efficiency),
  };
}
