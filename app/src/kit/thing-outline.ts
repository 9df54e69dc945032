import { solidsOf, type Solid, type Thing } from '@firm-line/core/shape/obstacles';
import {
  add,
  addScaled,
  cross,
  scale,
  squareTo,
  sub,
  unit,
  type Vec3,
} from '@firm-line/core/lib/vec';
import type { Face, FlatProjection } from './flat-projection';
import { hull } from './hull';

const ROUND = 16;
const SIDES = [-1, 1] as const;
const ring = (center: Vec3, axis: Vec3, radiusMm: number): Vec3[] => {
  const a = squareTo(axis);
  const b = cross(axis, a);
  return Array.from({ length: ROUND }, (_, i) => {
    const turn = (2 * Math.PI * i) / ROUND;
    return add(
      addScaled(center, a, radiusMm * Math.cos(turn)),
      scale(b, radiusMm * Math.sin(turn)),
    );
  });
};

/** Points whose outline, from any side, is that of a solid. */
function pointsOf(solid: Solid): Vec3[] {
  if (solid.kind === 'box') {
    const corner = (signs: readonly number[]): Vec3 =>
      solid.axes.reduce<Vec3>(
        (at, axis, i) => addScaled(at, axis, signs[i]! * solid.half[i]!),
        solid.center,
      );
    return SIDES.flatMap((a) => SIDES.flatMap((b) => SIDES.map((c) => corner([a, b, c]))));
  }
  if (solid.kind === 'drum') {
    const { center, axis, radiusMm, halfMm } = solid;
    return [-halfMm, halfMm].flatMap((off) => ring(addScaled(center, axis, off), axis, radiusMm));
  }
  const along = unit(sub(solid.to, solid.from)) ?? [1, 0, 0];
  return [solid.from, solid.to].flatMap((at) => ring(at, along, solid.radiusMm));
}

/** A thing's outline on one face of the flat views; nothing for a mesh. */
export const outlineOf = (
  projection: Pick<FlatProjection, 'at'>,
  face: Face,
  { shape }: Thing,
): string =>
  solidsOf(shape)
    .map((solid) => hull(pointsOf(solid).map((p) => projection.at(face, p))))
    .map(
      (outline) =>
        `${outline.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')}z`,
    )
    .join('');
