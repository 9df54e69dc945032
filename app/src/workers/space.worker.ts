import { lineSpace, type Around } from '@firm-line/core/plan';
import { loadMeshes, meshesIn } from '../plan/load-meshes';
import type { SpaceAnswer, SpaceRequest } from './protocol';

let around: Promise<Around> | null = null;

async function known({ things, holding }: Around): Promise<Around> {
  await loadMeshes(meshesIn({ things }));
  return { things, holding };
}

addEventListener('message', ({ data }: MessageEvent<SpaceRequest>) => {
  if (data.kind === 'around') {
    around = known(data);
    return;
  }
  void around!
    .then((plan) => postMessage(lineSpace(plan, data.view) satisfies SpaceAnswer))
    .catch(() => postMessage(null satisfies SpaceAnswer));
});
