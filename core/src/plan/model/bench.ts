import { FLARES, type Adapter, type FlareForm, type TubeMaterial } from '../../stock/index.ts';
import type { Bender, TestBend } from '../../tube/index.ts';
import { flag, id, list, map, name, number, oneOf, optional, over, record } from './field.ts';
import { HALF } from './port.ts';

export interface BenchBender extends Bender {
  readonly id: string;
  readonly name: string;
  /** A bender that stays put turns the tube; a hand bender is turned round the tube. */
  readonly kind: 'fixed' | 'hand';
  readonly tubeOdMm: number;
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
  /** What adapters are rated for by their maker's sheet, by adapter id; those that are not there were not looked up. */
  readonly ratingMPa?: Readonly<Record<string, number>>;
}

export const TEST_BEND = record<TestBend>()({ dialDeg: over(200), gotDeg: over(180) });
export const BENDER = record<BenchBender>()(
  {
    id,
    name,
    kind: oneOf(['fixed', 'hand']),
    tubeOdMm: over(100),
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
  flares: record<Bench['flares']>()({ 'double-flare-45': FLARE_TOOL, bubble: FLARE_TOOL, 'cone-37': FLARE_TOOL }),
  adapters: list(ADAPTER, 500),
  nutLengthMm: map(NUT_LENGTH),
  trimMm: number(0, 1000),
  ratingMPa: optional(map(RATING_MPA)),
});

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
    flares: { 'double-flare-45': flare('double-flare-45'), bubble: flare('bubble'), 'cone-37': flare('cone-37') },
    adapters: [],
    nutLengthMm: {},
    trimMm: 20,
  };
}
