import { CATEGORIES, type Category } from '../../trade/categories.ts';
import type {
  AxleLines,
  Axles,
  Booster,
  Brake,
  Combination,
  Master,
  Pedal,
  RearValve,
  Rotor,
} from '../../physics/hydraulics/index.ts';
import {
  byKind,
  flag,
  id,
  list,
  nullable,
  number,
  oneOf,
  optional,
  over,
  record,
  type Field,
} from './field.ts';

/** Figures that know which of them are still guesses, by their path. */
export interface EstimatedFigures {
  readonly open: readonly string[];
}
/** How a vehicle stands on its axles in one state of loading. */
export interface Load {
  readonly massKg: number;
  readonly frontFraction: number;
  readonly cgHeightMm: number;
}
/** Hose that a sheet reckons with where the plan has none of its own. */
export type HoseFigures = Pick<AxleLines, 'hoseMm' | 'hoseMlPerMPaM'>;
/** What the foot does to the road, as the user gave it. Tube lengths are the plan's own. */
export interface Sizing extends EstimatedFigures {
  readonly category: Category;
  readonly wheelbaseMm: number;
  readonly tyreRadiusMm: Axles<number>;
  readonly empty: Load;
  readonly laden: Load;
  readonly pedal: Pedal;
  readonly booster: Booster | null;
  readonly master: Master;
  readonly front: Brake;
  readonly rear: Brake;
  readonly rearValve: RearValve | null;
  /** How far one turn of the valve's adjuster moves its knee, by the maker's sheet; null where that is not known. */
  readonly kneePerTurnMPa: number | null;
  readonly combination: Combination | null;
  readonly hoses: Axles<HoseFigures>;
  readonly bulkGPa: number;
  readonly airMl: Axles<number>;
  readonly mu: number;
  /** Lining that may wear away before it is renewed. */
  readonly wearMm: Axles<number>;
  /** Where the booster's help comes from; not there: vacuum, and nothing more is known. */
  readonly boosterBy?: BoosterSupply | null;
  /** How far the valve's adjuster goes, and what else its sheet says; not there while nobody has looked. */
  readonly valveSheet?: ValveSheet | null;
  /** Front shares between which the bar can be turned; not there where that is not known. */
  readonly bar?: { readonly least: number; readonly most: number } | null;
  /** What the heat of stops goes into; not there while nobody has begun it. */
  readonly heat?: HeatSheet | null;
  /** Lamps that tell a failed circuit or low fluid, and the parking brake on. */
  readonly lamps?: { readonly circuit: boolean; readonly parking: boolean };
}

export const CODINGS = ['not-known', 'needed', 'done', 'none'] as const;
/** What drives a booster. `chamberMl` is its vacuum side with its tank; `mostN` the most help that a sheet gives, and `stops` what its store gives alone. */
export type BoosterSupply =
  | { readonly kind: 'vacuum'; readonly chamberMl: number }
  | { readonly kind: 'pump'; readonly chamberMl: number }
  /** Whether its control is to be told of other calipers. */
  | { readonly kind: 'electric'; readonly mostN: number; readonly coding: (typeof CODINGS)[number] }
  | { readonly kind: 'hydraulic'; readonly mostN: number; readonly stops: number };
/** A proportioning valve by its sheet. */
export interface ValveSheet {
  readonly leastMPa: number;
  readonly mostMPa: number;
  /** Notches from one end to the other; null where it turns freely. */
  readonly notches: number | null;
  /** Lets full pressure to the rear when the front circuit has failed. */
  readonly bypass: boolean;
  /** Of a load-sensing one: its knee with the vehicle laden; null: it does not move. */
  readonly ladenKneeMPa: number | null;
}
/** What a vehicle's brakes heat, and how hot they may become. */
export interface HeatSheet {
  readonly topKmh: number;
  readonly ambientC: number;
  /** A trailer without brakes of its own that hangs behind. */
  readonly towKg: number;
  readonly rotor: Axles<Rotor>;
  /** Fluid at the hottest caliper as it was measured; null where it was not. */
  readonly fluidC: number | null;
}

