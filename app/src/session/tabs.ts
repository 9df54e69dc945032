import { computed, Injectable, signal } from '@angular/core';
import { Subject } from 'rxjs';
import { newId } from '../storage/new-id';

type Message = { readonly tab: string; readonly planId: string } & (
  | { readonly kind: 'open' | 'here' | 'closed' | 'take' | 'deleted' | 'restored' }
  | { readonly kind: 'saved'; readonly revision: number }
  | { readonly kind: 'rename'; readonly name: string }
);
/** What other tabs do to the plan that this one holds. */
export type Heard =
  | { readonly kind: 'saved'; readonly revision: number }
  | { readonly kind: 'rename'; readonly name: string }
  | { readonly kind: 'deleted' | 'restored' };
/** One tab writes a plan; the others on it follow. */
export type Role = 'writer' | 'follower';

/** Timeout after which an unresponsive tab loses its lock, ms. */
const DEAD_MS = 3000;
const lockOf = (planId: string): string => `firm-line plan ${planId}`;

/**
 * Tabs of one browser on one plan. Who holds the plan's lock writes it; the others follow and can take
 * over. Without locks (no secure origin) every tab writes, and the revision of each write tells of the others.
 */
@Injectable({ providedIn: 'root' })
export class Tabs {
  private readonly tab = newId();
  private readonly channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('firm-line');
  private readonly locks = (navigator as { locks?: LockManager }).locks;
  private planId: string | null = null;
  private release: () => void = () => undefined;
  private queued: AbortController | null = null;
  /** Takes the plan from a tab that does not answer. */
  private stealing: ReturnType<typeof setTimeout> | undefined;
  private readonly beside = signal<ReadonlySet<string>>(new Set());
  /** Other tabs that hold the same plan. */
  readonly others = this.beside.asReadonly();
  private readonly roleNow = signal<Role>('follower');
  readonly role = this.roleNow.asReadonly();
  /** It writes, and no other tab can. */
  readonly owns = computed(() => this.roleNow() === 'writer' && this.locks !== undefined);
  private readonly heard = new Subject<Heard>();
  readonly heard$ = this.heard.asObservable();
  /** Done before the plan is given to another tab, and before it is written here after another. */
  beforeGiving: () => Promise<unknown> = () => Promise.resolve();
  beforeWriting: () => Promise<unknown> = () => Promise.resolve();

  constructor() {
    this.channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => this.hear(data));
    addEventListener('pagehide', () => this.leave());
    addEventListener('pageshow', (event) => event.persisted && location.reload());
    // Held as long as the tab lives: a tab that is killed says no goodbye, but lets go of this.
    void this.locks?.request(this.tab, () => new Promise(() => undefined));
  }

  /** Takes hold of a plan; resolves once it is known whether this tab writes it or follows. */
  async hold(planId: string): Promise<Role> {
    if (this.planId === planId) return this.role();
    this.leave();
    this.planId = planId;
    this.say({ kind: 'open' });
    if (!this.locks) this.roleNow.set('writer');
    else if (!(await this.lock(planId, { ifAvailable: true }))) this.queue(planId);
    return this.role();
  }
  leave(): void {
    if (this.planId) this.say({ kind: 'closed' });
    this.planId = null;
    this.letGo();
    this.beside.set(new Set());
  }

  /** Makes this tab the one that writes; the other saves what it has first. */
  takeOver(): void {
    const { planId } = this;
    if (!planId || this.role() === 'writer') return;
    this.say({ kind: 'take' });
    clearTimeout(this.stealing);
    this.stealing = setTimeout(() => {
      if (this.planId === planId && this.role() !== 'writer')
        void this.lock(planId, { steal: true });
    }, DEAD_MS);
  }

  saved(planId: string, revision: number): void {
    this.channel?.postMessage({ kind: 'saved', tab: this.tab, planId, revision } satisfies Message);
  }
  /** Tells the tabs that hold a plan of something done to it in the list of plans. */
  tell(
    planId: string,
    message: { kind: 'deleted' | 'restored' } | { kind: 'rename'; name: string },
  ): void {
    this.channel?.postMessage({ ...message, tab: this.tab, planId } satisfies Message);
  }
  /** Whether some tab writes this plan now. */
  async isWritten(planId: string): Promise<boolean> {
    const { held = [] } = (await this.locks?.query()) ?? {};
    return held.some((lock) => lock.name === lockOf(planId));
  }

  private say(message: { kind: 'open' | 'here' | 'closed' | 'take' }): void {
    this.channel?.postMessage({
      ...message,
      tab: this.tab,
      planId: this.planId!,
    } satisfies Message);
  }
  private letGo(): void {
    this.queued?.abort();
    this.queued = null;
    this.release();
    this.release = () => undefined;
    this.roleNow.set('follower');
  }

  /** Asks for the plan's lock; resolves with whether it was had, and holds it until it is let go. */
  private lock(planId: string, options: LockOptions): Promise<boolean> {
    return new Promise((had) => {
      void this.locks!.request(lockOf(planId), options, async (lock) => {
        if (!lock || this.planId !== planId) return had(false);
        const held = new Promise<void>((free) => (this.release = free));
        if (!options.ifAvailable) await this.beforeWriting();
        // It was given: what is asked for later by another tab is not taken back from it.
        clearTimeout(this.stealing);
        if (this.planId === planId) this.roleNow.set('writer');
        had(true);
        return held;
      }).catch(() => {
        // Taken by another tab, or no longer wanted.
        had(false);
        if (this.planId !== planId || this.role() !== 'writer') return;
        this.letGo();
        this.queue(planId);
      });
    });
  }
  private queue(planId: string): void {
    this.queued = new AbortController();
    void this.lock(planId, { signal: this.queued.signal });
  }

  private async give(planId: string): Promise<void> {
    await this.beforeGiving();
    if (this.planId !== planId) return;
    this.letGo();
    // Behind the tab that asked for it.
    setTimeout(
      () => this.planId === planId && this.role() === 'follower' && this.queue(planId),
      200,
    );
  }
  private standAside(planId: string): void {
    this.queued?.abort();
    setTimeout(
      () => this.planId === planId && this.role() === 'follower' && this.queue(planId),
      400,
    );
  }

  private gone(tab: string): void {
    this.beside.update((tabs) => new Set([...tabs].filter((one) => one !== tab)));
  }
  private hear(message: Message): void {
    if (message.planId !== this.planId) return;
    switch (message.kind) {
      case 'saved':
      case 'rename':
        return this.heard.next(message);
      case 'deleted':
      case 'restored':
        return this.heard.next({ kind: message.kind });
      case 'closed':
        return this.gone(message.tab);
      case 'take':
        return void (this.role() === 'writer'
          ? this.give(this.planId)
          : this.standAside(this.planId));
    }
    if (!this.beside().has(message.tab)) {
      this.beside.update((tabs) => new Set([...tabs, message.tab]));
      void this.locks?.request(message.tab, () => this.gone(message.tab));
    }
    if (message.kind === 'open') this.say({ kind: 'here' });
  }
}
