import { addMesh, meshOf, type Thing } from '@firm-line/core/shape/obstacles';
import { readMeshes } from './read-kept';

/** Makes meshes known by their digests, as far as this browser keeps them, on the page or in a worker. True where one was not known before. */
export async function loadMeshes(digests: readonly string[]): Promise<boolean> {
  const missing = [...new Set(digests)].filter((digest) => !meshOf(digest));
  if (!missing.length) return false;
  const found = await readMeshes(missing);
  const { meshIndex } = await import('@firm-line/core/shape/mesh');
  for (const mesh of found) addMesh(mesh.digest, { ...meshIndex(mesh), positions: mesh.positions });
  return found.length > 0;
}

/** Digests of the meshes among a vehicle's things. */
export const meshesIn = ({ things }: { readonly things: readonly Thing[] }): string[] =>
  things.flatMap(({ shape }) => (shape.kind === 'mesh' ? [shape.digest] : []));
