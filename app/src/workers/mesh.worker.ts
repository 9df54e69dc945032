import { readMesh, treeOf } from '@firm-line/core/mesh';
import type { MeshAnswer, MeshRequest } from './protocol';

addEventListener('message', ({ data }: MessageEvent<MeshRequest>) => {
  void (async () => {
    try {
      const digest = [...new Uint8Array(await crypto.subtle.digest('SHA-256', data.bytes))].map((b) => b.toString(16).padStart(2, '0')).join('').slice(0, 32); // prettier-ignore
      const positions = await readMesh(data.name, data.bytes);
      const answer: MeshAnswer = { kind: 'mesh', digest, positions, tree: treeOf(positions) };
      postMessage(answer);
    } catch (error) {
      postMessage({ kind: 'refused', message: (error as Error).message } satisfies MeshAnswer);
    }
  })();
});
