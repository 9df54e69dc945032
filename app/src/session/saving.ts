import { computed, inject, Injectable, signal } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import { Subject } from 'rxjs';
import { onPainted } from '../kit/after-paint';
import { PlanDb, PlanDeleted, RevisionConflict } from '../storage/plan-db';
import { Tabs } from './tabs';

/** After a failure it is tried again after so many ms, each time later, until it holds. */
const AGAIN_MS = [500, 1000, 2000, 5000, 10_000];

/** Keeps the open plan: writes until what is shown is what is kept, and tells of what stands in the way. */
@Injectable({ providedIn: 'root' })
export class Saving {
  private readonly db = inject(PlanDb);
  private readonly tabs = inject(Tabs);
  private readonly wanted = signal<Plan | null>(null);
  private readonly written = signal<Plan | null>(null);
  private readonly failureNow = signal<string | null>(null);
  private revisionNow = 0;
  private running: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private failures = 0;
  private readonly overtaken = new Subject<Plan>();
  /** Another tab wrote the plan at the same moment: what was to be written here. */
  readonly overtaken$ = this.overtaken.asObservable();

  readonly state = computed<'saved' | 'saving' | 'failed'>(() =>
    this.wanted() === this.written() ? 'saved' : this.failureNow() ? 'failed' : 'saving',
  );
  /** Why it is not saved; it is tried again by itself. */
  readonly failure = computed(() => (this.state() === 'failed' ? this.failureNow() : null));

  constructor() {
    addEventListener('beforeunload', (event) => {
      if (this.state() !== 'saved') event.preventDefault();
    });
  }
  get revision(): number {
    return this.revisionNow;
  }

  /** From here on it is about this plan as it is kept at a revision; `kept` where it is kept just so. */
  begin(plan: Plan | null, revision: number, kept: boolean): void {
    clearTimeout(this.timer);
    this.failures = 0;
    this.failureNow.set(null);
    this.revisionNow = revision;
    this.wanted.set(kept ? plan : null);
    this.written.set(kept ? plan : null);
  }
  keep(plan: Plan): void {
    this.wanted.set(plan);
    // Asked for once there is something to lose; a browser that says no may clear plans when space is short.
    if (this.revisionNow <= 1) void navigator.storage?.persist?.();
    // What the edit draws comes first.
    onPainted(() => void this.run());
  }
  /** Writes what is to be written; resolves with whether all of it is kept. */
  async settle(): Promise<boolean> {
    await this.run();
    return this.state() === 'saved';
  }

  private run(): Promise<void> {
    clearTimeout(this.timer);
    this.running ??= this.write().finally(() => (this.running = null));
    return this.running;
  }
  private async write(): Promise<void> {
    for (let plan = this.wanted(); plan && plan !== this.written(); plan = this.wanted()) {
      try {
        const revision = await this.db.write(plan, this.revisionNow);
        this.failures = 0;
        this.failureNow.set(null);
        this.revisionNow = revision;
        this.written.set(plan);
        this.tabs.saved(plan.id, revision);
      } catch (error) {
        if (error instanceof RevisionConflict) {
          const ours = this.wanted()!;
          this.written.set(ours);
          return this.overtaken.next(ours);
        }
        this.failureNow.set((error as Error).message || String(error));
        if (error instanceof PlanDeleted) return;
        this.timer = setTimeout(
          () => void this.run(),
          AGAIN_MS[Math.min(this.failures++, AGAIN_MS.length - 1)],
        );
        return;
      }
    }
  }
}
