import { afterNextRender, computed, DestroyRef, inject, Injectable, Injector, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { InputError } from '@firm-line/core/fault';
import { applyEdit, PLAN_VERSION, viewPlan, type EditCall, type Plan } from '@firm-line/core/plan';
import type { Snag } from '@firm-line/core/snags';
import { exhaustMap, filter, from, Subject } from 'rxjs';
import { Notices } from '../kit/notices';
import { PlanRefused, PlanWorker } from '../workers/plan-worker';
import { PlanDb, RevisionConflict } from './plan-db';
import { Meshes } from './meshes';
import { PlanFiles } from './plan-files';
import { Tabs } from './tabs';

/** `checking`: shown, not yet to be edited. `refused`: shown for what it is worth, never edited. */
export type Phase = 'none' | 'loading' | 'checking' | 'ready' | 'refused' | 'missing';

const MOST_UNDO = 200;

/** The open plan: what it is, what follows from it, its edits with undo, and whether it is saved. */
@Injectable({ providedIn: 'root' })
export class PlanStore {
  private readonly db = inject(PlanDb);
  private readonly files = inject(PlanFiles);
  private readonly meshes = inject(Meshes);
  private readonly worker = inject(PlanWorker);
  private readonly tabs = inject(Tabs);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);

  private readonly current = signal<Plan | null>(null);
  private readonly phaseNow = signal<Phase>('none');
  private readonly written = signal<Plan | null>(null);
  private readonly failure = signal<string | null>(null);
  private readonly before = signal<readonly Plan[]>([]);
  private readonly after = signal<readonly Plan[]>([]);
  private revision = 0;
  private readonly changed = new Subject<void>();

  readonly plan = this.current.asReadonly();
  readonly phase = this.phaseNow.asReadonly();
  readonly editable = computed(() => this.phaseNow() === 'ready');
  readonly view = computed(() => {
    const plan = this.current();
    return plan ? viewPlan(plan) : null;
  });
  private readonly settledNow = signal(false);
  readonly settled = this.settledNow.asReadonly();
  /** The rules come in after the plan is on screen: it can be edited before they are there. */
  private readonly rules = signal<((plan: Plan) => Snag[]) | null>(null);
  readonly judged = computed(() => this.rules() !== null);
  readonly snags = computed(() => {
    const plan = this.current();
    return (plan && this.rules()?.(plan)) ?? [];
  });
  readonly units = computed(() => this.current()?.units ?? 'metric');
  readonly saved = computed<'saved' | 'saving' | 'failed'>(() =>
    this.failure() ? 'failed' : this.written() === this.current() ? 'saved' : 'saving',
  );
  readonly saveFailure = this.failure.asReadonly();
  readonly canUndo = computed(() => this.before().length > 0);
  readonly canRedo = computed(() => this.after().length > 0);

  constructor() {
    const destroyed = takeUntilDestroyed(inject(DestroyRef));
    this.changed.pipe(exhaustMap(() => from(this.writeUntilClean())), destroyed).subscribe(); // prettier-ignore
    this.tabs.savedElsewhere$.pipe(filter((revision) => revision > this.revision), takeUntilDestroyed(inject(DestroyRef))).subscribe(() => void this.takeOver()); // prettier-ignore
  }

  /** Once the plan is on screen and takes input, what the first look does without may come in. */
  private onScreen(): void {
    if (this.settledNow()) return;
    const later = (): unknown => setTimeout(() => (this.settledNow.set(true), void this.judge()));
    afterNextRender(later, { injector: this.injector });
  }

  private async judge(): Promise<void> {
    try {
      const { inspect } = await import('@firm-line/core/snags');
      this.rules.set(inspect);
    } catch (error) {
      this.notices.say(`The snag rules did not load (${(error as Error).message}): no snag is shown. Load the page again.`);
    }
  }

  /** Opens a plan by id: out of the browser's store, else as a demo plan. Shown at once, edited once the worker has checked it. */
  async open(id: string): Promise<void> {
    const known = this.current()?.id === id && this.phaseNow() === 'ready';
    if (!known) this.show(null, 0, 'loading');
    try {
      const stored = await this.db.get(id);
      if (known && stored?.revision === this.revision && !stored.deletedAt) return this.tabs.hold(id);
      const found = stored && !stored.deletedAt ? stored.plan : await this.files.demo(id);
      if (!found) return this.phaseNow.set('missing');
      // A plan of an earlier version is shown as it has become.
      const plan = found.version === PLAN_VERSION ? found : await this.worker.check(found);
      this.show(plan, stored?.revision ?? 0, 'checking');
      if (stored && !stored.deletedAt) this.written.set(plan);
      await this.check(plan);
      this.onScreen();
      void this.withMeshes(plan);
      this.tabs.hold(id);
      this.changed.next();
    } catch (error) {
      this.phaseNow.set('missing');
      this.notices.say(`The plan cannot be opened: ${(error as Error).message}`);
    }
  }

  /** Applies a named edit. One that cannot be made says why and changes nothing. Returns whether it was made. */
  apply(...calls: readonly EditCall[]): boolean {
    const plan = this.current();
    if (!plan || !this.editable()) return false;
    try {
      this.step(plan, calls.reduce(applyEdit, plan)); // prettier-ignore
      return true;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.notices.say(error.message);
      return false;
    }
  }

  undo(): void {
    this.travel(this.before, this.after);
  }
  redo(): void {
    this.travel(this.after, this.before);
  }

  /** Brings in the meshes that the plan uses, and lets what follows from them be computed anew. */
  private async withMeshes(plan: Plan): Promise<void> {
    if (await this.meshes.of(plan)) this.recompute();
  }
  /** The same plan, looked at again: something that it rests on has become known. */
  recompute(): void {
    const plan = this.current();
    if (!plan) return;
    const again = { ...plan };
    if (this.written() === plan) this.written.set(again);
    this.current.set(again);
  }

  close(): void {
    this.tabs.leave();
  }

  private step(from: Plan, to: Plan): void {
    if (to === from) return;
    this.before.update((list) => [...list, from].slice(-MOST_UNDO));
    this.after.set([]);
    this.put(to);
  }

  private travel(source: typeof this.before, target: typeof this.before): void {
    const plan = this.current();
    const to = source().at(-1);
    if (!plan || !to || !this.editable()) return;
    source.update((list) => list.slice(0, -1));
    target.update((list) => [...list, plan]);
    this.put(to);
  }

  private put(plan: Plan): void {
    this.current.set({ ...plan, changedAt: new Date().toISOString() });
    this.changed.next();
  }

  private show(plan: Plan | null, revision: number, phase: Phase): void {
    this.before.set([]);
    this.after.set([]);
    this.failure.set(null);
    this.written.set(null);
    this.revision = revision;
    this.current.set(plan);
    this.phaseNow.set(phase);
  }

  private async check(plan: Plan): Promise<void> {
    try {
      await this.worker.check(plan);
      this.phaseNow.set('ready');
    } catch (error) {
      if (!(error instanceof PlanRefused)) throw error;
      this.phaseNow.set('refused');
      this.notices.say(
        'This plan was damaged where it is kept: it is shown but cannot be edited. Export it before anything else.',
        {
          details: error.faults.map((f) => `${f.path}: ${f.message}`),
        },
      );
    }
  }

  /** Writes until what is shown is what is kept. A failure is said and tried again at the next edit. */
  private async writeUntilClean(): Promise<void> {
    for (let plan = this.current(); plan && this.phaseNow() === 'ready' && plan !== this.written(); plan = this.current()) {
      try {
        this.revision = await this.db.write(plan, this.revision);
        this.written.set(plan);
        this.failure.set(null);
        this.tabs.saved(plan.id, this.revision);
      } catch (error) {
        if (error instanceof RevisionConflict) {
          await this.keepBoth(plan);
        } else {
          this.failure.set((error as Error).message);
          return;
        }
      }
    }
  }

  /** Another tab saved this plan: show what it saved. */
  private async takeOver(): Promise<void> {
    const id = this.current()?.id;
    const stored = id ? await this.db.get(id) : undefined;
    if (!stored || stored.revision <= this.revision) return;
    this.show(stored.plan, stored.revision, 'checking');
    this.written.set(stored.plan);
    await this.check(stored.plan);
    this.notices.say('Changed in another tab: this one shows the newer plan.');
  }

  /** Both tabs changed the plan at the same moment: theirs stays, ours becomes a plan of its own. Nothing is lost. */
  private async keepBoth(plan: Plan): Promise<void> {
    const copy: Plan = { ...plan, id: crypto.randomUUID(), name: `${plan.name} (from this tab)` };
    await this.db.write(copy, 0);
    await this.takeOver();
    this.notices.say(`Two tabs changed this plan at once. Yours is kept as "${copy.name}".`);
  }
}
