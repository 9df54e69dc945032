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
  choice,
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
  told,
  noted,
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
  at: told('Time', noted(time)),
  flare: told('Flare', oneOf(['double-flare-45', 'bubble', 'cone-37'])),
  tubeId: told('Tube', ref('tube')),
  piece: told('Piece', oneOf(['test', 'end'])),
  good: told('Good', flag),
  why: told('What was wrong', note),
});
const corner = axes(-5000, 5000);
export const BENCH_SOLID = byKind<Solid>()('kind', {
  box: { name, minMm: told('Lower corner', corner), maxMm: told('Upper corner', corner) },
  cylinder: {
    name,
    footMm: told('Foot', corner),
    radiusMm: told('Radius', over(5000)),
    heightMm: told('Height', over(5000)),
  },
});
export const BENCH_LEVER = record<BenchSolids['lever']>()({
  lengthMm: told('Lever, length', number(0, 2000)),
  wideMm: told('Lever, width', number(0, 500)),
  highMm: told('Lever, height', number(0, 500)),
});
const AROUND = record<BenchSolids>()({
  solids: told('Around the die', list(BENCH_SOLID, 30)),
  lever: told('Lever', BENCH_LEVER),
});
export const TEST_BEND = record<TestBend>()({
  dialDeg: told('Dialed', over(200)),
  gotDeg: told('Kept', over(180)),
});
export const BENDER = record<BenchBender>()(
  {
    id,
    name,
    kind: told(
      'How it turns',
      choice({
        fixed: 'On the bench: the tube is turned',
        vice: 'In a vise, with a lever: the tube is turned',
        hand: 'Hand bender: it is turned round the tube',
      }),
    ),
    tubeOdMm: told('Tube diameter', over(100)),
    around: told('Around the die', optional(AROUND)),
    dieRadiusMm: told('Die radius, center line', over(1000), { digits: 2 }),
    referenceMm: told('Die mark to tangent', number(-1000, 1000), { digits: 2 }),
    clampSide: told(
      'Clamp holds the side of',
      choice({
        a: 'End A: the mark lies before the bend',
        b: 'End B: the mark lies behind the bend',
      }),
    ),
    leastFeedMm: told('Least straight between bends', number(0, 1000)),
    shoeMm: told('Straight the shoe needs', number(0, 1000)),
    testBends: told('Test bends', list(TEST_BEND, 200)),
  },
  { about: { kind: 'bender', prefix: 'bender', noun: 'bender', named: ({ name }) => name } },
);
export const FLARE_TOOL = record<FlareTool>()({
  clampMm: told('clamp grips', number(0, 1000)),
  flareExtraMm: told('tube used', number(0, 100)),
  owned: told('Tool on the bench', flag),
  provenOn: told(
    'Test pieces held in',
    list(oneOf(['steel', 'copper-nickel', 'stainless', 'plain-copper', 'seam-steel']), 20),
  ),
});
export const ADAPTER = record<Adapter>()(
  {
    id,
    name,
    family: told('Family', id),
    halves: told('Ends', list(HALF, 4, 1)),
    material: told('Material', oneOf(['brass', 'steel', 'aluminum', 'stainless'])),
    costMinor: told('Price', number(0, 1e9)),
  },
  { about: { kind: 'adapter', prefix: 'adapter', noun: 'adapter', named: ({ name }) => name } },
);
/** What an adapter is rated for. */
export const RATING_MPA = told('Rated pressure', over(200), { unit: 'MPa' });
/** Length of a nut, mm. */
export const NUT_LENGTH = told('Length of nut', number(0, 1000), {
  unit: 'length',
  usual: [1, 1000],
});
export const BENCH = record<Bench>()({
  benders: told('Benders', list(BENDER, 100)),
  flares: told(
    'Flare tools',
    record<Bench['flares']>()({
      'double-flare-45': told('45° double flare', FLARE_TOOL),
      bubble: told('Bubble flare', FLARE_TOOL),
      'cone-37': told('37° flare', FLARE_TOOL),
    }),
  ),
  adapters: told('Adapters', list(ADAPTER, 500)),
  nutLengthMm: told('Length of nuts', map(NUT_LENGTH)),
  trimMm: told('Trim left at B', number(0, 1000)),
  ratingMPa: told('Adapter ratings', optional(map(RATING_MPA))),
  trials: told('Test flares', optional(list(TRIAL, 2000))),
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
