import { signedReadings, type Clr, type MadeBend, type Reading } from './shape.ts';
import { covariance, leastSquares, slopes } from './least-squares.ts';

/** How far a bend made by hand may be off: one sigma of mark, turn and angle. Common practice. */
export const SLIP = { markMm: 1, rotateDeg: 2, bendDeg: 1.5 };
/** Heights and arms this near nothing, in sigmas of what slips make of them, may lie on either side. */
const EITHER_SIDE_SIGMAS = 4;
/** So many of them are tried on both sides, all choices together. */
const MOST_DOUBTFUL = 6;

/** The tube on the bench and how it was read. */
export interface Measured {
  readonly clrMm: Clr;
  readonly odMm: number;
  readonly cutMm: number;
  readonly readings: readonly Reading[];
  readonly sigmaMm: number;
  /** How long the tube was at each reading, where that was not `cutMm`. */
  readonly cutsMm?: readonly number[];
}
/** The bends of a list of mark, turn and angle each. */
export const bendsOf = (x: readonly number[]): MadeBend[] =>
  Array.from({ length: x.length / 3 }, (_, i) => ({
    markMm: x[3 * i]!,
    rotateDeg: x[3 * i + 1]!,
    bendDeg: x[3 * i + 2]!,
  }));
export const listOf = (bends: readonly MadeBend[]): number[] =>
  bends.flatMap(({ markMm, rotateDeg, bendDeg }) => [markMm, rotateDeg, bendDeg]);
/** The first bend sets the plane: its turn is no unknown. */
const withPlane = (x: readonly number[]): MadeBend[] => bendsOf([x[0]!, 0, ...x.slice(1)]);

/** All choices of a sign for each place: as planned first, then with the doubtful ones on the other side. */
function* sides(
  planned: readonly (readonly number[])[],
  isDoubtful: (bend: number, which: number) => boolean,
): Generator<number[][]> {
  const doubtful = planned
    .flatMap((pair, i) => pair.flatMap((_, k) => (isDoubtful(i, k) ? [[i, k] as const] : [])))
    .slice(0, MOST_DOUBTFUL);
  for (let mask = 0; mask < 2 ** doubtful.length; mask++)
    yield planned.map((pair, i) =>
      pair.map((mm, k) => {
        const bit = doubtful.findIndex(([at, which]) => at === i && which === k);
        return (mm < 0 ? -1 : 1) * (bit >= 0 && mask & (1 << bit) ? -1 : 1);
      }),
    );
}

/**
 * The most probable bends given what was aimed at and what the tape read after each, and what that
 * leaves unsure (covariance of mark, turn and angle of each bend, in that order).
 * Source: maximum a posteriori estimate, slips and readings independent and normal.
 */
export function madeBends(
  aimed: readonly MadeBend[],
  { clrMm, odMm, cutMm, readings, sigmaMm, cutsMm }: Measured,
) {
  const readAll = (bends: readonly MadeBend[]) =>
    signedReadings(bends, clrMm, (k) => cutsMm?.[k] ?? cutMm);
  const residuals = (x: readonly number[], signs: number[][] | null): number[] => {
    const bends = withPlane(x);
    const all = readAll(bends);
    const side = (mm: number, k: number, which: number): number =>
      signs ? signs[k]![which]! * mm : Math.abs(mm);
    return [
      ...readings.flatMap(({ endToBendMm, heightMm, tipToTipMm }, k) => {
        const [across, height, tip] = all[k]!;
        return [
          side(across, k, 0) + odMm / 2 - endToBendMm,
          side(height, k, 1) - heightMm,
          tip - tipToTipMm,
        ].map((v) => v / sigmaMm);
      }),
      ...bends.flatMap((bend, k) => {
        const aim = aimed[k]!;
        return [
          (bend.markMm - aim.markMm) / SLIP.markMm,
          (bend.rotateDeg - aim.rotateDeg) / SLIP.rotateDeg,
          (bend.bendDeg - aim.bendDeg) / SLIP.bendDeg,
        ];
      }),
    ];
  };
  const start = listOf(aimed).filter((_, i) => i !== 1);
  const sidesOf = (x: readonly number[]): number[][] =>
    readAll(withPlane(x)).map(([across, height]) => [across, height]);
  /** What slips make of each reading, one sigma: where that leaves its side open, both are tried. */
  const slip = [
    SLIP.markMm,
    SLIP.bendDeg,
    ...aimed.slice(1).flatMap(() => [SLIP.markMm, SLIP.rotateDeg, SLIP.bendDeg]),
  ];
  const by = slopes((x) => sidesOf(x).flat(), start);
  const unsureMm = (i: number): number =>
    Math.hypot(...by.map((column, k) => column[i]! * slip[k]!));
  const aimedSides = sidesOf(start);
  // What the first bend's height is does not hang on any slip: it has no side.
  const isDoubtful = (bend: number, which: number): boolean =>
    bend + which > 0 &&
    !(bend === 0 && which === 1) &&
    Math.abs(aimedSides[bend]![which]!) < EITHER_SIDE_SIGMAS * unsureMm(2 * bend + which);
  let best = { x: start, sum: Infinity };
  for (const signs of sides(aimedSides, isDoubtful)) {
    // The signs lead to the side; where that is left on the way, the readings are taken as they are, without sign.
    const led = leastSquares((x) => residuals(x, signs), start);
    const stays = sidesOf(led.x).every((pair, i) =>
      pair.every((mm, k) => mm * signs[i]![k]! >= 0 || (i === 0 && k === 1)),
    );
    const found = stays ? led : leastSquares((x) => residuals(x, null), led.x);
    if (found.sum < best.sum - 1e-9) best = found;
  }
  return {
    bends: withPlane(best.x),
    covariance: () => covariance((x) => residuals(x, null), best.x),
  };
}
