import { ATMOSPHERE_MPA, METRIC_QUANTITIES, type Quantities } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { diagnoseExpected, type Expected, type Excess } from './diagnose-expected.ts';
import { fit } from './fit.ts';
import { boreArea } from './types.ts';

export interface DiagnoseInput {
  readonly ratio: number;
  readonly boreMm: number;
  readonly travelSigmaMm?: number;
  readonly points: readonly { readonly pressureMPa: number; readonly travelMm: number }[];
  /** The pedal that was calculated without air: then the readings are held against it. */
  readonly expected?: Expected;
  /** Pressure at which what is too much is compared; with `expected` alone. */
  readonly referenceMPa?: number;
  /** Pedal travel that may be too much there, mm; with `expected` alone. */
  readonly limitMm?: number;
  /** How far the model itself may be off; with `expected` alone. Left out: gauge and model are taken as they are. */
  readonly doubt?: ModelDoubt;
}
/** What a fit is not sure of besides its readings. */
export interface ModelDoubt {
  /** The gauge's own error, one standard deviation. */
  readonly pressureSigmaMPa: number;
  /** The pressure at which pads settle, as a share of itself. */
  readonly padShare: number;
  /** How air is squeezed: 1 slowly, 1.4 with no time to cool; and how well that is known. */
  readonly polytropic: number;
  readonly polytropicSigma: number;
}
export type PedalVerdict = 'air' | 'flex' | 'free-play' | 'no-free-play' | 'firm' | 'cannot-tell';
export interface Diagnosis {
  readonly t0Mm: number;
  readonly flexMmPerMPa: number;
  readonly airMl: number;
  readonly rmsMm: number;
  readonly sigma: { readonly t0Mm: number; readonly flexMmPerMPa: number; readonly airMl: number };
  readonly verdict: PedalVerdict;
  /** Which reading would settle it, where it cannot be told. */
  readonly missing?: string;
  /** Over what was calculated, in mm of pedal at the reference pressure. */
  readonly excess?: Excess;
  readonly excessSigma?: Excess;
}

/** The pressure at which causes are compared: a hard stop. */
export const HARD_MPA = 7;
/** Pedal under which flex and air together are firm, free play beyond which it is the fault, and doubt beyond which nothing is said; mm. */
const LIMITS = { firmMm: 15, freePlayMm: 25, doubtMm: 10 };

/** The share of its volume that air loses under a pressure over the atmosphere; slowly, unless a polytropic exponent is given. Source: Boyle. */
export const squeezed = (pMPa: number, polytropic = 1): number =>
  1 - (ATMOSPHERE_MPA / (ATMOSPHERE_MPA + pMPa)) ** (1 / polytropic);

/** Which reading would settle it. */
export function missingReading(
  points: DiagnoseInput['points'],
  { pressure }: Pick<Quantities, 'pressure'>,
): string {
  const low = Math.min(...points.map(({ pressureMPa }) => pressureMPa));
  return low > 0.4
    ? `Take another reading under ${pressure(0.4, 2)}. The lowest is ${pressure(low, 2)}, and air only shows below that.`
    : `Take more readings at ${pressure(0.05, 2)} to ${pressure(0.4, 2)} and near ${pressure(HARD_MPA)}. These scatter too much to tell air from flex.`;
}

/**
 * Is a soft pedal air, flex or free play? Travel read at several pressures, fitted as
 * t0 + c·p + a·(1 − pa/(pa + p)), and where a calculated pedal is given, held against that. Throws InputError with fewer than four points or three pressures.
 * What is missing is said with pressures in the units of `quantities`, metric unless given.
 * Source: isothermal air and linear flex; ordinary least squares.
 */
export function diagnose(
  input: DiagnoseInput,
  quantities: Pick<Quantities, 'pressure'> = METRIC_QUANTITIES,
): Diagnosis {
  const { ratio, boreMm, travelSigmaMm = 0, points, expected } = input;
  if (points.length < 4)
    throw new InputError('points', `At least four readings needed; there are ${points.length}.`);
  const pressures = new Set(points.map((p) => p.pressureMPa));
  if (pressures.size < 3)
    throw new InputError(
      'points',
      `At least three different pressures needed; there are ${pressures.size}.`,
    );
  const mlPerMm = boreArea(boreMm) / ratio / 1000;
  if (expected) return diagnoseExpected({ ...input, expected }, mlPerMm, quantities);
  for (const path of ['referenceMPa', 'limitMm'] as const)
    if (input[path] !== undefined)
      throw new InputError(
        path,
        'It goes with “expected” only: without a calculated pedal there is nothing to compare.',
      );
  const { x, inverse } = fit(
    points.map((p) => [1, p.pressureMPa, squeezed(p.pressureMPa)] as const),
    points.map((p) => p.travelMm),
  );
  const [t0Mm, flexMmPerMPa, a] = x as [number, number, number];
  const squares = points.reduce(
    (sum, p) =>
      sum + (p.travelMm - t0Mm - flexMmPerMPa * p.pressureMPa - a * squeezed(p.pressureMPa)) ** 2,
    0,
  );
  const spread = Math.max(travelSigmaMm, Math.sqrt(squares / (points.length - 3)));
  const [s0, s1, s2] = inverse.map((row, i) => spread * Math.sqrt(row[i]!)) as [
    number,
    number,
    number,
  ];
  const costs = {
    'free-play': Math.max(t0Mm, 0),
    flex: Math.max(HARD_MPA * flexMmPerMPa, 0),
    air: Math.max(a * squeezed(HARD_MPA), 0),
  };
  const fitted = {
    t0Mm,
    flexMmPerMPa,
    airMl: a * mlPerMm,
    rmsMm: Math.sqrt(squares / points.length),
    sigma: { t0Mm: s0, flexMmPerMPa: s1, airMl: s2 * mlPerMm },
  };
  if (2 * s2 * squeezed(HARD_MPA) > LIMITS.doubtMm) {
    const missing = missingReading(points, quantities);
    return { ...fitted, verdict: 'cannot-tell', missing };
  }
  if (costs.flex + costs.air < LIMITS.firmMm)
    return { ...fitted, verdict: t0Mm > LIMITS.freePlayMm ? 'free-play' : 'firm' };
  const worst = (Object.keys(costs) as (keyof typeof costs)[]).reduce((m, k) =>
    costs[k] > costs[m] ? k : m,
  );
  return { ...fitted, verdict: worst };
}
