import {
  THING_SPECS,
  type Shape,
  type Thing,
  type ThingKind,
  type Travel,
} from '../../shape/obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import { railPath, type Dimensions } from './dimensions.ts';

type Bar = Extract<Shape, { kind: 'bar' }>;
export const bar = (
  pathMm: readonly Vec3[],
  widthMm: number,
  heightMm: number,
  section: Bar['section'] = 'box',
): Bar => ({
  kind: 'bar',
  section,
  pathMm,
  widthMm,
  heightMm,
  wallMm: 4,
  opens: 'right',
});
/** A block between two corners, whichever of an unlikely vehicle's lies lower. */
export const block = (a: Vec3, b: Vec3): Shape => ({
  kind: 'block',
  minMm: each(Math.min, a, b),
  maxMm: each(Math.max, a, b),
});
const each = (of: (a: number, b: number) => number, a: Vec3, b: Vec3): Vec3 => [
  of(a[0], b[0]),
  of(a[1], b[1]),
  of(a[2], b[2]),
];
export const pipe = (pathMm: readonly Vec3[], diameterMm: number): Shape => ({
  kind: 'pipe',
  pathMm,
  diameterMm,
});
export const across = (x: number, half: number, z: number): Vec3[] => [
  [x, -half, z],
  [x, half, z],
];

export function thing(
  id: string,
  name: string,
  kind: ThingKind,
  shape: Shape,
  more: Partial<Thing> = {},
): Thing {
  const { nature, keepMm, holds } = THING_SPECS[kind];
  return { id, name, kind, shape, nature, keepMm, holds, surfaceC: null, travel: null, ...more };
}
export const both = (
  id: string,
  name: string,
  kind: ThingKind,
  shape: (side: -1 | 1) => Shape,
  more: Partial<Thing> = {},
): Thing[] => [
  thing(`${id}-left`, `${name}, left`, kind, shape(-1), more),
  thing(`${id}-right`, `${name}, right`, kind, shape(1), more),
];

/** How far wheels go up and down, and how far they are locked over. Ordinary figures. */
export const HEAVE: readonly [number, number] = [-60, 60];
export const LOCK_DEG = 30;
/** Kingpins stand so far inside their wheel's middle. */
export const KINGPIN_MM = 60;
export const EXHAUST_C = 350;
/** How far over the rails' middle an engine's underside stands. An ordinary figure. */
export const OVER_RAILS_MM = 130;
/** How far a solid axle rolls, and how wide an exhaust is. Ordinary figures. */
export const ROLL_DEG = 3;
export const EXHAUST_MM = 55;
/** How thick a solid axle is. An ordinary figure. */
export const AXLE_MM = 80;

export function wheels(
  d: Dimensions,
  x: number,
  name: string,
  track: number,
  steers: boolean,
): Thing[] {
  const shape = (side: -1 | 1): Shape => ({
    kind: 'wheel',
    centreMm: [x, (side * track) / 2, d.hubMm],
    axis: [0, 1, 0],
    radiusMm: d.tyreRadiusMm,
    widthMm: d.tyreWidthMm,
  });
  const travel = (side: -1 | 1): Travel => ({
    heaveMm: HEAVE,
    rollDeg: 0,
    lockDeg: steers ? LOCK_DEG : 0,
    aboutMm: [x, side * (track / 2 - KINGPIN_MM), d.hubMm],
  });
  return ([-1, 1] as const).map((side) =>
    thing(
      `wheel-${x}-${side}`,
      `${name} ${side < 0 ? 'left' : 'right'} wheel`,
      'wheel',
      shape(side),
      { travel: travel(side) },
    ),
  );
}
/** A beam from wheel to wheel; lines that are mounted on it at both ends are clipped to it. */
export const beam = (d: Dimensions, x: number, name: string, track: number): Thing =>
  thing(
    `axle-${x}`,
    name,
    'axle',
    bar(across(x, track / 2 - d.tyreWidthMm / 2 - 30, d.hubMm), AXLE_MM, AXLE_MM, 'round'),
    {
      holds: true,
      travel: { heaveMm: HEAVE, rollDeg: ROLL_DEG, lockDeg: 0, aboutMm: [x, 0, d.hubMm] },
    },
  );

export function rails(d: Dimensions): Thing[] {
  const { section, vehicle } = d.answers;
  const name =
    { unibody: 'Leg and sill', 'space-frame': 'Lower tube', aircraft: 'Longeron' }[
      vehicle as string
    ] ?? 'Rail';
  return both('rail', name, 'rail', (side) =>
    bar(railPath(d, side * d.rail.acrossMm), d.rail.widthMm, d.rail.heightMm, section),
  );
}
export const member = (
  d: Dimensions,
  id: string,
  name: string,
  x: number,
  z = d.rail.midAt(x),
): Thing =>
  thing(
    id,
    name,
    'member',
    d.answers.section === 'round'
      ? bar(across(x, d.rail.acrossMm, z), d.rail.widthMm, d.rail.widthMm, 'round')
      : bar(across(x, d.rail.acrossMm - d.rail.widthMm / 2, z), 60, Math.min(50, d.rail.heightMm)),
  );
