import {
  byAxis,
  add,
  addScaled,
  cross,
  distance,
  dot,
  scale,
  squareTo,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** A convex solid, or a rod with round ends: what a distance is measured to. */
export type Solid =
  | {
      readonly kind: 'box';
      readonly center: Vec3;
      readonly axes: readonly [Vec3, Vec3, Vec3];
      readonly half: Vec3;
    }
  | { readonly kind: 'rod'; readonly from: Vec3; readonly to: Vec3; readonly radiusMm: number }
  | {
      readonly kind: 'drum';
      readonly center: Vec3;
      readonly axis: Vec3;
      readonly radiusMm: number;
      readonly halfMm: number;
    };

/** A distance with the two points it lies between. */
export interface Gap {
  /** 0 where the line runs into the solid. */
  readonly distanceMm: number;
  /** On the segment, as a share of it, and where that is. */
  readonly share: number;
  readonly onLine: Vec3;
  readonly onThing: Vec3;
}

export interface Box {
  readonly min: Vec3;
  readonly max: Vec3;
}

const clamp = (value: number, low: number, high: number): number =>
  Math.min(Math.max(value, low), high);
const lerp = (a: Vec3, b: Vec3, share: number): Vec3 => addScaled(a, sub(b, a), share);

/** The point of a solid that is nearest to `p`; `p` itself inside it. */
export function nearestOn(solid: Solid, p: Vec3): Vec3 {
  if (solid.kind === 'box') {
    const arm = sub(p, solid.center);
    return solid.axes.reduce<Vec3>(
      (at, axis, i) => addScaled(at, axis, clamp(dot(arm, axis), -solid.half[i]!, solid.half[i]!)),
      solid.center,
    );
  }
  if (solid.kind === 'rod') {
    const way = sub(solid.to, solid.from);
    const long = dot(way, way);
    const spine = addScaled(
      solid.from,
      way,
      long ? clamp(dot(sub(p, solid.from), way) / long, 0, 1) : 0,
    );
    const off = distance(p, spine);
    return off <= solid.radiusMm ? p : addScaled(spine, sub(p, spine), solid.radiusMm / off);
  }
  const arm = sub(p, solid.center);
  const along = dot(arm, solid.axis);
  const out = addScaled(arm, solid.axis, -along);
  const off = Math.hypot(...out);
  const held = off > solid.radiusMm ? scale(out, solid.radiusMm / off) : out;
  return add(addScaled(solid.center, solid.axis, clamp(along, -solid.halfMm, solid.halfMm)), held);
}

/** Shares of two segments where they come nearest to one another. Source: closest points of segments, C. Ericson, Real-Time Collision Detection 5.1.9 (from memory). */
export function segmentShares(p: Vec3, q: Vec3, r: Vec3, s: Vec3): readonly [number, number] {
  const [d1, d2, w] = [sub(q, p), sub(s, r), sub(p, r)];
  const [a, e, f] = [dot(d1, d1), dot(d2, d2), dot(d2, w)];
  if (a < 1e-18) return [0, e < 1e-18 ? 0 : clamp(f / e, 0, 1)];
  const c = dot(d1, w);
  if (e < 1e-18) return [clamp(-c / a, 0, 1), 0];
  const b = dot(d1, d2);
  const denominator = a * e - b * b;
  const first = denominator > 1e-12 * a * e ? clamp((b * f - c * e) / denominator, 0, 1) : 0;
  const second = (b * first + f) / e;
  if (second < 0) return [clamp(-c / a, 0, 1), 0];
  if (second > 1) return [clamp((b - c) / a, 0, 1), 1];
  return [first, second];
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Narrows a share to 1e-8 of a segment: a hundredth of a micrometre on a metre. */
const SEARCH_STEPS = 40;

/** The least distance from a segment to a solid: it is convex along the segment, so it is narrowed by the golden section. */
export function segmentGap(solid: Solid, from: Vec3, to: Vec3): Gap {
  if (solid.kind === 'rod') {
    const [share, other] = segmentShares(from, to, solid.from, solid.to);
    const [onLine, spine] = [lerp(from, to, share), lerp(solid.from, solid.to, other)];
    const off = distance(onLine, spine);
    const onThing =
      off > solid.radiusMm ? addScaled(spine, sub(onLine, spine), solid.radiusMm / off) : onLine;
    return { distanceMm: Math.max(0, off - solid.radiusMm), share, onLine, onThing };
  }
  const away = (share: number): number => {
    const p = lerp(from, to, share);
    return distance(p, nearestOn(solid, p));
  };
  let [low, high] = [0, 1];
  let [left, right] = [1 - GOLDEN, GOLDEN];
  let [atLeft, atRight] = [away(left), away(right)];
  for (let i = 0; i < SEARCH_STEPS && (atLeft > 0 || atRight > 0); i++) {
    if (atLeft <= atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - GOLDEN * (high - low);
      atLeft = away(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + GOLDEN * (high - low);
      atRight = away(right);
    }
  }
  // Ends count too: the section never reaches them.
  const share = [0, 1, left, right].reduce((best, one) => (away(one) < away(best) ? one : best));
  const onLine = lerp(from, to, share);
  const onThing = nearestOn(solid, onLine);
  return { distanceMm: distance(onLine, onThing), share, onLine, onThing };
}

/** The upright box round a solid. */
export function boxOf(solid: Solid): Box {
  const reach = (axis: 0 | 1 | 2): number => {
    if (solid.kind === 'rod') return solid.radiusMm;
    if (solid.kind === 'box')
      return solid.axes.reduce((sum, a, i) => sum + Math.abs(a[axis]) * solid.half[i]!, 0);
    const along = Math.abs(solid.axis[axis]);
    return along * solid.halfMm + Math.sqrt(Math.max(0, 1 - along * along)) * solid.radiusMm;
  };
  const r = [reach(0), reach(1), reach(2)] as const;
  const ends = solid.kind === 'rod' ? [solid.from, solid.to] : [solid.center];
  const side = (pick: (...values: number[]) => number, sign: 1 | -1): Vec3 =>
    byAxis((i) => pick(...ends.map((p) => p[i]!)) + sign * r[i]!);
  return { min: side(Math.min, -1), max: side(Math.max, 1) };
}

export const joinBoxes = (boxes: readonly Box[]): Box => ({
  min: byAxis((i) => Math.min(...boxes.map((b) => b.min[i]!))),
  max: byAxis((i) => Math.max(...boxes.map((b) => b.max[i]!))),
});

/** The upright box round points. */
export function boxRound(points: readonly Vec3[]): Box {
  const side = (pick: (a: number, b: number) => number): Vec3 =>
    points.reduce<Vec3>(
      (at, p) => [pick(at[0], p[0]), pick(at[1], p[1]), pick(at[2], p[2])],
      points[0]!,
    );
  return { min: side(Math.min), max: side(Math.max) };
}

/** A distance that a segment can be no nearer than, from the box round it: 0 where the boxes meet. */
export function boxGap({ min, max }: Box, from: Vec3, to: Vec3): number {
  let sum = 0;
  for (let i = 0; i < 3; i++) {
    const [a, b] = [from[i as 0]!, to[i as 0]!];
    const over = min[i as 0]! - (a < b ? b : a);
    const under = (a < b ? a : b) - max[i as 0]!;
    const off = over > 0 ? over : under > 0 ? under : 0;
    sum += off * off;
  }
  return Math.sqrt(sum);
}

/** Axes of a bar's section: along the path, level across it, and upright to both. */
export function barAxes(along: Vec3): readonly [Vec3, Vec3, Vec3] {
  const upright = squareTo(along);
  return [along, unit(cross(upright, along))!, upright];
}
