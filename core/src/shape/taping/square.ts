import { InputError } from '../../lib/faults/index.ts';
import { SPANS, type Corner, type Span } from '../survey/index.ts';
import { inverseOf, timesVector } from './dense.ts';
import {
  moved,
  type Unknowns,
  cornersOf,
  type Point,
  type SquareInput,
  fitRectangle,
  normalOf,
  costOf,
} from './square-fit.ts';

type Flat = 'flat' | 'twisted' | 'cannot-tell';
export interface Square {
  /** [x, y], x rearward, from the front left. */
  readonly cornersMm: Readonly<Record<Corner, readonly [number, number]>>;
  /** Read less fitted. */
  readonly residualsMm: Readonly<Record<Span, number>>;
  readonly misfit: number;
  readonly rackMm: number;
  readonly rackSigmaMm: number;
  readonly taperMm: number;
  readonly verdict: 'tapes-disagree' | 'square' | 'racked' | 'cannot-tell';
  readonly twistMm: number | null;
  readonly twistSigmaMm: number | null;
  readonly flat: Flat | null;
}
/** What one reading of the six could be wrong by. */
export interface Slip {
  /** Slip of this reading that alone would explain the misfit. */
  readonly explainsMm: number;
  /** Slip of it that would stay unseen. */
  readonly unseenMm: number;
}

/** Standardized misfit past which the tapes disagree, 0.1 % two-sided. Source: Baarda (1968), from memory. */
const DISAGREE = 3.29;

/** Half the difference by which the right rail lies further back, along the frame's own middle line. */
function diagonalDifference(at: Unknowns): number {
  const { frontLeft, frontRight, rearRight, rearLeft } = cornersOf(at);
  const mid = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const [front, rear, left, right] = [
    mid(frontLeft, frontRight),
    mid(rearLeft, rearRight),
    mid(frontLeft, rearLeft),
    mid(frontRight, rearRight),
  ];
  const along = [rear[0] - front[0], rear[1] - front[1]] as const;
  return ((right[0] - left[0]) * along[0] + (right[1] - left[1]) * along[1]) / Math.hypot(...along);
}
/** Its slopes along the unknowns, by differences to both sides. */
const rackSlopes = (at: Unknowns): number[] =>
  at.map((_, i) => {
    const by = (h: number): number => diagonalDifference(moved(at, (k) => (k === i ? h : 0)));
    return (by(1e-3) - by(-1e-3)) / 2e-3;
  });

/** By a value, its sigma and the most it may be: within it, beyond it, or not to be told. */
const decide = <Y, N>(
  value: number,
  sigma: number,
  limit: number,
  yes: Y,
  no: N,
): Y | N | 'cannot-tell' =>
  Math.abs(value) + 2 * sigma <= limit
    ? yes
    : Math.abs(value) - 2 * sigma > limit
      ? no
      : 'cannot-tell';

/**
 * Whether a frame is square, from the six distances between four marks, and flat, from their heights.
 * Six readings, five unknowns: they can be seen to disagree, but not which of them is wrong; tapes alone
 * cannot see twist. Throws InputError at `readMm` where no frame laid flat has these lengths.
 */
export function square({
  readMm,
  sigmaMm = 2,
  rackLimitMm = 3,
  heightsMm = null,
  heightSigmaMm = 1,
  twistLimitMm = 5,
}: SquareInput): Square {
  const fit = fitRectangle(readMm);
  const inverse = inverseOf(normalOf(fit.slopes));
  if (!inverse)
    throw new InputError(
      'readMm',
      'These readings put all corners in one line, so nothing can be checked.',
    );
  const slopes = rackSlopes(fit.at);
  const rackMm = diagonalDifference(fit.at);
  const rackSigmaMm =
    sigmaMm *
    Math.sqrt(slopes.reduce((sum, s, i) => sum + s * timesVector(inverse, slopes)[i]!, 0));
  const misfit = Math.sqrt(costOf(fit.residuals)) / sigmaMm;
  const residualsMm = Object.fromEntries(
    SPANS.map((span, i) => [span, fit.residuals[i]!]),
  ) as Record<Span, number>;
  const twistMm =
    heightsMm &&
    heightsMm.frontLeft - heightsMm.frontRight - heightsMm.rearLeft + heightsMm.rearRight;
  return {
    cornersMm: cornersOf(fit.at),
    residualsMm,
    misfit,
    rackMm,
    rackSigmaMm,
    taperMm: readMm.rear - residualsMm.rear - (readMm.front - residualsMm.front),
    verdict:
      misfit > DISAGREE
        ? 'tapes-disagree'
        : decide(rackMm, rackSigmaMm, rackLimitMm, 'square' as const, 'racked' as const),
    twistMm,
    twistSigmaMm: twistMm === null ? null : 2 * heightSigmaMm,
    flat:
      twistMm === null
        ? null
        : decide(twistMm, 2 * heightSigmaMm, twistLimitMm, 'flat' as const, 'twisted' as const),
  };
}

/** For each reading, the slip that alone would explain the misfit, and the slip that would stay unseen. Source: reliability of networks, Baarda (1968), from memory. */
export function suspectTapes({ readMm, sigmaMm = 2 }: SquareInput): Record<Span, Slip> {
  const fit = fitRectangle(readMm);
  const inverse = inverseOf(normalOf(fit.slopes))!;
  return Object.fromEntries(
    SPANS.map((span, i): [Span, Slip] => {
      const row = fit.slopes[i]!;
      const redundancy = 1 - row.reduce((sum, s, k) => sum + s * timesVector(inverse, row)[k]!, 0);
      return [
        span,
        {
          explainsMm: fit.residuals[i]! / redundancy,
          unseenMm: (DISAGREE * sigmaMm) / Math.sqrt(redundancy),
        },
      ];
    }),
  ) as Record<Span, Slip>;
}
