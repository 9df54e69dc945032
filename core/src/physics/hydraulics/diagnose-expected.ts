import { ATMOSPHERE_MPA, type Quantities } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import {
  HARD_MPA,
  missingReading,
  squeezed,
  type DiagnoseInput,
  type Diagnosis,
  type PedalVerdict,
} from './diagnose.ts';
import { fit, type Fitted } from './fit.ts';

/** A pedal as it was calculated without air: t0 + c·p + s·(1 − e^(−p/p0)), and how well each is known. */
export interface Expected {
  readonly t0Mm: number;
  readonly flexMmPerMPa: number;
  /** Pads and seals that give at low pressure, and the pressure by which most of it is given. */
  readonly padMm: number;
  readonly padMPa: number;
  readonly sigma: { readonly t0Mm: number; readonly flexMmPerMPa: number; readonly padMm: number };
}
/** What pads and seals have given of all that they give. */
const settled = (pMPa: number, padMPa: number): number => 1 - Math.exp(-pMPa / padMPa);
/** Travel of the calculated pedal at a pressure, mm. */
export const expectedTravelMm = (
  { t0Mm, flexMmPerMPa, padMm, padMPa }: Expected,
  pMPa: number,
): number => t0Mm + flexMmPerMPa * pMPa + padMm * settled(pMPa, padMPa);

/** Travel by cause, mm of pedal. */
export interface Excess {
  readonly freeMm: number;
  readonly flexMm: number;
  readonly airMm: number;
}
/** Travel over the calculated pedal that is worth looking for, mm, where nobody says otherwise. Ours, said to be a judgement. */
const LIMIT_MM = 8;

type Held = DiagnoseInput & { readonly expected: Expected };
/** One term of travel: how it goes with pressure, and where it is known beforehand, its value and how well. */
interface Term {
  readonly at: (pMPa: number) => number;
  readonly known?: { readonly value: number; readonly sigma: number };
}
/** What is not known of the shape of the terms themselves, as terms of their own that are nothing at best. */
function shapeTerms({ expected, doubt }: Held, padMm: number, airMm: number): readonly Term[] {
  if (!doubt) return [];
  const { padMPa } = expected;
  const unsure = (at: Term['at'], sigma: number): Term => ({ at, known: { value: 0, sigma } });
  return [
    unsure((p) => (-p / padMPa) * Math.exp(-p / padMPa), doubt.padShare * Math.max(1, padMm)),
    ...(airMm > 0
      ? [
          unsure((p) => {
            const left = ATMOSPHERE_MPA / (ATMOSPHERE_MPA + p);
            return left ** (1 / doubt.polytropic) * (Math.log(left) / doubt.polytropic ** 2);
          }, doubt.polytropicSigma * airMm),
        ]
      : []),
  ];
}
/** Rounds in which the doubt of shape and gauge follow from the fit before. */
const ROUNDS = 4;
/** The model fitted to readings and to what was calculated, each by how well it is known: t0, c, s and a; air is never below nothing. */
function fitted(input: Held) {
  const { points, travelSigmaMm, expected, doubt } = input;
  const { sigma, padMPa } = expected;
  const known = (value: number, by: number): Term['known'] => ({ value, sigma: by });
  const first: readonly Term[] = [
    { at: () => 1, known: known(expected.t0Mm, sigma.t0Mm) },
    { at: (p) => p, known: known(expected.flexMmPerMPa, sigma.flexMmPerMPa) },
    { at: (p) => settled(p, padMPa), known: known(expected.padMm, sigma.padMm) },
  ];
  const air: Term = { at: (p) => squeezed(p, doubt?.polytropic) };
  /** How steeply travel goes with pressure: by that a gauge that is off moves a reading. */
  const steepness = (x: readonly number[], p: number): number => {
    const step = 0.02;
    const travel = (at: number): number =>
      [...first, air].reduce((sum, term, k) => sum + x[k]! * term.at(Math.max(0, at)), 0);
    return Math.abs(travel(p + step) - travel(p - step)) / (2 * step);
  };
  const solve = (terms: readonly Term[], x: readonly number[] | null): Fitted => {
    const weights = points.map(
      ({ pressureMPa: p }) =>
        1 /
        (doubt && x
          ? Math.hypot(travelSigmaMm!, doubt.pressureSigmaMPa * steepness(x, p))
          : travelSigmaMm!),
    );
    const priors = terms.flatMap(({ known: is }, k) => (is ? [{ ...is, k }] : []));
    return fit(
      [
        ...points.map(({ pressureMPa }, i) => terms.map(({ at }) => at(pressureMPa) * weights[i]!)),
        ...priors.map(({ k, sigma: by }) => terms.map((_, j) => (j === k ? 1 / by : 0))),
      ],
      [
        ...points.map(({ travelMm }, i) => travelMm * weights[i]!),
        ...priors.map(({ value, sigma: by }) => value / by),
      ],
    );
  };
  let x: number[] | null = null;
  let inverse: number[][] = [];
  for (let round = 0; round < (doubt ? ROUNDS : 1); round++) {
    const shape = x ? shapeTerms(input, x[2]!, x[3]!) : [];
    const whole: Fitted = solve([...first, air, ...shape], x);
    const airless: Fitted | null =
      whole.x[3]! < 0 ? solve([...first, ...(x ? shapeTerms(input, x[2]!, 0) : [])], x) : null;
    const found: Fitted = airless ?? whole;
    x = airless ? [...found.x.slice(0, 3), 0] : found.x.slice(0, 4);
    inverse = [0, 1, 2, 3].map((i) =>
      [0, 1, 2, 3].map((j) => (airless && (i === 3 || j === 3) ? 0 : found.inverse[i]![j]!)),
    );
  }
  const squares = points.reduce(
    (sum, { pressureMPa, travelMm }) =>
      sum +
      (travelMm - [...first, air].reduce((t, { at }, k) => t + at(pressureMPa) * x![k]!, 0)) ** 2,
    0,
  );
  return { x: x!, inverse, rmsMm: Math.sqrt(squares / points.length) };
}

