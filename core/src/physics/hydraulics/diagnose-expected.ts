import { InputError } from '../../lib/faults/index.ts';
import type { Quantities } from '../../lib/units/index.ts';
import {
  HARD_MPA,
  missingReading,
  squeezed,
  type DiagnoseInput,
  type Diagnosis,
  type PedalVerdict,
} from './diagnose.ts';
import { fit } from './fit.ts';

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
/** The model fitted to readings and to what was calculated, each by how well it is known: t0, c, s and a; air is never below nothing. */
function fitted({ points, travelSigmaMm, expected }: Held) {
  const weight = 1 / travelSigmaMm!;
  const { sigma, padMPa } = expected;
  const prior = [expected.t0Mm, expected.flexMmPerMPa, expected.padMm];
  const known = [sigma.t0Mm, sigma.flexMmPerMPa, sigma.padMm];
  const terms = (p: number): number[] => [1, p, settled(p, padMPa), squeezed(p)];
  const solve = (count: 3 | 4) =>
    fit(
      [
        ...points.map(({ pressureMPa }) =>
          terms(pressureMPa)
            .slice(0, count)
            .map((v) => v * weight),
        ),
        ...known.map((s, k) => Array.from({ length: count }, (_, j) => (j === k ? 1 / s : 0))),
      ],
      [...points.map(({ travelMm }) => travelMm * weight), ...prior.map((v, k) => v / known[k]!)],
    );
  const whole = solve(4);
  const airless = whole.x[3]! < 0 ? solve(3) : null;
  const x = airless ? [...airless.x, 0] : [...whole.x];
  const inverse = airless
    ? [...airless.inverse.map((row) => [...row, 0]), [0, 0, 0, 0]]
    : whole.inverse;
  const squares = points.reduce(
    (sum, { pressureMPa, travelMm }) =>
      sum + (travelMm - terms(pressureMPa).reduce((t, v, k) => t + v * x[k]!, 0)) ** 2,
    0,
  );
  return { x, inverse, rmsMm: Math.sqrt(squares / points.length) };
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
  const [q, k] = [settled(referenceMPa, expected.padMPa), squeezed(referenceMPa)];
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
