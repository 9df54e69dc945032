import type { Vec3 } from '@firm-line/core/lib/vec';
import type { BufferGeometry, Group } from 'three';
import {
  BoxGeometry,
  DoubleSide,
  InstancedMesh,
  type Material,
  Line,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  SphereGeometry,
  Vector3,
  type Object3D,
} from 'three';
import { token } from './colors';

export const vector = (v: Vec3): Vector3 => new Vector3(v[0], v[1], v[2]);
export const plain = (v: Vector3): Vec3 => [v.x, v.y, v.z];
export const MOST_HANDLES = 512;

/** Whether the browser has no graphics processor to draw with: smooth edges then cost several times the rest. */
export function drawnByCpu(): boolean {
  const probe = document.createElement('canvas').getContext('webgl2');
  const names = probe?.getExtension('WEBGL_debug_renderer_info');
  const by = names ? String(probe!.getParameter(names.UNMASKED_RENDERER_WEBGL)) : '';
  probe?.getExtension('WEBGL_lose_context')?.loseContext();
  return /swiftshader|llvmpipe|software/i.test(by);
}

/** Boxes of one size at many places, as one thing to draw. */
export function boxes(
  places: readonly Vec3[],
  size: readonly [number, number, number],
  ink: string,
): InstancedMesh {
  const made = new InstancedMesh(new BoxGeometry(...size), matt(ink, 1, 'many'), places.length);
  for (const [i, at] of places.entries()) made.setMatrixAt(i, new Matrix4().makeTranslation(...at));
  made.frustumCulled = false;
  return made;
}

/** Materials by what they look like, made once: a new one each time would have its shader compiled each time. */
export const made = new Map<string, Material>();
export function kept<T extends Material>(key: string, make: () => T): T {
  const known = made.get(key) as T | undefined;
  if (known) return known;
  const fresh = make();
  made.set(key, fresh);
  return fresh;
}
/** One material for single things and another for many of a kind: shared between both, its shader would change at every picture. */
export const matt = (ink: string, opacity = 1, use: 'one' | 'many' = 'one'): MeshLambertMaterial =>
  kept(
    `matt ${ink} ${opacity} ${use}`,
    () =>
      new MeshLambertMaterial({
        color: token(ink),
        transparent: opacity < 1,
        opacity,
        depthWrite: opacity === 1,
        side: DoubleSide,
        // Both sides in a single pass: in two, three looks the shader up again for every picture.
        forceSinglePass: true,
      }),
  );

export function handles(order: number): InstancedMesh {
  const made = new InstancedMesh(
    new SphereGeometry(1, 16, 12),
    new MeshBasicMaterial({ depthTest: false, transparent: true }),
    MOST_HANDLES,
  );
  made.renderOrder = order;
  made.frustumCulled = false;
  made.count = 0;
  return made;
}

/** Empties a group and gives back the geometry it held on the card; materials are kept. */
export function clear(group: Group): void {
  group.traverse((item: Object3D) => {
    if (item instanceof Mesh || item instanceof Line || item instanceof LineSegments) {
      (item.geometry as BufferGeometry).dispose();
      if (item instanceof InstancedMesh) item.dispose();
    }
  });
  group.clear();
}
