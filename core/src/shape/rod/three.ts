/** How many of a symmetric 3 × 3 matrix's directions go up, by its pivots (Sylvester's law of inertia). */
export function risingOf(s: Float64Array): number {
  const p1 = s[0]!;
  const p2 = s[4]! - (s[1]! * s[3]!) / p1;
  const cross = s[5]! - (s[3]! * s[2]!) / p1;
  const p3 = s[8]! - (s[6]! * s[2]!) / p1 - (cross * (s[7]! - (s[6]! * s[1]!) / p1)) / p2;
  return (p1 > 0 ? 1 : 0) + (p2 > 0 ? 1 : 0) + (p3 > 0 ? 1 : 0);
}

/** Solves a 3 × 3 system by Cramer's rule. */
export function solve3(s: Float64Array, b: readonly number[]): [number, number, number] {
  const [a, d, g, e, f, h, i, j, k] = [
    s[0]!,
    s[1]!,
    s[2]!,
    s[3]!,
    s[4]!,
    s[5]!,
    s[6]!,
    s[7]!,
    s[8]!,
  ];
  const [x, y, z] = b as [number, number, number];
  const [m1, m2, m3] = [f * k - h * j, e * k - h * i, e * j - f * i];
  const det = a * m1 - d * m2 + g * m3;
  return [
    (x * m1 - d * (y * k - h * z) + g * (y * j - f * z)) / det,
    (a * (y * k - h * z) - x * m2 + g * (e * z - y * i)) / det,
    (a * (f * z - y * j) - d * (e * z - y * i) + x * m3) / det,
  ];
}

/** Length of three numbers, as quick as can be. */
export const sizeOf = (v: ArrayLike<number>): number =>
  Math.sqrt(v[0]! * v[0]! + v[1]! * v[1]! + v[2]! * v[2]!);
