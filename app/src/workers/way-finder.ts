import { Injectable, signal } from '@angular/core';
import type { FoundWay } from '@firm-line/core/ways';
import type { WayAnswer, WayRequest } from './protocol';
import { createWayWorker } from './way-worker.factory';

export type WayState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'looking'; readonly share: number }
  | { readonly kind: 'found'; readonly ways: readonly FoundWay[] }
  | { readonly kind: 'none'; readonly message: string };

/** Looks for ways in a worker of its own: what is cancelled is ended at once. */
@Injectable({ providedIn: 'root' })
export class WayFinder {
  private worker: Worker | null = null;
  private readonly now = signal<WayState>({ kind: 'idle' });
  readonly state = this.now.asReadonly();

  look(request: WayRequest): void {
    this.cancel();
    this.now.set({ kind: 'looking', share: 0 });
    const worker = (this.worker = createWayWorker());
    worker.addEventListener('message', ({ data }: MessageEvent<WayAnswer>) => {
      if (worker !== this.worker) return;
      if (data.kind === 'progress') return this.now.set({ kind: 'looking', share: data.share });
      this.end();
      this.now.set(data.kind === 'ways' ? { kind: 'found', ways: data.ways } : { kind: 'none', message: data.message });
    });
    worker.addEventListener('error', () => {
      if (worker !== this.worker) return;
      this.end();
      this.now.set({ kind: 'none', message: 'The search stopped; try again.' });
    });
    worker.postMessage(request);
  }
  cancel(): void {
    this.end();
    this.now.set({ kind: 'idle' });
  }
  private end(): void {
    this.worker?.terminate();
    this.worker = null;
  }
}
