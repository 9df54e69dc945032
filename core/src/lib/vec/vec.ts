/** Points and directions in the vehicle's frame: x rearward, y to the vehicle's right, z up, in mm. */
export type Vec3 = readonly [number, number, number];

export const ZERO: Vec3 = [0, 0, 0];
export const radians = (deg: number): number => (deg * Math.PI) / 180;
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** Each figure of a vector by its axis: 0, 1, 2. */
export const byAxis = (of: (axis: 0 | 1 | 2) => number): Vec3 => [of(0), of(1), of(2)];
/** Each figure of a vector as something else. */
export const mapVec = (v: Vec3, to: (value: number, axis: 0 | 1 | 2) => number): Vec3 =>
  byAxis((axis) => to(v[axis], axis));

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const addScaled = (a: Vec3, b: Vec3, k: number): Vec3 => [
  a[0] + b[0] * k,
  a[1] + b[1] * k,
  a[2] + b[2] * k,
];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const length = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);
export const distance = (a: Vec3, b: Vec3): number =>
  Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Unit vector along `a`; null where `a` is shorter than 1e-9 and so has no direction. */
export function unit(a: Vec3): Vec3 | null {
  const l = length(a);
  return l < 1e-9 ? null : [a[0] / l, a[1] / l, a[2] / l];
}

/** Angle between two vectors in degrees, 0 to 180, exact near both ends. */
export const angleDeg = (a: Vec3, b: Vec3): number =>
  degrees(Math.atan2(length(cross(a, b)), dot(a, b)));

/** `v` turned about the unit vector `axis` by `deg`, right hand (Rodrigues). */
export function rotate(v: Vec3, axis: Vec3, deg: number): Vec3 {
  const c = Math.cos(radians(deg));
  const s = Math.sin(radians(deg));
  const along = scale(axis, dot(axis, v) * (1 - c));
  return add(add(scale(v, c), scale(cross(axis, v), s)), along);
}

/** Some unit vector square to the unit vector `d`: the one nearest to up, or to rearward where `d` is vertical. */
export function squareTo(d: Vec3): Vec3 {
  const seed: Vec3 = Math.abs(d[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
  return unit(addScaled(seed, d, -dot(seed, d)))!;
}

/** Turn from `from` to `to` about `axis` in degrees, right hand, (−180, 180]; both square to the unit vector `axis`. */
export const turnDeg = (from: Vec3, to: Vec3, axis: Vec3): number =>
  degrees(Math.atan2(dot(cross(from, to), axis), dot(from, to)));

/** How far along from one place to another the nearest to a third lies, 0 to 1; 0 where both are one. */
export function shareAlong(at: Vec3, from: Vec3, to: Vec3): number {
  const way = sub(to, from);
  const square = dot(way, way);
  return square ? Math.min(1, Math.max(0, dot(sub(at, from), way) / square)) : 0;
}

/** A place to tenths, as it is kept and typed. */
export const tenths = (at: Vec3): Vec3 => mapVec(at, (v) => Math.round(v * 10) / 10 + 0);
