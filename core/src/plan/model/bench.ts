import {
  FLARES,
  type Adapter,
  type FlareForm,
  type TubeMaterial,
} from '../../trade/stock/index.ts';
import type { Bender, TestBend } from '../../shape/tube/index.ts';
import type { BenchSolids, Solid } from '../../shape/bending/index.ts';
import {
  axes,
  byKind,
  flag,
  id,
  list,
  map,
  name,
  number,
  oneOf,
  optional,
  over,
  record,
  ref,
  note,
  time,
} from './field.ts';
import { HALF } from './port.ts';

export interface BenchBender extends Bender {
  readonly id: string;
  readonly name: string;
  /** A bender on the bench or in a vice stays put and turns the tube; a hand bender is turned round the tube. */
  readonly kind: 'fixed' | 'vice' | 'hand';
  readonly tubeOdMm: number;
  /** Its body and what stands about it, in the die's frame; not there while the usual ones stand for them. */
  readonly around?: BenchSolids;
}
export interface FlareTool {
  readonly clampMm: number;
  readonly flareExtraMm: number;
  readonly owned: boolean;
  /** Tube that test pieces of this flare have held in. */
  readonly provenOn: readonly TubeMaterial[];
}
/** This user's tools. */
export interface Bench {
  readonly benders: readonly BenchBender[];
  readonly flares: Readonly<Record<FlareForm, FlareTool>>;
  /** Adapters of the user's own, besides those of the stock. */
  readonly adapters: readonly Adapter[];
  /** Lengths of nuts measured by the user, by nut id, in place of the stock's. */
  readonly nutLengthMm: Readonly<Record<string, number>>;
  readonly trimMm: number;
  /** Pieces that were flared to see whether they are good, and ends that were not. */
  readonly trials?: readonly Trial[];
  /** What adapters are rated for by their maker's sheet, by adapter id; those that are not there were not looked up. */
  readonly ratingMPa?: Readonly<Record<string, number>>;
}

/** A piece of tube flared: to see whether the flare is good, or an end of a line that was not. */
export interface Trial {
  readonly at: string;
  readonly flare: FlareForm;
  readonly tubeId: string;
  readonly piece: 'test' | 'end';
  readonly good: boolean;
  /** What was wrong with it. */
  readonly why: string;
}
const TRIAL = record<Trial>()({
  at: time,
  flare: oneOf(['double-flare-45', 'bubble', 'cone-37']),
  tubeId: ref('tube'),
  piece: oneOf(['test', 'end']),
  good: flag,
  why: note,
});
const corner = axes(-5000, 5000);
export const BENCH_SOLID = byKind<Solid>()('kind', {
  box: { name, minMm: corner, maxMm: corner },
  cylinder: { name, footMm: corner, radiusMm: over(5000), heightMm: over(5000) },
});
const AROUND = record<BenchSolids>()({
  solids: list(BENCH_SOLID, 30),
  lever: record<BenchSolids['lever']>()({
    lengthMm: number(0, 2000),
    wideMm: number(0, 500),
    highMm: number(0, 500),
  }),
});
export const TEST_BEND = record<TestBend>()({ dialDeg: over(200), gotDeg: over(180) });
export const BENDER = record<BenchBender>()(
  {
    id,
    name,
    kind: oneOf(['fixed', 'vice', 'hand']),
    tubeOdMm: over(100),
    around: optional(AROUND),
    dieRadiusMm: over(1000),
    referenceMm: number(-1000, 1000),
    clampSide: oneOf(['a', 'b']),
    leastFeedMm: number(0, 1000),
    shoeMm: number(0, 1000),
    testBends: list(TEST_BEND, 200),
  },
  { about: { kind: 'bender', prefix: 'bender', noun: 'bender', named: ({ name }) => name } },
);
export const FLARE_TOOL = record<FlareTool>()({
  clampMm: number(0, 1000),
  flareExtraMm: number(0, 100),
  owned: flag,
  provenOn: list(oneOf(['steel', 'copper-nickel', 'stainless', 'plain-copper', 'seam-steel']), 20),
});
export const ADAPTER = record<Adapter>()(
  {
    id,
    name,
    family: id,
    halves: list(HALF, 4, 1),
    material: oneOf(['brass', 'steel', 'aluminium', 'stainless']),
    costMinor: number(0, 1e9),
  },
  { about: { kind: 'adapter', prefix: 'adapter', noun: 'adapter', named: ({ name }) => name } },
);
/** What an adapter is rated for. */
export const RATING_MPA = over(200);
/** Length of a nut, mm. */
export const NUT_LENGTH = number(0, 1000);
export const BENCH = record<Bench>()({
  benders: list(BENDER, 100),
  flares: record<Bench['flares']>()({
    'double-flare-45': FLARE_TOOL,
    bubble: FLARE_TOOL,
    'cone-37': FLARE_TOOL,
  }),
  adapters: list(ADAPTER, 500),
  nutLengthMm: map(NUT_LENGTH),
  trimMm: number(0, 1000),
  ratingMPa: optional(map(RATING_MPA)),
  trials: optional(list(TRIAL, 2000)),
});

/** A bender of common make-up for one tube size; every figure is to be replaced by the user's own. Common practice. */
export const plainBender = (
  id: string,
  name: string,
  tubeOdMm: number,
  dieRadiusMm: number,
): BenchBender => ({
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
export function defaultBench(): Bench {
  const flare = (form: FlareForm): FlareTool => ({
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
    flares: {
      'double-flare-45': flare('double-flare-45'),
      bubble: flare('bubble'),
      'cone-37': flare('cone-37'),
    },
    adapters: [],
    nutLengthMm: {},
    trimMm: 20,
  };
}
