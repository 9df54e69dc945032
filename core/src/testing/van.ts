import type { AxleLines, SizeInput } from '../physics/hydraulics/index.ts';

/** Tube and hose of an axle, and a van whose figures are round. */
export const LINES: AxleLines = {
  tubeMm: 2000,
  idMm: 3.34,
  odMm: 4.7625,
  youngGPa: 207,
  poisson: 0.3,
  hoseMm: 500,
  hoseMlPerMPaM: 0.2,
};
export const VAN: SizeInput = {
  vehicle: {
    massKg: 1850,
    frontFraction: 0.48,
    wheelbaseMm: 3050,
    cgHeightMm: 720,
    tyreRadiusMm: { front: 335, rear: 335 },
  },
  pedal: { forceN: 450, ratio: 6.2, efficiency: 0.9, strokeMm: 150 },
  booster: null,
  master: { kind: 'tandem', boreMm: 22.225, strokeMm: 32, deadMm: 1.5 },
  front: {
    kind: 'disc',
    pistonsMm: [38.1, 34.9],
    opposed: true,
    padMu: 0.4,
    effectiveRadiusMm: 122,
    clearanceMm: 0.12,
    complianceMmPerMPa: 0.012,
  },
  rear: { kind: 'drum', cylinderMm: 20.64, brakeFactor: 2.4, drumRadiusMm: 127, travelMm: 2.2 },
  rearValve: null,
  lines: { front: LINES, rear: LINES },
  fluid: { bulkGPa: 1.7 },
  airMl: { front: 0, rear: 0.4 },
};
