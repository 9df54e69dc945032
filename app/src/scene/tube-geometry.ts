import { cross, squareTo, sub, unit, type Vec3 } from '@firm-line/core/lib/vec';
import { BufferAttribute, BufferGeometry } from 'three';

const SIDES = 8;

/** Points along a tube with the way it runs at each: at a bend the way between its two straights. */
function frames(points: readonly Vec3[]): { at: Vec3; across: Vec3; up: Vec3 }[] {
  const way = (i: number): Vec3 =>
    unit(sub(points[Math.min(i + 1, points.length - 1)]!, points[Math.max(i - 1, 0)]!)) ?? [
      1, 0, 0,
    ];
  let up = squareTo(way(0));
  return points.map((at, i) => {
    const along = way(i);
    const across = unit(cross(up, along)) ?? squareTo(along);
    up = cross(along, across);
    return { at, across, up };
  });
}

/** A tube round a center line given as points, as one geometry; several tubes go into one. */
export function tubesGeometry(
  tubes: readonly { readonly points: readonly Vec3[]; readonly radiusMm: number }[],
): BufferGeometry {
  const rings = tubes.reduce((sum, { points }) => sum + points.length, 0);
  const spans = tubes.reduce((sum, { points }) => sum + Math.max(0, points.length - 1), 0);
  const positions = new Float32Array(rings * SIDES * 3);
  const normals = new Float32Array(rings * SIDES * 3);
  const index = new Uint32Array(spans * SIDES * 6);
  let [ring, face] = [0, 0];
  for (const { points, radiusMm } of tubes) {
    for (const [i, { at, across, up }] of frames(points).entries()) {
      for (let side = 0; side < SIDES; side++) {
        const [c, s] = [
          Math.cos((2 * Math.PI * side) / SIDES),
          Math.sin((2 * Math.PI * side) / SIDES),
        ];
        const k = (ring * SIDES + side) * 3;
        for (let axis = 0; axis < 3; axis++) {
          const out = across[axis]! * c + up[axis]! * s;
          normals[k + axis] = out;
          positions[k + axis] = at[axis]! + out * radiusMm;
        }
        if (i === 0) continue;
        const [a, b] = [(ring - 1) * SIDES + side, (ring - 1) * SIDES + ((side + 1) % SIDES)];
        index[face++] = a;
        index[face++] = b;
        index[face++] = a + SIDES;
        index[face++] = b;
        index[face++] = b + SIDES;
        index[face++] = a + SIDES;
      }
      ring++;
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  geometry.setIndex(new BufferAttribute(index, 1));
  return geometry;
}
