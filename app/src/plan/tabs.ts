import { Injectable, signal } from '@angular/core';
import { Subject } from 'rxjs';

type Message =
  | { readonly kind: 'open' | 'here' | 'closed'; readonly tab: string; readonly planId: string }
  | { readonly kind: 'saved'; readonly tab: string; readonly planId: string; readonly revision: number };

/** Tabs of one browser telling each other which plan they hold and when they saved it. */
@Injectable({ providedIn: 'root' })
export class Tabs {
  private readonly tab = crypto.randomUUID();
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('firm-line');
  private planId: string | null = null;
  private readonly beside = signal<ReadonlySet<string>>(new Set());
  /** Other tabs that hold the same plan. */
  readonly others = this.beside.asReadonly();
  private readonly savedElsewhere = new Subject<number>();
  /** Revisions of this plan written by another tab. */
  readonly savedElsewhere$ = this.savedElsewhere.asObservable();

  constructor() {
    this.channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => this.hear(data));
    addEventListener('pagehide', () => this.leave());
    // Held as long as the tab lives: a tab that is killed says no goodbye, but lets go of this.
    void navigator.locks?.request(this.tab, () => new Promise(() => undefined));
  }

  hold(planId: string): void {
    this.leave();
    this.planId = planId;
    this.channel?.postMessage({ kind: 'open', tab: this.tab, planId } satisfies Message);
  }

  leave(): void {
    if (this.planId) this.channel?.postMessage({ kind: 'closed', tab: this.tab, planId: this.planId } satisfies Message);
    this.planId = null;
    this.beside.set(new Set());
  }

  saved(planId: string, revision: number): void {
    this.channel?.postMessage({ kind: 'saved', tab: this.tab, planId, revision } satisfies Message);
  }

  private gone(tab: string): void {
    this.beside.update((tabs) => new Set([...tabs].filter((one) => one !== tab)));
  }
  private hear(message: Message): void {
    if (message.planId !== this.planId) return;
    if (message.kind === 'saved') return this.savedElsewhere.next(message.revision);
    const tabs = new Set(this.beside());
    if (message.kind === 'closed') tabs.delete(message.tab);
    else if (!tabs.has(message.tab)) {
      tabs.add(message.tab);
      void navigator.locks?.request(message.tab, () => this.gone(message.tab));
    }
    this.beside.set(tabs);
    if (message.kind === 'open')
      this.channel?.postMessage({ kind: 'here', tab: this.tab, planId: this.planId } satisfies Message);
  }
}
