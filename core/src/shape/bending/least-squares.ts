/** Residuals of some unknowns; the sum of their squares is to be least. */
export type Residuals = (x: readonly number[]) => readonly number[];

const STEP = 1e-6;
const AHEAD = 1e-7;
const MOST_STEPS = 200;

const squares = (r: readonly number[]): number => r.reduce((sum, v) => sum + v * v, 0);

/** Solves a symmetric positive definite system; null where it is none. Cholesky. */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const n = right.length;
  const lower = matrix.map((row) => row.slice());
  for (let j = 0; j < n; j++) {
    for (let k = 0; k < j; k++)
      for (let i = j; i < n; i++) lower[i]![j]! -= lower[i]![k]! * lower[j]![k]!;
    const pivot = lower[j]![j]!;
    if (!(pivot > 0)) return null;
    const root = Math.sqrt(pivot);
    for (let i = j; i < n; i++) lower[i]![j]! /= root;
  }
  const x = right.slice();
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!;
    x[i]! /= lower[i]![i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i]! -= lower[k]![i]! * x[k]!;
    x[i]! /= lower[i]![i]!;
  }
  return x;
}

/** How each residual goes with each unknown, by central differences: a column for each unknown. */
export function slopes(residuals: Residuals, x: readonly number[]): number[][] {
  return x.map((value, k) => {
    const [more, less] = [STEP, -STEP].map((h) =>
      residuals(x.map((v, i) => (i === k ? value + h : v))),
    );
    return more!.map((v, i) => (v - less![i]!) / (2 * STEP));
  });
}
/** The same by what is ahead of a place alone, whose residuals are known: half the work, and near enough to go by. */
const slopesAhead = (
  residuals: Residuals,
  x: readonly number[],
  here: readonly number[],
): number[][] =>
  x.map((value, k) =>
    residuals(x.map((v, i) => (i === k ? value + AHEAD : v))).map((v, i) => (v - here[i]!) / AHEAD),
  );
const normalOf = (columns: readonly (readonly number[])[]): number[][] =>
  columns.map((a) => columns.map((b) => a.reduce((total, v, i) => total + v * b[i]!, 0)));

/** The covariance of unknowns whose residuals are in their own sigmas; what no residual holds is left at nothing. */
export function covariance(residuals: Residuals, x: readonly number[]): number[][] {
  const normal = normalOf(slopes(residuals, x));
  return x.map(
    (_, k) =>
      solve(
        normal,
        x.map((__, i) => (i === k ? 1 : 0)),
      ) ?? x.map(() => 0),
  );
}

/**
 * The nearest minimum of a sum of squares, from a first guess: Levenberg-Marquardt with forward
 * differences, until a step no longer moves any unknown by 1e-10. Source: Marquardt 1963.
 */
export function leastSquares(
  residuals: Residuals,
  from: readonly number[],
): { x: number[]; sum: number } {
  let x = from.slice();
  let r = residuals(x);
  let sum = squares(r);
  let damping = 1e-6;
  for (let step = 0; step < MOST_STEPS && x.length; step++) {
    const columns = slopesAhead(residuals, x, r);
    const normal = normalOf(columns);
    const down = columns.map((a) => -a.reduce((total, v, i) => total + v * r[i]!, 0));
    let moved = 0;
    for (; damping < 1e12; damping *= 10) {
      const by = solve(
        normal.map((row, i) => row.map((v, j) => (i === j ? v + damping * (v || 1) : v))),
        down,
      );
      if (!by) continue;
      const next = x.map((v, i) => v + by[i]!);
      const there = residuals(next);
      const less = squares(there);
      if (!(less < sum)) continue;
      moved = less < sum * (1 - 1e-14) ? Math.max(...by.map(Math.abs)) : 0;
      [x, r, sum] = [next, there, less];
      damping = Math.max(damping / 100, 1e-15);
      break;
    }
    if (moved < 1e-10) break;
  }
  return { x, sum };
}
