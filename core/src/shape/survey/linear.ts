import { byAxis, type Vec3 } from '../../lib/vec/index.ts';

/** Symmetric 3×3 as [xx, xy, xz, yy, yz, zz]. */
export type Sym3 = [number, number, number, number, number, number];

/** Eigenvalues, rising, with their unit vectors, of a symmetric 3×3 (cyclic Jacobi). */
export function eigen([xx, xy, xz, yy, yz, zz]: Sym3): {
  values: Vec3;
  vectors: readonly [Vec3, Vec3, Vec3];
} {
  const a = [
    [xx, xy, xz],
    [xy, yy, yz],
    [xz, yz, zz],
  ];
  const v = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  for (let sweep = 0; sweep < 60; sweep++) {
    const off = Math.abs(a[0]![1]!) + Math.abs(a[0]![2]!) + Math.abs(a[1]![2]!);
    if (off <= 1e-300) break;
    for (const [p, q] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const) {
      const apq = a[p]![q]!;
      if (apq === 0) continue;
      const theta = (a[q]![q]! - a[p]![p]!) / (2 * apq);
      const t = (theta >= 0 ? 1 : -1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
      const c = 1 / Math.sqrt(t * t + 1);
      const s = t * c;
      for (let k = 0; k < 3; k++)
        [a[k]![p], a[k]![q]] = [c * a[k]![p]! - s * a[k]![q]!, s * a[k]![p]! + c * a[k]![q]!];
      for (let k = 0; k < 3; k++)
        [a[p]![k], a[q]![k]] = [c * a[p]![k]! - s * a[q]![k]!, s * a[p]![k]! + c * a[q]![k]!];
      for (let k = 0; k < 3; k++)
        [v[k]![p], v[k]![q]] = [c * v[k]![p]! - s * v[k]![q]!, s * v[k]![p]! + c * v[k]![q]!];
    }
  }
  const order = [0, 1, 2].sort((i, j) => a[i]![i]! - a[j]![j]!);
  const column = (i: number): Vec3 => [v[0]![i]!, v[1]![i]!, v[2]![i]!];
  return {
    values: byAxis((axis) => a[order[axis]!]![order[axis]!]!),
    vectors: [column(order[0]!), column(order[1]!), column(order[2]!)],
  };
}

/** Inverse of a symmetric 3×3; null where it has none. */
export function invert([xx, xy, xz, yy, yz, zz]: Sym3): Sym3 | null {
  const cxx = yy * zz - yz * yz;
  const cxy = xz * yz - xy * zz;
  const cxz = xy * yz - xz * yy;
  const det = xx * cxx + xy * cxy + xz * cxz;
  if (!(Math.abs(det) > 0) || !Number.isFinite(1 / det)) return null;
  return [
    cxx / det,
    cxy / det,
    cxz / det,
    (xx * zz - xz * xz) / det,
    (xy * xz - xx * yz) / det,
    (xx * yy - xy * xy) / det,
  ];
}

export const times = ([xx, xy, xz, yy, yz, zz]: Sym3, [x, y, z]: Vec3): Vec3 => [
  xx * x + xy * y + xz * z,
  xy * x + yy * y + yz * z,
  xz * x + yz * y + zz * z,
];
