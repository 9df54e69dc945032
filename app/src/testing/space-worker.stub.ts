import { lineSpace, type Around } from '@firm-line/core/plan';
import type { SpaceRequest } from '../workers/protocol';

/** Measures in the page, as the worker does; a request that is no line is not answered. */
class InPageSpace extends EventTarget {
  private around!: Around;
  postMessage(request: SpaceRequest): void {
    if (request.kind === 'around') {
      this.around = request;
      return;
    }
    queueMicrotask(() =>
      this.dispatchEvent(new MessageEvent('message', { data: lineSpace(this.around, structuredClone(request.view)) })),
    );
  }
}
export const createSpaceWorker = (): Worker => new InPageSpace() as unknown as Worker;
