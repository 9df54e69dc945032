import { CATEGORIES, type Category } from '../../trade/categories.ts';
import { VEHICLE_CLASSES, type VehicleClass } from '../../trade/vehicle-classes.ts';
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
  told,
} from './field.ts';
import { type Field, type Told } from './field-types.ts';

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
  /** The class whose rules it is held to; not there: the usual one of its kind. */
  readonly ruleClass?: VehicleClass;
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
  /** Middle of a front tire's contact from its steering axis at the road, outward; less than nothing: inward. Not there while it is not known. */
  readonly scrubMm?: number | null;
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

/** The same of each axle: "Front tire radius", "Rear tire radius". */
const axles = <T>(label: string, of: Field<T>, more: Told = {}): Field<Axles<T>> => {
  const each = (key: 'front' | 'rear', which: string): Field<T> =>
    told(`${which} ${label.toLowerCase()}`, of, { ...more, key });
  return {
    type: 'record',
    label,
    fields: { front: each('front', 'Front'), rear: each('rear', 'Rear') },
  };
};
export const LOAD = record<Load>()({
  massKg: told('Mass', over(100_000)),
  frontFraction: told('Share on the front axle', number(0, 1), { usual: [0.05, 0.95] }),
  cgHeightMm: told('Height of the center of gravity', number(0, 100_000), { usual: [0, 5000] }),
});
export const BRAKE = byKind<Brake>()('kind', {
  disc: {
    pistonsMm: told('Pistons', list(over(1000), 20, 1), { sold: true, usual: [0.1, 1000] }),
    opposed: told('Opposed pistons', flag),
    padMu: told('Grip of the pads, µ', over(10), { usual: [0.05, 2] }),
    effectiveRadiusMm: told('Radius to the pad middle', over(1000), { usual: [0.1, 1000] }),
    clearanceMm: told('Gap of a piston', number(0, 1000), { usual: [0, 10] }),
    complianceMmPerMPa: told('Compliance', number(0, 1000), { usual: [0, 1] }),
  },
  drum: {
    cylinderMm: told('Wheel cylinder', over(1000), { sold: true, usual: [0.1, 1000] }),
    brakeFactor: told('Brake factor', over(100), { usual: [0.1, 20] }),
    drumRadiusMm: told('Drum radius', over(1000), { usual: [0.1, 1000] }),
    travelMm: told('Piston travel to the drum', number(0, 1000), { usual: [0, 50] }),
  },
});
export const CODING = oneOf(CODINGS, {
  'not-known': 'not known whether it is needed',
  needed: 'still to be done',
  done: 'done',
  none: 'not needed',
});
const VACUUM = { chamberMl: told('Vacuum side and tank', over(100_000), { usual: [10, 50000] }) };
const ASSIST = over(100_000);
export const BOOSTER_SUPPLY = byKind<BoosterSupply>()('kind', {
  vacuum: VACUUM,
  pump: VACUUM,
  electric: {
    mostN: told('Assist at most', ASSIST, { usual: [10, 50000] }),
    coding: told('Coding', CODING),
  },
  hydraulic: {
    mostN: told('Assist at most', ASSIST, { usual: [10, 50000] }),
    stops: told('Stops from its store', number(0, 1000, { whole: true }), { usual: [0, 100] }),
  },
});
export const VALVE_SHEET = record<ValveSheet>()({
  leastMPa: told('Lowest knee', number(0, 200), { usual: [0, 50] }),
  mostMPa: told('Highest knee', over(200), { usual: [0.1, 50] }),
  notches: told('Notches', nullable(number(1, 1000, { whole: true })), { usual: [1, 100] }),
  bypass: told('Opens when the front fails', flag),
  ladenKneeMPa: told('Knee laden', nullable(number(0, 200)), { usual: [0, 50] }),
});
export const ROTOR = record<Rotor>()({
  massKg: told('Mass of one', over(1000)),
  diameterMm: told('Diameter', over(1000), { usual: [20, 1000] }),
  widthMm: told('Width swept', over(1000), { usual: [5, 500] }),
  fadeC: told('Linings fade from', over(2000), { usual: [50, 1500] }),
  vented: told('Vented', optional(flag)),
});
export const HEAT_OF_DAY = {
  topKmh: told('Top speed', over(1000), { usual: [10, 400] }),
  ambientC: told('Air', number(-60, 60), { usual: [-50, 60] }),
};
export const HEAT = record<HeatSheet>()({
  ...HEAT_OF_DAY,
  towKg: told('Towed without brakes', number(0, 100_000), { usual: [0, 50000] }),
  rotor: axles('Disc or drum', ROTOR),
  fluidC: told('Fluid measured at the caliper', nullable(number(-60, 400)), { usual: [-50, 400] }),
});
/** Paths of figures that are still guesses. */
export const GUESSES = list(id, 500);
export const PEDAL = record<Pedal>()({
  forceN: told('Force', over(10_000), { usual: [1, 3000] }),
  ratio: told('Ratio', over(100), { usual: [0.5, 30] }),
  efficiency: told('Efficiency', over(1), { usual: [0.1, 1] }),
  strokeMm: told('Stroke available', over(1000), { usual: [0.1, 1000] }),
});
export const HOSE_FIGURES = record<HoseFigures>()({
  hoseMm: told('Hose', number(0, 100_000), { usual: [0, 20000] }),
  hoseMlPerMPaM: told('Hose swell', number(0, 1000), { usual: [0, 10] }),
});
export const STROKES = {
  strokeMm: told('Stroke', over(1000), { usual: [0.1, 1000] }),
  deadMm: told('Free stroke', number(0, 1000), { usual: [0, 1000] }),
};
export const AIR_ML = number(0, 1e6);

