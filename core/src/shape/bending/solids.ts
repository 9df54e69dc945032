import type { Vec3 } from '../../lib/vec/index.ts';

/**
 * A solid of the bench, in the die's frame: the tube lies along x, x < 0 before the die, touches the die
 * at the origin and is bent towards y about the die's center at [0, radius, 0]; z is up.
 */
export type Solid =
  | { readonly kind: 'box'; readonly name: string; readonly minMm: Vec3; readonly maxMm: Vec3 }
  | {
      readonly kind: 'cylinder';
      readonly name: string;
      /** Middle of the foot of an upright cylinder. */
      readonly footMm: Vec3;
      readonly radiusMm: number;
      readonly heightMm: number;
    };

/** A stretch of tube, or of what is slid on it, as a rod with round ends. */
export interface Rod {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly radiusMm: number;
}

/** How far a point lies off a solid; 0 inside. */
export function offMm(at: Vec3, solid: Solid): number {
  if (solid.kind === 'box') {
    const off = (axis: 0 | 1 | 2): number =>
      Math.max(solid.minMm[axis] - at[axis], 0, at[axis] - solid.maxMm[axis]);
    return Math.hypot(off(0), off(1), off(2));
  }
  const [x, y, z] = solid.footMm;
  return Math.hypot(
    Math.max(0, Math.hypot(at[0] - x, at[1] - y) - solid.radiusMm),
    Math.max(z - at[2], 0, at[2] - z - solid.heightMm),
  );
}

/** The box round a solid. */
const boundsOf = (solid: Solid): readonly [Vec3, Vec3] => {
  if (solid.kind === 'box') return [solid.minMm, solid.maxMm];
  const {
    footMm: [x, y, z],
    radiusMm: r,
    heightMm,
  } = solid;
  return [
    [x - r, y - r, z],
    [x + r, y + r, z + heightMm],
  ];
};
/** Halvings by a third: a rod of a metre is known to a hundredth of a millimetre. */
const ARC_STEPS = 28;

/**
 * Whether a rod touches a solid: the distance along it to a convex solid has one least place, which is
 * halved in on. Touching by less than a tenth of a millimetre is not told.
 */
export function touches({ from, to, radiusMm }: Rod, solid: Solid): boolean {
  const [low, high] = boundsOf(solid);
  for (let axis = 0; axis < 3; axis++) {
    if (Math.max(from[axis]!, to[axis]!) + radiusMm < low[axis]!) return false;
    if (Math.min(from[axis]!, to[axis]!) - radiusMm > high[axis]!) return false;
  }
  const at = (t: number): number =>
    offMm(
      [
        from[0] + (to[0] - from[0]) * t,
        from[1] + (to[1] - from[1]) * t,
        from[2] + (to[2] - from[2]) * t,
      ],
      solid,
    );
  let [a, b] = [0, 1];
  for (let i = 0; i < ARC_STEPS; i++) {
    const [p, q] = [a + (b - a) / 3, b - (b - a) / 3];
    if (at(p) < at(q)) b = q;
    else a = p;
  }
  return Math.min(at(0), at(1), at((a + b) / 2)) < radiusMm - 0.1;
}

/** How far two straight stretches pass from one another. Source: closest points of two segments (common practice). */
export function apartMm(a: Rod, b: Rod): number {
  const sub = (p: Vec3, q: Vec3): Vec3 => [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
  const dot = (p: Vec3, q: Vec3): number => p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
  const [d1, d2, r] = [sub(a.to, a.from), sub(b.to, b.from), sub(a.from, b.from)];
  const [aa, ee, f] = [dot(d1, d1), dot(d2, d2), dot(d2, r)];
  const [c, bb] = [dot(d1, r), dot(d1, d2)];
  const clamp = (t: number): number => Math.min(1, Math.max(0, t));
  const denominator = aa * ee - bb * bb;
  let s = denominator > 1e-12 ? clamp((bb * f - c * ee) / denominator) : 0;
  let t = ee > 1e-12 ? (bb * s + f) / ee : 0;
  if (t < 0 || t > 1) {
    t = clamp(t);
    s = aa > 1e-12 ? clamp((bb * t - c) / aa) : 0;
  }
  const gap = [0, 1, 2].map(
    (axis) => a.from[axis]! + d1[axis]! * s - b.from[axis]! - d2[axis]! * t,
  );
  return Math.hypot(...gap);
}
