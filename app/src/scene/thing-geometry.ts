import { meshOf, solidsOf, type Solid, type Thing } from '@firm-line/core/shape/obstacles';
import type { Vec3 } from '@firm-line/core/lib/vec';
import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CapsuleGeometry,
  CylinderGeometry,
  EdgesGeometry,
  Matrix4,
  Quaternion,
  Vector3,
} from 'three';
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js';

const vector = (v: Vec3): Vector3 => new Vector3(v[0], v[1], v[2]);
const UP = new Vector3(0, 1, 0);
const placed = (geometry: BufferGeometry, at: Vector3, axis: Vector3): BufferGeometry =>
  geometry.applyMatrix4(
    new Matrix4().compose(at, new Quaternion().setFromUnitVectors(UP, axis), new Vector3(1, 1, 1)),
  );

/** A solid as triangles: the very one that distances are measured to. */
function solidGeometry(solid: Solid): BufferGeometry {
  if (solid.kind === 'box') {
    const [a, b, c] = solid.axes.map(vector) as [Vector3, Vector3, Vector3];
    const turn = new Matrix4().makeBasis(a, b, c).setPosition(vector(solid.center));
    return new BoxGeometry(
      ...(solid.half.map((half) => 2 * half) as [number, number, number]),
    ).applyMatrix4(turn);
  }
  if (solid.kind === 'drum') {
    const drum = new CylinderGeometry(solid.radiusMm, solid.radiusMm, 2 * solid.halfMm, 40);
    return placed(drum, vector(solid.center), vector(solid.axis));
  }
  const [from, to] = [vector(solid.from), vector(solid.to)];
  const rod = new CapsuleGeometry(solid.radiusMm, from.distanceTo(to), 6, 16);
  return placed(rod, from.clone().lerp(to, 0.5), to.clone().sub(from).normalize());
}

function meshGeometry(shape: Extract<Thing['shape'], { kind: 'mesh' }>): BufferGeometry | null {
  const positions = meshOf(shape.digest)?.positions;
  if (!positions) return null;
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.computeVertexNormals();
  return geometry.applyMatrix4(
    new Matrix4()
      .makeTranslation(...shape.atMm)
      .scale(new Vector3(shape.scale, shape.scale, shape.scale)),
  );
}

/** Things put together into one geometry of faces and one of edges; null where there is nothing to show. */
export function thingsGeometry(
  things: readonly Thing[],
): { faces: BufferGeometry; edges: BufferGeometry } | null {
  const faces: BufferGeometry[] = [];
  const edges: BufferGeometry[] = [];
  for (const { shape } of things) {
    const parts =
      shape.kind === 'mesh'
        ? [meshGeometry(shape)].filter((g) => g !== null)
        : solidsOf(shape).map(solidGeometry);
    for (const part of parts) {
      const plain = part.index ? part.toNonIndexed() : part;
      plain.deleteAttribute('uv');
      faces.push(plain);
      if (shape.kind !== 'mesh') edges.push(new EdgesGeometry(part, 30));
    }
  }
  if (!faces.length) return null;
  return {
    faces: mergeGeometries(faces),
    edges: edges.length ? mergeGeometries(edges) : new BufferGeometry(),
  };
}
