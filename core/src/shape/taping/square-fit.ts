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
/** No six readings of one figure miss by more. Contract of the verb. */
const MOST_OFF_MM = 100;
const STEP_MM = 1e-9;
const MOST_ROUNDS = 500;
/** Corners this near to one line, by the height over the longest side, lie in it, mm. */
const IN_LINE_MM = 1e-3;

/** Unknowns: y of the front right, x and y of both rear corners. */
export type Unknowns = readonly [number, number, number, number, number];
/** The unknowns, each moved by so much. */
export const moved = ([a, b, c, d, e]: Unknowns, by: (i: number) => number): Unknowns => [
  a + by(0),
  b + by(1),
  c + by(2),
  d + by(3),
  e + by(4),
];
export const cornersOf = ([y, xr, yr, xl, yl]: Unknowns): Record<
  Corner,
  readonly [number, number]
> => ({
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
export const normalOf = (slopes: Fit['slopes'], lift = 0): number[][] =>
  [0, 1, 2, 3, 4].map((i) =>
    [0, 1, 2, 3, 4].map((k) =>
      slopes.reduce((sum, row) => sum + row[i]! * row[k]!, i === k ? lift : 0),
    ),
  );
export const costOf = (residuals: readonly number[]): number =>
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
    const next = moved(at, (i) => step[i]!);
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

export type Point = readonly [number, number];
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

export function fitRectangle(readMm: SquareInput['readMm']): Fit {
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
        `These six lengths fold the frame over itself${unfolded ? `; laid flat the misfit is ${figure(off, 0)} mm` : ` (misfit ${figure(off)} mm)`}. Check that no side and diagonal are swapped.`,
      );
    return refuse(
      `No frame has these six lengths: the closest misses by ${figure(off, 0)} mm. Read them again.`,
    );
  }
  return unfolded;
}
