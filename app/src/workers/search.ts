import { signal } from '@angular/core';

/** What a search in a worker says: how far it is, then once what it found or why nothing. */
export type SearchAnswer<T> =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'found'; readonly found: T }
  | { readonly kind: 'none'; readonly message: string };
export type SearchState<T> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'looking'; readonly share: number }
  | { readonly kind: 'found'; readonly found: T }
  | { readonly kind: 'none'; readonly message: string };

/** Looks for something in a worker of its own: what is cancelled is ended at once. */
export class Search<Request, Found> {
  private worker: Worker | null = null;
  private readonly now = signal<SearchState<Found>>({ kind: 'idle' });
  readonly state = this.now.asReadonly();
  constructor(private readonly create: () => Worker) {}

  look(request: Request): void {
    this.cancel();
    this.now.set({ kind: 'looking', share: 0 });
    const worker = (this.worker = this.create());
    worker.addEventListener('message', ({ data }: MessageEvent<SearchAnswer<Found>>) => {
      if (worker !== this.worker) return;
      if (data.kind === 'progress') return this.now.set({ kind: 'looking', share: data.share });
      this.end();
      this.now.set(data);
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
