import { treeOf, type MeshData } from '@firm-line/core/shape/mesh';
import { readMesh } from '@firm-line/core/shape/mesh/read';

export interface ReadMesh extends MeshData {
  readonly digest: string;
}
const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('');

export const meshJobs = {
  /** Triangles of a mesh file with their tree, and the digest of the file. */
  async read({
    name,
    bytes,
  }: {
    readonly name: string;
    readonly bytes: ArrayBuffer;
  }): Promise<ReadMesh> {
    if (!crypto.subtle)
      throw new Error(
        'Mesh import needs HTTPS, or this machine as the server. Open the app at its https address.',
      );
    const digest = hex(await crypto.subtle.digest('SHA-256', bytes)).slice(0, 32);
    const positions = await readMesh(name, bytes);
    return { digest, positions, tree: treeOf(positions) };
  },
};