const axles = <T>(of: Field<T>): Field<Axles<T>> => ({
  type: 'record',
  fields: { front: of, rear: of },
});
export const LOAD = record<Load>()({
  massKg: over(100_000),
  frontFraction: number(0, 1),
  cgHeightMm: number(0, 100_000),
});
export const BRAKE = byKind<Brake>()('kind', {
  disc: {
    pistonsMm: list(over(1000), 20, 1),
    opposed: flag,
    padMu: over(10),
    effectiveRadiusMm: over(1000),
    clearanceMm: number(0, 1000),
    complianceMmPerMPa: number(0, 1000),
  },
  drum: {
    cylinderMm: over(1000),
    brakeFactor: over(100),
    drumRadiusMm: over(1000),
    travelMm: number(0, 1000),
  },
});
const VACUUM = { chamberMl: over(100_000) };
const ASSIST = over(100_000);
export const BOOSTER_SUPPLY = byKind<BoosterSupply>()('kind', {
  vacuum: VACUUM,
  pump: VACUUM,
  electric: { mostN: ASSIST, coding: oneOf(CODINGS) },
  hydraulic: { mostN: ASSIST, stops: number(0, 1000, { whole: true }) },
});
export const VALVE_SHEET = record<ValveSheet>()({
  leastMPa: number(0, 200),
  mostMPa: over(200),
  notches: nullable(number(1, 1000, { whole: true })),
  bypass: flag,
  ladenKneeMPa: nullable(number(0, 200)),
});
export const ROTOR = record<Rotor>()({
  massKg: over(1000),
  diameterMm: over(1000),
  widthMm: over(1000),
  fadeC: over(2000),
});
export const HEAT_OF_DAY = { topKmh: over(1000), ambientC: number(-60, 60) };
export const HEAT = record<HeatSheet>()({
  ...HEAT_OF_DAY,
  towKg: number(0, 100_000),
  rotor: axles(ROTOR),
  fluidC: nullable(number(-60, 400)),
});
/** Paths of figures that are still guesses. */
export const GUESSES = list(id, 500);
export const PEDAL = record<Pedal>()({
  forceN: over(10_000),
  ratio: over(100),
  efficiency: over(1),
  strokeMm: over(1000),
});
export const HOSE_FIGURES = record<HoseFigures>()({
  hoseMm: number(0, 100_000),
  hoseMlPerMPaM: number(0, 1000),
});
export const STROKES = { strokeMm: over(1000), deadMm: number(0, 1000) };
export const AIR_ML = number(0, 1e6);

export const SIZING = record<Sizing>()({
  category: oneOf(CATEGORIES),
  wheelbaseMm: over(100_000),
  tyreRadiusMm: axles(over(1000)),
  empty: LOAD,
  laden: LOAD,
  pedal: PEDAL,
  booster: nullable(
    record<Booster>()({
      gain: number(1, 100),
      vacuumKPa: number(0, 1000),
      diaphragmMm2: number(0, 1e6),
    }),
  ),
  master: byKind<Master>()('kind', {
    tandem: { boreMm: over(1000), ...STROKES },
    twin: {
      frontBoreMm: over(1000),
      rearBoreMm: over(1000),
      frontShare: number(0, 1, { over: true, under: true }),
      ...STROKES,
    },
  }),
  front: BRAKE,
  rear: BRAKE,
  rearValve: nullable(record<RearValve>()({ kneeMPa: number(0, 200), slope: number(0, 10) })),
  kneePerTurnMPa: nullable(over(200)),
  combination: nullable(
    record<Combination>()({ holdOffMPa: over(200), differentialMPa: over(200) }),
  ),
  hoses: axles(HOSE_FIGURES),
  bulkGPa: over(1000),
  airMl: axles(AIR_ML),
  mu: over(10),
  wearMm: axles(number(0, 100)),
  boosterBy: optional(nullable(BOOSTER_SUPPLY)),
  valveSheet: optional(nullable(VALVE_SHEET)),
  bar: optional(
    nullable(
      record<{ readonly least: number; readonly most: number }>()({
        least: number(0, 1),
        most: number(0, 1),
      }),
    ),
  ),
  heat: optional(nullable(HEAT)),
  lamps: optional(record<NonNullable<Sizing['lamps']>>()({ circuit: flag, parking: flag })),
  open: GUESSES,
});
