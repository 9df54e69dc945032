// Typical figures to begin with. Separate entry point: kept out of the initial bundle.
import type { Category } from '../trade/categories.ts';
import type { Brake, Disc, Drum, ParkingTravel } from '../physics/hydraulics/index.ts';
import type {
  ClutchSheet,
  HeatSheet,
  HoseFigures,
  ParkingSheet,
  PedalBox,
  EstimatedFigures,
  SingleSheet,
  Sizing,
  TrailerHeat,
  TrailerSheet,
} from './model/index.ts';

/** Every path that leads to a number. */
export function numberPaths(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, item]) =>
    numberPaths(item, path ? `${path}.${key}` : key),
  );
}

/** Typical figures as a sheet in which each is a guess. */
export const allGuessed = <T extends object>(figures: T): T & EstimatedFigures => ({
  ...figures,
  open: numberPaths(figures),
});

/** An ordinary brake of each kind. Common practice. */
export const TYPICAL_BRAKE: { readonly disc: Disc; readonly drum: Drum } = {
  disc: {
    kind: 'disc',
    pistonsMm: [54],
    opposed: false,
    padMu: 0.4,
    effectiveRadiusMm: 115,
    clearanceMm: 0.15,
    complianceMmPerMPa: 0.015,
  },
  drum: { kind: 'drum', cylinderMm: 19.05, brakeFactor: 2.4, drumRadiusMm: 114, travelMm: 2.2 },
};

const TYPICAL: Omit<Sizing, 'category' | 'open'> = {
  wheelbaseMm: 2700,
  tyreRadiusMm: { front: 320, rear: 320 },
  empty: { massKg: 1400, frontFraction: 0.52, cgHeightMm: 600 },
  laden: { massKg: 1900, frontFraction: 0.46, cgHeightMm: 680 },
  pedal: { forceN: 400, ratio: 6, efficiency: 0.9, strokeMm: 150 },
  booster: null,
  master: { kind: 'tandem', boreMm: 22.225, strokeMm: 34, deadMm: 1.5 },
  front: TYPICAL_BRAKE.disc,
  rear: TYPICAL_BRAKE.drum,
  rearValve: null,
  kneePerTurnMPa: null,
  combination: null,
  hoses: { front: { hoseMm: 800, hoseMlPerMPaM: 0.2 }, rear: { hoseMm: 400, hoseMlPerMPaM: 0.2 } },
  bulkGPa: 1.7,
  airMl: { front: 0, rear: 0 },
  mu: 0.8,
  wearMm: { front: 8, rear: 3 },
};

/** Figures of an ordinary vehicle to begin with: every one of them a guess. Common practice. */
export const typicalSizing = (category: Category): Sizing => ({ category, ...allGuessed(TYPICAL) });

/** A brake of a kind with typical figures, each a guess under `path`. */
export const typicalBrake = (
  kind: Brake['kind'],
  path: string,
): { readonly brake: Brake; readonly open: string[] } => ({
  brake: TYPICAL_BRAKE[kind],
  open: numberPaths(TYPICAL_BRAKE[kind], path),
});

/** Discs and drums of an ordinary vehicle. Common practice. */
export const TYPICAL_HEAT: HeatSheet = {
  topKmh: 130,
  ambientC: 20,
  towKg: 0,
  rotor: {
    front: { massKg: 6, diameterMm: 260, widthMm: 50, fadeC: 400 },
    rear: { massKg: 6, diameterMm: 230, widthMm: 45, fadeC: 300 },
  },
  fluidC: null,
};

/** Drums of an ordinary trailer. Common practice. */
export const TYPICAL_TRAILER_HEAT: TrailerHeat = {
  topKmh: 100,
  ambientC: 20,
  rotor: { massKg: 8, diameterMm: 250, widthMm: 40, fadeC: 300 },
};

const HOSE: HoseFigures = { hoseMm: 400, hoseMlPerMPaM: 0.2 };

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
/** Lever, cables and shoes of an ordinary rear axle. Common practice. */
export const TYPICAL_PARKING_TRAVEL: ParkingTravel = {
  strokeMm: 250,
  frontMm: 1000,
  rearMm: 1600,
  cableMm: 3,
  liftMm: 0.5,
  equalizer: true,
};
export const typicalParking = (by: ParkingSheet['by']): ParkingSheet =>
  by === 'hydraulic'
    ? { by, open: [] }
    : allGuessed({
        by,
        handN: 350,
        leverRatio: 6,
        efficiency: 0.7,
        shoeRatio: 3,
        brakeFactor: 2.4,
        drumRadiusMm: 114,
      });

interface PedalClearance {
  /** No less than this; a shoe's edge fits between. */
  readonly leastMm: number;
  /** More than this is far to reach; null where that does not matter. */
  readonly mostMm: number | null;
  readonly why: string;
}
/** Room that pedals want. Common practice: the sole of a work shoe is some 110 mm wide and is set down across no more than one pad. */
export const PEDAL_ROOM: Readonly<Record<keyof PedalBox, PedalClearance>> = {
  clutchToBrakeMm: {
    leastMm: 50,
    mostMm: 150,
    why: 'a shoe can catch both pedals',
  },
  brakeToThrottleMm: {
    leastMm: 50,
    mostMm: 110,
    why: 'one shoe can press both',
  },
  toWallMm: {
    leastMm: 30,
    mostMm: null,
    why: 'the shoe can jam against the wall',
  },
  brakeOverThrottleMm: {
    leastMm: 10,
    mostMm: 60,
    why: 'the foot can slide under the brake pedal coming off the throttle',
  },
  behindMm: {
    leastMm: 15,
    mostMm: null,
    why: 'the pedal hits the floor before the master cylinder bottoms',
  },
};
