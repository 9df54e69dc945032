import { Matrix4, Mesh, Vector3, type BufferGeometry, type Object3D } from 'three';
import { GLTFLoader } from 'three/addons/loaders/GLTFLoader.js';
import { OBJLoader } from 'three/addons/loaders/OBJLoader.js';
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { InputError } from '../../../lib/faults/index.ts';

const MESH_ENDINGS = ['glb', 'gltf', 'stl', 'obj'] as const;
/** More than this is no scenery for a browser. */
const MOST_TRIANGLES = 1_000_000;
export const MOST_MESH_BYTES = 120_000_000;

const refuse = (name: string, why: string): never => {
  throw new InputError('file', `${name}: ${why}`);
};

/** All triangles of a scene as one run of numbers, nine a triangle, each where its parents put it. */
function trianglesOf(name: string, root: Object3D | BufferGeometry): Float32Array {
  const found: { geometry: BufferGeometry; matrix: Matrix4 }[] = [];
  if ('isBufferGeometry' in root) found.push({ geometry: root, matrix: new Matrix4() });
  else {
    root.updateMatrixWorld(true);
    root.traverse((item) => {
      if (item instanceof Mesh)
        found.push({ geometry: item.geometry as BufferGeometry, matrix: item.matrixWorld });
    });
  }
  const corners = found.reduce(
    (sum, { geometry }) =>
      sum + (geometry.index?.count ?? geometry.getAttribute('position')?.count ?? 0),
    0,
  );
  if (corners < 3) refuse(name, 'it has no triangles.');
  if (corners / 3 > MOST_TRIANGLES)
    refuse(
      name,
      `it holds ${Math.round(corners / 3)} triangles; ${MOST_TRIANGLES} is the limit. Export a coarser mesh.`,
    );
  const out = new Float32Array(Math.floor(corners / 3) * 9);
  let at = 0;
  const v = new Vector3();
  for (const { geometry, matrix } of found) {
    const position = geometry.getAttribute('position');
    if (!position) continue;
    const count = geometry.index?.count ?? position.count;
    for (let i = 0; i < count - (count % 3) && at < out.length; i++) {
      v.fromBufferAttribute(position, geometry.index ? geometry.index.getX(i) : i).applyMatrix4(
        matrix,
      );
      out[at++] = v.x;
      out[at++] = v.y;
      out[at++] = v.z;
    }
  }
  const bad = out.findIndex((value) => !Number.isFinite(value));
  if (bad >= 0)
    refuse(name, `a corner of triangle ${Math.floor(bad / 9) + 1} has no position (not a number).`);
  return out;
}

/** glTF has y up and z toward the viewer; a vehicle drawn in it looks along +z. Here x runs aft, y right, z up. */
const FROM_GLTF = new Matrix4().set(0, 0, -1, 0, -1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1);

/**
 * The triangles of a mesh file, in the file's own units: nine numbers each. glTF is turned from its own
 * axes into the vehicle's; STL and OBJ say nothing of axes and are taken as they stand. Throws InputError
 * with one sentence for a file that is none, is empty, too large, or holds what is no number.
 */
export async function readMesh(name: string, bytes: ArrayBuffer): Promise<Float32Array> {
  const ending = name.toLowerCase().split('.').pop() ?? '';
  if (!MESH_ENDINGS.includes(ending as 'glb'))
    refuse(name, `mesh files must be ${MESH_ENDINGS.join(', ')}.`);
  if (!bytes.byteLength) refuse(name, 'the file is empty.');
  if (bytes.byteLength > MOST_MESH_BYTES)
    refuse(
      name,
      `it holds ${Math.round(bytes.byteLength / 1e6)} MB; ${MOST_MESH_BYTES / 1e6} MB is the limit.`,
    );
  let root: Object3D | BufferGeometry;
  try {
    if (ending === 'stl') root = new STLLoader().parse(bytes);
    else if (ending === 'obj') root = new OBJLoader().parse(new TextDecoder().decode(bytes));
    else {
      const { scene } = await new GLTFLoader().parseAsync(
        ending === 'gltf' ? new TextDecoder().decode(bytes) : bytes,
        '',
      );
      scene.applyMatrix4(FROM_GLTF);
      root = scene;
    }
  } catch (error) {
    return refuse(
      name,
      `it cannot be read as ${ending.toUpperCase()} (${(error as Error).message}).`,
    );
  }
  return trianglesOf(name, root);
}
