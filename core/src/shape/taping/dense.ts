/** Inverse of a small square matrix by Gauss and Jordan with the largest pivot; null where it has none. */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] | null {
  const n = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...row.map((_, k) => (k === i ? 1 : 0))]);
  for (let c = 0; c < n; c++) {
    const pivot = rows.reduce(
      (best, row, i) => (i >= c && Math.abs(row[c]!) > Math.abs(rows[best]![c]!) ? i : best),
      c,
    );
    [rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!];
    const by = rows[c]![c]!;
    if (!(Math.abs(by) > 1e-12)) return null;
    rows[c] = rows[c]!.map((value) => value / by);
    for (let i = 0; i < n; i++) {
      const share = rows[i]![c]!;
      if (i !== c && share !== 0)
        rows[i] = rows[i]!.map((value, k) => value - share * rows[c]![k]!);
    }
  }
  return rows.map((row) => row.slice(n));
}
export const timesVector = (
  matrix: readonly (readonly number[])[],
  vector: readonly number[],
): number[] => matrix.map((row) => row.reduce((sum, value, i) => sum + value * vector[i]!, 0));
