import { computed, inject, Injectable, signal } from '@angular/core';
import { deltaOf, type Plan } from '@firm-line/core/plan';
import type { Fix, Snag } from '@firm-line/core/inspect';
import { onPainted } from '../kit/after-paint';
import { Notices } from '../kit/notices';
import { Calls } from '../worker/calls';
import type { InspectJobs, InspectedSnag } from '../worker/jobs/inspect';
import { createInspectWorker } from '../worker/workers';

interface Answered {
  readonly plan: Plan;
  readonly snags: readonly Snag[];
}

/** Inspects the open plan in a worker. One state of it is under way at a time, and of those that wait only the newest counts. */
@Injectable({ providedIn: 'root' })
export class Inspection {
  private readonly notices = inject(Notices);
  private readonly calls = new Calls<InspectJobs>(createInspectWorker, 'The check for snags');
  private readonly answered = signal<Answered | null>(null);
  /** The plan as the worker has it. */
  private told: Plan | null = null;
  private next: Plan | null = null;
  private unchecked: Plan | null = null;
  private busy = false;
  private known = new Map<number, Snag>();
  private fixes = new Map<Snag, Promise<Fix | null>>();
  private fixing: Promise<unknown> = Promise.resolve();

  /** Snags found last; they hold for the plan that `isOf` says. */
  readonly last = computed(() => this.answered()?.snags ?? []);
  isOf(plan: Plan): boolean {
    return this.answered()?.plan === plan;
  }

  look(plan: Plan): void {
    this.unchecked = null;
    this.next = plan === this.told ? null : plan;
    // What the edit draws comes first: the strip is on screen before anything is sent.
    if (this.next && !this.busy) onPainted(() => void this.run());
  }
  /** Starts on a plan that is still being validated: a failure here is not reported, since the check reports it. */
  lookAhead(plan: Plan): void {
    this.look(plan);
    this.unchecked = plan;
  }
  forget(): void {
    this.next = null;
    this.told = null;
    this.known.clear();
    this.answered.set(null);
    this.calls.end();
  }

  /** The fix of a snag that is shown; null where there is none, or it is of another state of the plan. */
  fixOf(snag: Snag): Promise<Fix | null> {
    if (!snag.fixable) return Promise.resolve(null);
    const before = this.fixes.get(snag);
    if (before) return before;
    // One after another and after the inspection, which is wanted sooner.
    const found = this.fixing.then(() => this.askFix(snag));
    this.fixing = found;
    this.fixes.set(snag, found);
    return found;
  }
  private async askFix(snag: Snag): Promise<Fix | null> {
    if (this.busy || this.next || !this.last().includes(snag)) return this.lapse(snag);
    const { told } = this;
    try {
      const fix = await this.calls.call('fix', snag.key);
      return this.told === told && !this.next ? fix : this.lapse(snag);
    } catch {
      return this.lapse(snag);
    }
  }
  /** It is asked for again when the snag is shown next. */
  private lapse(snag: Snag): null {
    this.fixes.delete(snag);
    return null;
  }

  private async run(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    for (let plan = this.next; plan; plan = this.next) {
      this.next = null;
      try {
        const snags = await this.ask(plan);
        this.answered.set({ plan, snags: this.same(snags) });
      } catch (error) {
        this.told = null;
        const isCancelled = error instanceof Error && error.message === 'Cancelled.';
        if (!this.next && !isCancelled && plan !== this.unchecked)
          this.notices.say(`${(error as Error).message} Snags appear again after the next edit.`);
      }
    }
    this.busy = false;
  }
  private ask(plan: Plan): Promise<readonly InspectedSnag[]> {
    const before = this.calls.alive && this.told?.id === plan.id ? this.told : null;
    this.told = plan;
    return before
      ? this.calls.call('change', deltaOf(before, plan))
      : this.calls.call('open', plan);
  }
  /** Snags that were there before stay the same objects, so that their rows and fixes stay too. */
  private same(snags: readonly InspectedSnag[]): readonly Snag[] {
    const now = new Map(snags.map((snag) => [snag.serial, this.known.get(snag.serial) ?? snag]));
    this.known = now;
    const kept = new Set(now.values());
    this.fixes = new Map([...this.fixes].filter(([snag]) => kept.has(snag)));
    return [...now.values()];
  }
}
