import { FLARES, type FlareForm } from '../stock/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { PLAN_FORMAT, PLAN_VERSION, type Bench, type Holding, type BenchBender, type LineEnd, type Plan } from './types.ts';

/** A bender of common make-up for one tube size; every figure is to be replaced by the user's own. Common practice. */
export const plainBender = (id: string, name: string, tubeOdMm: number, dieRadiusMm: number): BenchBender => ({
  id,
  name,
  kind: 'fixed',
  tubeOdMm,
  dieRadiusMm,
  referenceMm: 0,
  clampSide: 'a',
  leastFeedMm: 10,
  shoeMm: 18,
  testBends: [],
});

/** An end nobody has done anything to yet. */
export const freshEnd = (portId: string | null, flare: FlareForm, nutId: string): LineEnd => ({
  portId,
  open: null,
  flare,
  nutId,
  adapters: [],
  standoffMm: 0,
  joint: { made: 'flared', sealant: 'none', washers: 'none', opened: 0, torqueNm: null, torqueSource: '' },
});

/** Limits to begin with; common practice, but for the excitation: the user picks or types it. */
export const DEFAULT_HOLDING: Holding = {
  frameHz: 60,
  engineHz: 120,
  nearMm: 300,
  margin: 1.2,
  maxSpanMm: 450,
  endMm: 150,
  reachMm: 150,
};
/** What a line is before anybody has held, sleeved or marked it. */
export const FRESH_LINE = { origin: 'made', clipsMm: [], sleeves: [], shakes: [] } as const;

export function defaultBench(): Bench {
  const flare = (form: FlareForm): Bench['flares'][FlareForm] => ({
    clampMm: FLARES[form].clampMm,
    flareExtraMm: FLARES[form].flareExtraMm,
    owned: form !== 'cone-37',
    provenOn: [],
  });
  return {
    benders: [
      plainBender('bender-1', 'Bench bender 3/16 in and 4.75 mm', 4.7625, 15),
      plainBender('bender-2', 'Bench bender 1/4 in', 6.35, 20),
      plainBender('bender-3', 'Bench bender 6 mm', 6, 20),
    ],
    flares: { 'double-flare-45': flare('double-flare-45'), bubble: flare('bubble'), 'cone-37': flare('cone-37') },
    adapters: [],
    nutLengthMm: {},
    trimMm: 20,
  };
}

/** An empty plan with one brake circuit and one clutch circuit. `id` and `now` (ISO time) come from the caller. */
export const emptyPlan = (
  id: string,
  name: string,
  now: string,
  units: UnitSystem = 'metric',
  bench: Bench = defaultBench(),
): Plan => ({
  format: PLAN_FORMAT,
  version: PLAN_VERSION,
  id,
  name,
  notes: '',
  createdAt: now,
  changedAt: now,
  units,
  points: [],
  parts: [],
  circuits: [
    { id: 'circuit-1', name: 'Front brakes', work: 'brake', ink: 'fluid', axle: 'front' },
    { id: 'circuit-2', name: 'Rear brakes', work: 'brake', ink: 'copper', axle: 'rear' },
    { id: 'circuit-3', name: 'Clutch', work: 'clutch', ink: 'slate', axle: null },
  ],
  lines: [],
  hoses: [],
  things: [],
  gates: [],
  holding: DEFAULT_HOLDING,
  bench,
  bleeding: { school: 'farthest-first', listed: [], purge: 3, fluidId: 'dot-4' },
  sizing: null,
  trailer: null,
  singles: [],
  clutch: null,
  parking: null,
});
