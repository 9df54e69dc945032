import type { Category } from '../../trade/categories.ts';
import type { VehicleClass } from '../../trade/vehicle-classes.ts';
import type { Axles } from './types.ts';

/** How the adhesion that an axle uses is bounded. */
export interface BalanceRule {
  /** Decelerations between which the rear may not use more adhesion than the front. */
  readonly fromZ: number;
  readonly toZ: number;
  /** z ≥ 0.1 + rise·(k − 0.2) for k from 0.2 to 0.8. */
  readonly rise: number;
  readonly source: string;
}
/** What must be left when a circuit, or the booster, has failed. */
export interface ResidualBrakingRule {
  readonly fromKmh: number;
  readonly mostM: (kmh: number) => number;
  /** Mean deceleration fully developed, m/s². */
  readonly leastMs2: number;
  readonly footMostN: number;
  readonly source: string;
}
/** Repeated braking that heats: how often, how many seconds apart, and from which speed; down to half of it. */
export interface FadeRule {
  readonly times: number;
  readonly everyS: number;
  readonly mostKmh: number;
  readonly source: string;
}
/** A long hill at a steady speed. */
export interface HillRule {
  readonly m: number;
  readonly kmh: number;
  readonly grade: number;
  readonly source: string;
}
export interface ParkingLimit {
  readonly grade: number;
  readonly handMostN: number;
  /** Where the parking brake is worked by foot. */
  readonly footMostN: number;
  readonly source: string;
}
/** Published limits of a class of vehicle. */
export interface Limits {
  readonly fromKmh: number;
  readonly wholeM: (kmh: number) => number;
  /** Mean fully developed deceleration at least, m/s². */
  readonly leastMs2: number;
  readonly pedalMostN: number;
  /** Time until the brakes are up, as the first term of the rule's distance allows for, s. */
  readonly buildUpS: number;
  readonly balance: BalanceRule;
  readonly residual: ResidualBrakingRule;
  readonly parking: ParkingLimit;
  readonly fade: FadeRule;
  readonly source: string;
}

const LIGHT_BALANCE: BalanceRule = {
  fromZ: 0.15,
  toZ: 0.8,
  rise: 0.7,
  source: 'UN R13-H annex 5 (from memory)',
};
const HEAVY_BALANCE: BalanceRule = {
  fromZ: 0.15,
  toZ: 0.3,
  rise: 0.85,
  source: 'UN R13 annex 10 (from memory)',
};
/** s ≤ 0.15·v + v²/130, of UN R13 type 0. */
const type0 = (v: number): number => 0.15 * v + (v * v) / 130;
const R13_PARKING: ParkingLimit = {
  grade: 0.18,
  handMostN: 600,
  footMostN: 700,
  source: 'UN R13 annex 4 (from memory)',
};
const fade = (times: number, everyS: number, mostKmh: number, source: string): FadeRule => ({
  times,
  everyS,
  mostKmh,
  source,
});
/** What classes of UN R13 share: the distance of type 0 and 700 N at the foot. */
const R13 = {
  wholeM: type0,
  leastMs2: 5,
  pedalMostN: 700,
  buildUpS: 0.54,
  balance: HEAVY_BALANCE,
  parking: R13_PARKING,
} as const;
/** Secondary braking of UN R13: s ≤ 0.15·v + 2·v²/d. */
const secondary = (fromKmh: number, d: number, leastMs2: number, of: string) => ({
  fromKmh,
  mostM: (v: number): number => 0.15 * v + (2 * v * v) / d,
  leastMs2,
  footMostN: 700,
  source: `UN R13 annex 4, secondary braking, ${of} (from memory)`,
});
const FT_M = 0.3048;
const MPH_60 = 96.56;
/** A distance that a rule gives at one speed, at another by the square. */
const bySquare =
  (atM: number) =>
  (v: number): number =>
    atM * (v / MPH_60) ** 2;

