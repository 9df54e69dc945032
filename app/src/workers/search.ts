import { computed, signal } from '@angular/core';

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

/** What a search is about: what it finds holds for that, in the plan as it was. */
export interface SearchedFor {
  readonly id: string;
  readonly plan: unknown;
}

/** Looks for something in a worker of its own: what is cancelled is ended at once. */
export class Search<Request, Found> {
  private worker: Worker | null = null;
  private readonly now = signal<SearchState<Found>>({ kind: 'idle' });
  private readonly asked = signal<SearchedFor | null>(null);
  readonly state = this.now.asReadonly();
  readonly busy = computed(() => this.now().kind === 'looking');
  /** How far it is, 0 to 1. */
  readonly share = computed(() => {
    const state = this.now();
    return state.kind === 'looking' ? state.share : 0;
  });
  /** Why nothing was found; null where nothing is to be said. */
  readonly message = computed(() => {
    const state = this.now();
    return state.kind === 'none' ? state.message : null;
  });
  constructor(private readonly create: () => Worker) {}

  /** What was found for something; null where that was not searched for or nothing was found. */
  foundFor(id: string): Found | null {
    const state = this.now();
    return state.kind === 'found' && this.asked()?.id === id ? state.found : null;
  }
  /** Whether what runs or was found is about something else, or about a plan that has changed since. */
  isStale({ id, plan }: SearchedFor): boolean {
    const asked = this.asked();
    return asked !== null && (asked.id !== id || asked.plan !== plan);
  }

  look(request: Request, about: SearchedFor): void {
    this.cancel();
    this.asked.set(about);
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
    this.asked.set(null);
    this.now.set({ kind: 'idle' });
  }
  private end(): void {
    this.worker?.terminate();
    this.worker = null;
  }
}