export const SIZING = record<Sizing>()({
  category: told(
    'Kind of vehicle',
    oneOf(CATEGORIES, {
      light: 'Car or light van, to 3.5 t',
      heavy: 'Heavier van or truck',
      trailer: 'Trailer',
      motorcycle: 'Motorcycle',
      aircraft: 'Light aircraft',
      competition: 'Competition only',
    }),
  ),
  ruleClass: told(
    'Class of vehicle',
    optional(
      oneOf(VEHICLE_CLASSES, {
        M1: 'M1: car, up to 8 passengers',
        N1: 'N1: van or truck to 3.5 t',
        M2: 'M2: bus to 5 t',
        M3: 'M3: bus over 5 t',
        N2: 'N2: van or truck to 12 t',
        N3: 'N3: truck over 12 t',
        US: 'US rule, hydraulic over 3.5 t',
      }),
    ),
    { none: 'the usual one' },
  ),
  wheelbaseMm: told('Wheelbase', over(100_000), { usual: [100, 20000] }),
  tyreRadiusMm: axles('Tire radius', over(1000), { unit: 'length', usual: [20, 1000] }),
  empty: told('Vehicle empty', LOAD),
  laden: told('Vehicle laden', LOAD),
  pedal: told('Pedal', PEDAL),
  booster: told(
    'Booster',
    nullable(
      record<Booster>()({
        gain: told('Gain', number(1, 100), { usual: [1, 20] }),
        vacuumKPa: told('Vacuum at idle, as measured', number(0, 1000), { usual: [0, 101] }),
        diaphragmMm2: told('Diaphragm', number(0, 1e6), { usual: [100, 500000] }),
        jumpInN: told('Jump-in, at its rod', optional(number(0, 10_000)), { usual: [0, 2000] }),
      }),
    ),
  ),
  master: told(
    'Master',
    byKind<Master>()('kind', {
      tandem: { boreMm: told('Bore', over(1000), { sold: true, usual: [3, 100] }), ...STROKES },
      twin: {
        frontBoreMm: told('Front bore', over(1000), { sold: true, usual: [3, 100] }),
        rearBoreMm: told('Rear bore', over(1000), { sold: true, usual: [3, 100] }),
        frontShare: told('Front share of the bar', number(0, 1, { over: true, under: true }), {
          usual: [0.05, 0.95],
        }),
        ...STROKES,
      },
    }),
  ),
  front: told('Front brakes', BRAKE),
  rear: told('Rear brakes', BRAKE),
  rearValve: told(
    'Rear valve',
    nullable(
      record<RearValve>()({
        kneeMPa: told('Knee', number(0, 200), { usual: [0, 50] }),
        slope: told('Slope', number(0, 10), { usual: [0, 1] }),
      }),
    ),
  ),
  kneePerTurnMPa: told('Knee moves per turn', nullable(over(200)), { usual: [0.001, 10] }),
  combination: told(
    'Metering and warning',
    nullable(
      record<Combination>()({
        holdOffMPa: told('Front held off to', over(200), { usual: [0.01, 10] }),
        differentialMPa: told('Lamp at a difference of', over(200), { usual: [0.01, 10] }),
      }),
    ),
  ),
  hoses: axles('Hose', HOSE_FIGURES),
  bulkGPa: told('Stiffness of the fluid', over(1000)),
  airMl: axles('Air left in', AIR_ML, { unit: 'mL', usual: [0, 100] }),
  mu: told('Grip of the road, µ', over(10), { usual: [0.05, 2] }),
  wearMm: axles('Lining that wears away', number(0, 100), { unit: 'length', usual: [0, 50] }),
  boosterBy: told('Booster supply', optional(nullable(BOOSTER_SUPPLY))),
  valveSheet: told('Valve’s sheet', optional(nullable(VALVE_SHEET))),
  bar: told(
    'Range of the bar',
    optional(
      nullable(
        record<{ readonly least: number; readonly most: number }>()({
          least: told('least', number(0, 1)),
          most: told('most', number(0, 1)),
        }),
      ),
    ),
  ),
  heat: told('Heat', optional(nullable(HEAT))),
  scrubMm: told('Scrub radius, outward', optional(nullable(number(-1000, 1000))), {
    usual: [-150, 150],
  }),
  lamps: told(
    'Warning lamps',
    optional(
      record<NonNullable<Sizing['lamps']>>()({
        circuit: told('Circuit or fluid', flag),
        parking: told('Parking brake', flag),
      }),
    ),
  ),
  open: told('Estimates', GUESSES),
});
