import { waysFor } from '@firm-line/core/ways';
import type { WayAnswer, WayRequest } from '../workers/protocol';

/** The way-finder's work done in the page, for specs that run where there are no workers. */
class InPage extends EventTarget {
  postMessage({ plan, lineId, pitchMm }: WayRequest): void {
    const answer = (): WayAnswer => {
      try {
        return { kind: 'ways', ways: waysFor(plan, lineId, pitchMm) };
      } catch (error) {
        return { kind: 'none', message: (error as Error).message };
      }
    };
    queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: answer() })));
  }
  terminate(): void {}
}

export const createWayWorker = (): Worker => new InPage() as unknown as Worker;
