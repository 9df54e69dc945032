import { figure, InputError } from '../../lib/faults/index.ts';
import { SPANS, type Corner, type Span } from '../survey/index.ts';
import { inverseOf, timesVector } from './dense.ts';

const ENDS: Record<Span, readonly [Corner, Corner]> = {
  front: ['frontLeft', 'frontRight'],
  rear: ['rearLeft', 'rearRight'],
  left: ['frontLeft', 'rearLeft'],
  right: ['frontRight', 'rearRight'],
  diagonalLeft: ['frontLeft', 'rearRight'],
  diagonalRight: ['frontRight', 'rearLeft'],
};
export interface SquareInput {
  readonly readMm: Readonly<Record<Span, number>>;
  readonly sigmaMm?: number;
  readonly rackLimitMm?: number;
  readonly heightsMm?: Readonly<Record<Corner, number>> | null;
  readonly heightSigmaMm?: number;
  readonly twistLimitMm?: number;
}
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
/** No six readings of one figure miss by more. Contract of the verb. */
const MOST_OFF_MM = 100;
const STEP_MM = 1e-9;
const MOST_ROUNDS = 500;
/** Corners this near to one line, by the height over the longest side, lie in it, mm. */
const IN_LINE_MM = 1e-3;

/** Unknowns: y of the front right, x and y of both rear corners. */
type Unknowns = readonly [number, number, number, number, number];
const cornersOf = ([y, xr, yr, xl, yl]: Unknowns): Record<Corner, readonly [number, number]> => ({
  frontLeft: [0, 0],
  frontRight: [0, y],
  rearRight: [xr, yr],
  rearLeft: [xl, yl],
});
/** Where the unknowns of a corner begin, by axis; null where it is held. */
const AT: Record<Corner, readonly [number | null, number | null]> = {
  frontLeft: [null, null],
  frontRight: [null, 0],
  rearRight: [1, 2],
  rearLeft: [3, 4],
};

interface Fit {
  readonly at: Unknowns;
  readonly residuals: readonly number[];
  /** Rows of the six distances' slopes. */
  readonly slopes: readonly (readonly number[])[];
  readonly converged: boolean;
}
function residualsAt(
  at: Unknowns,
  readMm: SquareInput['readMm'],
): Pick<Fit, 'residuals' | 'slopes'> {
  const corners = cornersOf(at);
  const rows = SPANS.map((span) => {
    const [from, to] = ENDS[span];
    const across = [0, 1].map((axis) => corners[to][axis]! - corners[from][axis]!);
    const long = Math.hypot(...across);
    const slope = [0, 0, 0, 0, 0];
    for (const axis of [0, 1]) {
      const [a, b] = [AT[from][axis]!, AT[to][axis]!];
      if (a !== null) slope[a]! -= across[axis]! / (long || 1);
      if (b !== null) slope[b]! += across[axis]! / (long || 1);
    }
    return { residual: readMm[span] - long, slope };
  });
  return {
    residuals: rows.map(({ residual }) => residual),
    slopes: rows.map(({ slope }) => slope),
  };
}
const normalOf = (slopes: Fit['slopes'], lift = 0): number[][] =>
  [0, 1, 2, 3, 4].map((i) =>
    [0, 1, 2, 3, 4].map((k) =>
      slopes.reduce((sum, row) => sum + row[i]! * row[k]!, i === k ? lift : 0),
    ),
  );
const costOf = (residuals: readonly number[]): number =>
  residuals.reduce((sum, v) => sum + v * v, 0);

/** Damped least squares from one start (Levenberg and Marquardt). */
function fitted(start: Unknowns, readMm: SquareInput['readMm']): Fit {
  let at = start;
  let seen = residualsAt(at, readMm);
  let damping = 1e-9;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const inverse = inverseOf(normalOf(seen.slopes, damping));
    const right = [0, 1, 2, 3, 4].map((i) =>
      seen.slopes.reduce((sum, row, k) => sum + row[i]! * seen.residuals[k]!, 0),
    );
    const step = inverse && timesVector(inverse, right);
    if (!step) {
      damping = Math.max(10 * damping, 1e-6);
      continue;
    }
    const next = at.map((value, i) => value + step[i]!) as unknown as Unknowns;
    const there = residualsAt(next, readMm);
    if (costOf(there.residuals) <= costOf(seen.residuals)) {
      [at, seen] = [next, there];
      damping /= 10;
    } else damping *= 10;
    if (Math.max(...step.map(Math.abs)) < STEP_MM) return { at, ...seen, converged: true };
  }
  return { at, ...seen, converged: false };
}

