import type { Plan } from '@firm-line/core/plan';
import { loadMeshes, meshesIn } from '../plan/load-meshes';
import type { SearchAnswer } from './search';

/** Answers searches in a worker, once the meshes of the plan they look through are known there. */
export function serveSearch<Request extends { readonly plan: Plan }, Found>(
  answer: (request: Request, progress: (share: number) => void) => SearchAnswer<Found>,
): void {
  const say = (said: SearchAnswer<Found>): void => postMessage(said);
  addEventListener('message', ({ data }: MessageEvent<Request>) => {
    void loadMeshes(meshesIn(data.plan))
      .then(() => say(answer(data, (share) => say({ kind: 'progress', share }))))
      .catch((error: unknown) => say({ kind: 'none', message: (error as Error).message }));
  });
}
