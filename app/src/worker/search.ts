import { computed, signal } from '@angular/core';
import { Calls, type Jobs, type Progress } from './calls';

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
/** Jobs of a worker that looks for something. */
export interface SearchJobs<Request, Found> extends Jobs {
  readonly find: (request: Request, progress: Progress) => Found | Promise<Found>;
}

/** Looks for something in a worker of its own: what is cancelled is ended at once. */
export class Search<Request, Found> {
  private readonly calls: Calls<SearchJobs<Request, Found>>;
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
  constructor(create: () => Worker) {
    this.calls = new Calls(create, 'The search');
  }

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
    const ours = (): boolean => this.asked() === about;
    const progress = (share: number): void =>
      ours() ? this.now.set({ kind: 'looking', share }) : undefined;
    void this.calls.call('find', request as never, { progress }).then(
      (found) =>
        ours() && (this.now.set({ kind: 'found', found: found as Found }), this.calls.end()),
      (error: Error) => ours() && this.now.set({ kind: 'none', message: error.message }),
    );
  }
  cancel(): void {
    this.asked.set(null);
    this.now.set({ kind: 'idle' });
    this.calls.end();
  }
}
