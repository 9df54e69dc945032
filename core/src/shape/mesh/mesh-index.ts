import { Box3, BufferAttribute, BufferGeometry, Line3, Vector3 } from 'three';
import { MeshBVH, type SerializedBVH } from 'three-mesh-bvh';
import type { Gap, MeshIndex } from '../obstacles/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';

/** A mesh with its tree, as it crosses from a worker without being copied. */
export interface MeshData {
  readonly positions: Float32Array;
  readonly tree: SerializedBVH;
}

const geometryOf = (positions: Float32Array): BufferGeometry => {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  return geometry;
};
const plain = ({ x, y, z }: Vector3): Vec3 => [x, y, z];

/** Builds the tree of a mesh given as triangles, nine numbers each. */
export function treeOf(positions: Float32Array): SerializedBVH {
  const geometry = geometryOf(positions);
  return MeshBVH.serialize(new MeshBVH(geometry), { cloneBuffers: false });
}

/** A mesh that can be asked for its distance to a segment. Distances: three-mesh-bvh's own triangle to segment, tree first. */
export function meshIndex({ positions, tree }: MeshData): MeshIndex {
  const geometry = geometryOf(positions);
  const bvh = MeshBVH.deserialize(tree, geometry);
  const box = bvh.getBoundingBox(new Box3());
  const around = new Box3();
  const segment = new Line3();
  const [onMesh, onLine] = [new Vector3(), new Vector3()];
  const nearest = (from: Vec3, to: Vec3, within: number): Gap | null => {
    segment.start.set(...from);
    segment.end.set(...to);
    around.setFromPoints([segment.start, segment.end]);
    let least = within;
    let found: { onLine: Vec3; onThing: Vec3 } | null = null;
    bvh.shapecast({
      boundsTraverseOrder: (bounds) => boxDistance(bounds, around),
      intersectsBounds: (_bounds, _leaf, score) => (score ?? 0) <= least,
      intersectsTriangle: (triangle) => {
        const away = triangle.closestPointToSegment(segment, onMesh, onLine);
        if (away <= least) {
          least = away;
          found = { onLine: plain(onLine), onThing: plain(onMesh) };
        }
        return least === 0;
      },
    });
    if (!found) return null;
    const { onLine: at } = found as { onLine: Vec3 };
    const long = segment.distance();
    return {
      distanceMm: least,
      share: long
        ? Math.min(1, Math.hypot(at[0] - from[0], at[1] - from[1], at[2] - from[2]) / long)
        : 0,
      ...(found as { onLine: Vec3; onThing: Vec3 }),
    };
  };
  return {
    box: { min: plain(box.min), max: plain(box.max) },
    triangles: positions.length / 9,
    nearest,
  };
}

/** How far two boxes are apart; 0 where they meet. */
function boxDistance(a: Box3, b: Box3): number {
  const off = (axis: 'x' | 'y' | 'z'): number =>
    Math.max(a.min[axis] - b.max[axis], b.min[axis] - a.max[axis], 0);
  return Math.hypot(off('x'), off('y'), off('z'));
}
