import { ATMOSPHERE_MPA, METRIC_QUANTITIES, type Quantities } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { boreArea } from './types.ts';

export interface DiagnoseInput {
  readonly ratio: number;
  readonly boreMm: number;
  readonly travelSigmaMm?: number;
  readonly points: readonly { readonly pressureMPa: number; readonly travelMm: number }[];
}
export type PedalVerdict = 'air' | 'flex' | 'free-play' | 'firm' | 'cannot-tell';
export interface Diagnosis {
  readonly t0Mm: number;
  readonly flexMmPerMPa: number;
  readonly airMl: number;
  readonly rmsMm: number;
  readonly sigma: { readonly t0Mm: number; readonly flexMmPerMPa: number; readonly airMl: number };
  readonly verdict: PedalVerdict;
  /** Which reading would settle it, where it cannot be told. */
  readonly missing?: string;
}

/** The pressure at which causes are compared: a hard stop. */
const HARD_MPA = 7;
/** Pedal under which flex and air together are firm, free play beyond which it is the fault, and doubt beyond which nothing is said; mm. */
const LIMITS = { firmMm: 15, freePlayMm: 25, doubtMm: 10 };

const squeezed = (pMPa: number): number => 1 - ATMOSPHERE_MPA / (ATMOSPHERE_MPA + pMPa);

/** Least squares of n×3 by Gram–Schmidt, twice for its rounding: the three unknowns and the inverse of the normal matrix's diagonal. */
function fit(
  rows: readonly (readonly [number, number, number])[],
  right: readonly number[],
): { x: number[]; inverse: number[] } {
  const q = [0, 1, 2].map((k) => rows.map((row) => row[k]!));
  const r = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  const dot = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, v, i) => sum + v * b[i]!, 0);
  for (let k = 0; k < 3; k++) {
    for (let pass = 0; pass < 2; pass++) {
      for (let j = 0; j < k; j++) {
        const share = dot(q[j]!, q[k]!);
        r[j]![k]! += share;
        q[k] = q[k]!.map((v, i) => v - share * q[j]![i]!);
      }
    }
    r[k]![k] = Math.sqrt(dot(q[k]!, q[k]!));
    q[k] = q[k]!.map((v) => v / r[k]![k]!);
  }
  const y = q.map((column) => dot(column, right));
  const solve = (b: readonly number[]): number[] => {
    const x = [0, 0, 0];
    for (let k = 2; k >= 0; k--)
      x[k] =
        (b[k]! - [0, 1, 2].slice(k + 1).reduce((sum, j) => sum + r[k]![j]! * x[j]!, 0)) / r[k]![k]!;
    return x;
  };
  // (RᵀR)⁻¹ = R⁻¹·R⁻ᵀ: its diagonal is the squared rows of R⁻¹.
  const columns = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ].map(solve);
  return {
    x: solve(y),
    inverse: [0, 1, 2].map((k) => columns.reduce((sum, column) => sum + column[k]! ** 2, 0)),
  };
}

/**
 * Is a soft pedal air, flex or free play? Travel read at several pressures, fitted as
 * t0 + c·p + a·(1 − pa/(pa + p)). Throws InputError with fewer than four points or three pressures.
 * What is missing is said with pressures in the units of `quantities`, metric unless given.
 * Source: isothermal air and linear flex; ordinary least squares.
 */
export function diagnose(
  { ratio, boreMm, travelSigmaMm = 0, points }: DiagnoseInput,
  { pressure }: Pick<Quantities, 'pressure'> = METRIC_QUANTITIES,
): Diagnosis {
  if (points.length < 4)
    throw new InputError('points', `At least four readings needed; there are ${points.length}.`);
  const pressures = new Set(points.map((p) => p.pressureMPa));
  if (pressures.size < 3)
    throw new InputError(
      'points',
      `At least three different pressures needed; there are ${pressures.size}.`,
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
  const [s0, s1, s2] = inverse.map((v) => spread * Math.sqrt(v)) as [number, number, number];
  const mlPerMm = boreArea(boreMm) / ratio / 1000;
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
    const low = Math.min(...pressures);
    const missing =
      low > 0.4
        ? `Take another reading under ${pressure(0.4, 2)}. The lowest is ${pressure(low, 2)}, and air only shows below that.`
        : `Take more readings at ${pressure(0.05, 2)} to ${pressure(0.4, 2)} and near ${pressure(HARD_MPA)}. These scatter too much to tell air from flex.`;
    return { ...fitted, verdict: 'cannot-tell', missing };
  }
  if (costs.flex + costs.air < LIMITS.firmMm)
    return { ...fitted, verdict: t0Mm > LIMITS.freePlayMm ? 'free-play' : 'firm' };
  const worst = (Object.keys(costs) as (keyof typeof costs)[]).reduce((m, k) =>
    costs[k] > costs[m] ? k : m,
  );
  return { ...fitted, verdict: worst };
}
