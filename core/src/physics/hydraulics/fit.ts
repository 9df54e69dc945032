/** Least squares solved, with the inverse of its normal matrix. */
export interface Fitted {
  readonly x: readonly number[];
  readonly inverse: readonly (readonly number[])[];
}
/** Least squares of n rows by Gram–Schmidt, twice for its rounding. */
export function fit(rows: readonly (readonly number[])[], right: readonly number[]): Fitted {
  const each = rows[0]!.map((_, k) => k);
  const q = each.map((k) => rows.map((row) => row[k]!));
  const r = each.map(() => each.map(() => 0));
  const dot = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, v, i) => sum + v * b[i]!, 0);
  for (const k of each) {
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
  const solve = (b: readonly number[]): number[] => {
    const x = each.map(() => 0);
    for (const k of [...each].reverse())
      x[k] = (b[k]! - each.slice(k + 1).reduce((sum, j) => sum + r[k]![j]! * x[j]!, 0)) / r[k]![k]!;
    return x;
  };
  // (RᵀR)⁻¹ = R⁻¹·R⁻ᵀ.
  const columns = each.map((k) => solve(each.map((j) => (j === k ? 1 : 0))));
  return {
    x: solve(q.map((column) => dot(column, right))),
    inverse: each.map((i) =>
      each.map((j) => columns.reduce((sum, column) => sum + column[i]! * column[j]!, 0)),
    ),
  };
}