/** Which part is too much beyond its doubt; parts never cancel one another. */
function verdictOf(excess: Excess, sigma: Excess, limitMm: number): PedalVerdict {
  if (excess.freeMm + 2 * sigma.freeMm < 0) return 'no-free-play';
  const sure = [
    ['free-play', excess.freeMm - 2 * sigma.freeMm],
    ['flex', excess.flexMm - 2 * sigma.flexMm],
    ['air', excess.airMm - 2 * sigma.airMm],
  ] as const;
  const most = sure.reduce((a, b) => (b[1] > a[1] ? b : a));
  if (most[1] > limitMm) return most[0];
  const within = Object.values(excess).every((mm) => mm <= limitMm);
  return within && excess.airMm + 2 * sigma.airMm <= limitMm ? 'firm' : 'cannot-tell';
}

/**
 * A pedal held against what was calculated: what is over in free play, flex and air at the reference pressure, each with
 * its standard deviation, mm of pedal. Throws InputError where it is not said how well travel is known.
 * Source: least squares with priors (Gauss–Markov); isothermal air.
 */
export function diagnoseExpected(
  input: Held,
  mlPerMm: number,
  quantities: Pick<Quantities, 'pressure'>,
): Diagnosis {
  const { travelSigmaMm, expected, points, referenceMPa = HARD_MPA, limitMm = LIMIT_MM } = input;
  if (!travelSigmaMm)
    throw new InputError(
      'travelSigmaMm',
      'Held against a calculated pedal, it must be known how well travel is read: 1 mm where nothing better is known.',
    );
  const { x, inverse, rmsMm } = fitted(input);
  const [t0Mm, flexMmPerMPa, padMm, a] = x as [number, number, number, number];
  const { sigma } = expected;
  const [q, k] = [
    settled(referenceMPa, expected.padMPa),
    squeezed(referenceMPa, input.doubt?.polytropic),
  ];
  const variance = (i: number, j: number): number => inverse[i]![j]!;
  const excess: Excess = {
    freeMm: t0Mm - expected.t0Mm,
    flexMm: referenceMPa * (flexMmPerMPa - expected.flexMmPerMPa) + q * (padMm - expected.padMm),
    airMm: a * k,
  };
  const excessSigma: Excess = {
    freeMm: Math.sqrt(variance(0, 0) + sigma.t0Mm ** 2),
    flexMm: Math.sqrt(
      referenceMPa ** 2 * variance(1, 1) +
        2 * referenceMPa * q * variance(1, 2) +
        q * q * variance(2, 2) +
        (referenceMPa * sigma.flexMmPerMPa) ** 2 +
        (q * sigma.padMm) ** 2,
    ),
    airMm: k * Math.sqrt(variance(3, 3)),
  };
  const verdict = verdictOf(excess, excessSigma, limitMm);
  return {
    t0Mm,
    flexMmPerMPa,
    airMl: a * mlPerMm,
    rmsMm,
    sigma: {
      t0Mm: Math.sqrt(variance(0, 0)),
      flexMmPerMPa: Math.sqrt(variance(1, 1)),
      airMl: Math.sqrt(variance(3, 3)) * mlPerMm,
    },
    verdict,
    ...(verdict === 'cannot-tell' ? { missing: missingReading(points, quantities) } : {}),
    excess,
    excessSigma,
  };
}
