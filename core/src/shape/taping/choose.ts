import { distance, sub, unit, type Vec3 } from '../../lib/vec/index.ts';
import { DEFAULT_TAPE_SIGMA_MM, invert, type Sym3 } from '../survey/index.ts';

/** A place that a tape can be hooked to. */
export interface Hook {
  readonly id: string;
  readonly atMm: Vec3;
  /** One standard deviation, all round. */
  readonly sigmaMm: number;
}
export interface Choice {
  readonly ids: readonly string[];
  /** The least sure axis of the place taped from these, 1σ. */
  readonly sigmaMm: number;
}
/** Tapes that are pulled alone or by two are no longer than this. Common practice. */
const REACH_MM = 5000;
/** The nearest so many are tried with one another. */
const MOST = 16;

/** How sure a place would be, by its least sure axis, taped once from each of these; infinite where they do not fix it. Source: inverse of the normal matrix, as for `survey`. */
export function predictedSigmaMm(
  atMm: Vec3,
  hooks: readonly Hook[],
  tapeSigmaMm = DEFAULT_TAPE_SIGMA_MM,
): number {
  const n: [number, number, number, number, number, number] = [0, 0, 0, 0, 0, 0];
  for (const hook of hooks) {
    const [x, y, z] = unit(sub(atMm, hook.atMm)) ?? [0, 0, 0];
    const w = 1 / (tapeSigmaMm ** 2 + hook.sigmaMm ** 2);
    [x * x, x * y, x * z, y * y, y * z, z * z].forEach((v, i) => (n[i]! += w * v));
  }
  const inverse = invert(n as Sym3);
  const most = inverse ? Math.max(inverse[0], inverse[3], inverse[5]) : Infinity;
  return inverse && inverse[0] > 0 && inverse[3] > 0 && inverse[5] > 0 && Number.isFinite(most)
    ? Math.sqrt(most)
    : Infinity;
}

function* picks<T>(from: readonly T[], count: number, start = 0): Generator<T[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let i = start; i <= from.length - count; i++)
    for (const rest of picks(from, count - 1, i + 1)) yield [from[i]!, ...rest];
}

/** The `count` hooks within a tape's reach that fix a place best; null where none do. Fewer millimeters of tape break a tie. */
export function bestHooks(
  atMm: Vec3,
  hooks: readonly Hook[],
  count = 3,
  with_: readonly Hook[] = [],
): Choice | null {
  const near = hooks
    .filter(
      (one) =>
        !with_.includes(one) &&
        distance(one.atMm, atMm) <= REACH_MM &&
        distance(one.atMm, atMm) > 1,
    )
    .sort((a, b) => distance(a.atMm, atMm) - distance(b.atMm, atMm))
    .slice(0, MOST);
  let best: (Choice & { readonly longMm: number }) | null = null;
  for (const pick of picks(near, count)) {
    const sigmaMm = predictedSigmaMm(atMm, [...with_, ...pick]);
    const longMm = pick.reduce((sum, one) => sum + distance(one.atMm, atMm), 0);
    if (!Number.isFinite(sigmaMm)) continue;
    if (
      !best ||
      sigmaMm < best.sigmaMm - 1e-6 ||
      (sigmaMm <= best.sigmaMm + 1e-6 && longMm < best.longMm)
    )
      best = { ids: pick.map(({ id }) => id), sigmaMm, longMm };
  }
  return best && { ids: best.ids, sigmaMm: best.sigmaMm };
}