/** Where two circles meet, on one side of the line between their middles, or the nearest they come: on the y axis at 0 and at `apart`. */
function meet(
  apart: number,
  fromFirst: number,
  fromSecond: number,
  side: 1 | -1,
): readonly [number, number] {
  const y = (apart ** 2 + fromFirst ** 2 - fromSecond ** 2) / (2 * apart);
  return [side * Math.sqrt(Math.max(0, fromFirst ** 2 - y ** 2)), y];
}

type Point = readonly [number, number];
const turn = (a: Point, b: Point, c: Point): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
/** Neither ends nor rails of it cross. */
const isUnfolded = ({
  frontLeft,
  frontRight,
  rearRight,
  rearLeft,
}: Record<Corner, Point>): boolean =>
  !cross(frontLeft, frontRight, rearRight, rearLeft) &&
  !cross(frontRight, rearRight, rearLeft, frontLeft);

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
  at.map((value, i) => {
    const by = (h: number): number =>
      diagonalDifference(at.with(i, value + h) as unknown as Unknowns);
    return (by(1e-3) - by(-1e-3)) / 2e-3;
  });

/** How far the corners stand off one line, mm. */
function heightOf({ at }: Fit, readMm: SquareInput['readMm']): number {
  const corners = Object.values(cornersOf(at)) as Point[];
  const longest = Math.max(...SPANS.map((span) => readMm[span]));
  return (
    Math.max(
      ...corners.flatMap((a) =>
        corners.flatMap((b) => corners.map((c) => Math.abs(turn(a, b, c)))),
      ),
    ) / longest
  );
}

function fitRectangle(readMm: SquareInput['readMm']): Fit {
  const refuse = (why: string): never => {
    throw new InputError('readMm', why);
  };
  const { front, left, right, diagonalLeft, diagonalRight } = readMm;
  const sides = [1, -1] as const;
  const starts = sides.flatMap((l) =>
    sides.map((r): Unknowns => [
      front,
      ...meet(front, diagonalLeft, right, r),
      ...meet(front, left, diagonalRight, l),
    ]),
  );
  const all = starts.map((start) => fitted(start, readMm));
  const fits = all.some(({ converged }) => converged)
    ? all.filter(({ converged }) => converged)
    : all;
  const worst = ({ residuals }: Fit): number => Math.max(...residuals.map(Math.abs));
  const least = (all: readonly Fit[]): Fit | null =>
    all.reduce<Fit | null>(
      (best, one) => (best && costOf(best.residuals) <= costOf(one.residuals) ? best : one),
      null,
    );
  // Its mirror image stands in front: the rear lies behind.
  const unfolded = least(fits.filter(({ at }) => isUnfolded(cornersOf(at)) && at[1] + at[3] > 0));
  const any = least(fits)!;
  const inLine = heightOf(any, readMm);
  if (any.converged && inLine < IN_LINE_MM && worst(any) <= MOST_OFF_MM)
    refuse(`These readings put all four corners in one line, to ${figure(inLine, 3)} mm.`);
  if (!unfolded?.converged || worst(unfolded) > MOST_OFF_MM) {
    const off = worst(unfolded ?? any);
    if (worst(any) <= MOST_OFF_MM && (!unfolded || !isUnfolded(cornersOf(any.at))))
      return refuse(
        `Only a figure folded over itself has these six lengths${unfolded ? `; laid flat it misses by ${figure(off, 0)} mm` : ` (it misses by ${figure(off)} mm)`}: sides and diagonals may be swapped.`,
      );
    return refuse(
      `No frame has these six lengths: the nearest misses by ${figure(off, 0)} mm. Read them again.`,
    );
  }
  return unfolded;
}

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
      'These readings leave the corners free to move: they come to lie in one line.',
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