/** Limits by class. Each is from memory of its source: check the text that is in force. */
export const RULES: Readonly<Record<VehicleClass, Limits>> = {
  M1: {
    fromKmh: 100,
    wholeM: (v) => 0.1 * v + 0.006 * v * v,
    leastMs2: 6.43,
    pedalMostN: 500,
    buildUpS: 0.36,
    balance: LIGHT_BALANCE,
    residual: {
      fromKmh: 100,
      mostM: (v) => 0.1 * v + 0.0158 * v * v,
      leastMs2: 2.44,
      footMostN: 500,
      source: 'FMVSS 135 / UN R13-H, one circuit or the booster failed (from memory)',
    },
    parking: {
      grade: 0.2,
      handMostN: 400,
      footMostN: 500,
      source: 'FMVSS 135 / UN R13-H annex 3 (from memory)',
    },
    fade: fade(15, 45, 120, 'UN R13-H annex 3, type I (from memory)'),
    source: 'FMVSS 135 / UN R13-H, light vehicles to 3.5 t (from memory)',
  },
  N1: {
    ...R13,
    fromKmh: 80,
    balance: LIGHT_BALANCE,
    residual: secondary(70, 115, 2.2, 'N1'),
    fade: fade(15, 55, 120, 'UN R13 annex 4, type I, N1 (from memory)'),
    source: 'UN R13 annex 4, N1, vans and trucks to 3.5 t (from memory)',
  },
  M2: {
    ...R13,
    fromKmh: 60,
    residual: secondary(60, 130, 2.5, 'M2'),
    fade: fade(15, 55, 100, 'UN R13 annex 4, type I, M2 (from memory)'),
    source: 'UN R13 annex 4, M2, buses to 5 t (from memory)',
  },
  M3: {
    ...R13,
    fromKmh: 60,
    residual: secondary(60, 130, 2.5, 'M3'),
    fade: fade(20, 60, 60, 'UN R13 annex 4, type I, M3 (from memory)'),
    source: 'UN R13 annex 4, M3, buses over 5 t (from memory)',
  },
  N2: {
    ...R13,
    fromKmh: 60,
    residual: secondary(50, 115, 2.2, 'N2'),
    fade: fade(20, 60, 60, 'UN R13 annex 4, type I, N2 (from memory)'),
    source: 'UN R13 for heavier vans and trucks, N2 (from memory)',
  },
  N3: {
    ...R13,
    fromKmh: 60,
    residual: secondary(40, 115, 2.2, 'N3'),
    fade: fade(20, 60, 60, 'UN R13 annex 4, type I, N3 (from memory)'),
    source: 'UN R13 annex 4, N3, trucks over 12 t (from memory)',
  },
  US: {
    ...R13,
    fromKmh: MPH_60,
    wholeM: bySquare(310 * FT_M),
    leastMs2: 4,
    pedalMostN: 667,
    residual: {
      fromKmh: MPH_60,
      mostM: bySquare(517 * FT_M),
      leastMs2: 2.3,
      footMostN: 667,
      source: 'FMVSS 105, one circuit or the booster failed, 150 lbf (from memory)',
    },
    parking: {
      grade: 0.2,
      handMostN: 556,
      footMostN: 667,
      source: 'FMVSS 105, parking, 125 lbf by hand (from memory)',
    },
    fade: fade(15, 55, 120, 'as UN R13 type I: FMVSS 105 has a cycle of its own'),
    source: 'FMVSS 105, hydraulic brakes over 3.5 t (from memory)',
  },
};

export const HILL: HillRule = {
  m: 6000,
  kmh: 30,
  grade: 0.06,
  source: 'UN R13 type II (from memory), no engine braking',
};
export const TRAILER_HILL: HillRule = {
  m: 1700,
  kmh: 40,
  grade: 0.07,
  source: 'UN R13 annex 4, trailers (from memory)',
};

/** What one brake of a motorcycle does by itself, the other not touched. */
export interface MotorcycleBrake {
  readonly leastMs2: number;
  /** Front brakes are worked by hand, rear ones by foot. Common practice. */
  readonly by: 'hand' | 'foot';
  readonly mostN: number;
}
export const MOTORCYCLE_BRAKES: Readonly<Axles<MotorcycleBrake>> = {
  front: { leastMs2: 4.4, by: 'hand', mostN: 200 },
  rear: { leastMs2: 2.9, by: 'foot', mostN: 350 },
};
export const MOTORCYCLE_SOURCE = 'UN R78 annex 3, each brake alone (from memory)';
/** Force of a trailer's brakes together, as a share of the weight on its wheels. */
export const TRAILER_RULE = { share: 0.5, source: 'UN R13 annex 4, trailers (from memory)' };
/** What is said of a kind of vehicle whose distances are not drawn. */
export const NO_DISTANCE: Readonly<Partial<Record<Category, string>>> = {
  aircraft:
    'Light aircraft are not checked here. Approval and the inspector come first (14 CFR part 23, section 2305 since 2017 and section 735 before, from memory).',
  competition:
    'Competition rules require two circuits and usually set no distance, so no limit is drawn.',
  motorcycle:
    'Each brake of a motorcycle alone must reach 4.4 m/s² in front with 200 N by hand, 2.9 m/s² behind with 350 N by foot. Of one system for both, 3.3 m/s² must be left when a part fails (UN R78 / FMVSS 122, from memory).',
  trailer:
    'A trailer’s brakes together must make half of the weight on its wheels, its parking brake hold 18 % (UN R13 annex 4, from memory).',
};
