import {
  ApplicationRef,
  afterNextRender,
  computed,
  inject,
  Injectable,
  Injector,
  signal,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { InputError } from '@firm-line/core/lib/faults';
import { quantitiesIn, shownUnits } from '@firm-line/core/lib/units';
import {
  applyEdits,
  freshId,
  PLAN_VERSION,
  PlanFileError,
  layPlan,
  validatePlan,
  type EditCall,
  type LaidPlan,
  type Plan,
} from '@firm-line/core/plan';
import type { MendedPlan } from '@firm-line/core/plan/file';
import { onPainted } from '../kit/after-paint';
import { idle } from '../kit/idle';
import { Notices } from '../kit/notices';
import { Meshes } from '../storage/meshes';
import { PlanDb } from '../storage/plan-db';
import { PlanFiles } from '../storage/plan-files';
import { PlanChecks } from '../worker/plan-checks';
import { Inspection } from './inspection';
import { Saving } from './saving';
import { Tabs, type Heard } from './tabs';

/**
 * `checking`: shown, not yet to be edited. `refused`: kept in a form that cannot be used; it can be mended or
 * handed out. `deleted`: deleted in another tab while it was open here.
 */
export type Phase = 'none' | 'loading' | 'checking' | 'ready' | 'refused' | 'missing' | 'deleted';

/** A kept plan that was refused: what it is as it stands, what is wrong, and the ways out. */
export interface Refused {
  readonly raw: Plan;
  readonly faults: readonly string[];
  readonly mended: MendedPlan | null;
  readonly lastGood: { readonly at: string; readonly plan: Plan } | null;
}

/** An edit that waits to be agreed to: what it would undo of work that is done. */
export interface PendingEdit {
  readonly calls: readonly EditCall[];
  readonly undoes: readonly string[];
}

const MOST_UNDO = 200;

/** The open plan: what it is, what follows from it, and its edits with undo. */
@Injectable({ providedIn: 'root' })
export class PlanStore {
  private readonly db = inject(PlanDb);
  private readonly files = inject(PlanFiles);
  private readonly meshes = inject(Meshes);
  private readonly checks = inject(PlanChecks);
  private readonly tabs = inject(Tabs);
  private readonly saving = inject(Saving);
  private readonly inspection = inject(Inspection);
  private readonly notices = inject(Notices);
  private readonly app = inject(ApplicationRef);
  private readonly injector = inject(Injector);

  private readonly current = signal<Plan | null>(null);
  private readonly phaseNow = signal<Phase>('none');
  private readonly refusedNow = signal<Refused | null>(null);
  private readonly before = signal<readonly Plan[]>([]);
  private readonly after = signal<readonly Plan[]>([]);
  private readonly interactiveNow = signal(false);
  private readonly heldNow = signal<PendingEdit | null>(null);
  /** Names of the done work that an edit would undo; loaded once there is such work. */
  private undoneBy: ((from: Plan, to: Plan) => readonly string[]) | null = null;
  /** Request counter: a stale open() result is dropped. */
  private opening = 0;

  /** The oldest state that undo still knows; null before anything was changed. */
  readonly oldest = computed(() => this.before()[0] ?? null);
  readonly isOpen = computed(() => this.current() !== null);
  /** The open plan. A station is shown only while there is one. */
  readonly plan = computed((): Plan => {
    const plan = this.current();
    if (!plan) throw new Error('No plan is open.');
    return plan;
  });
  readonly view = computed((): LaidPlan => {
    // Seen anew when a mesh has become known.
    this.meshes.known();
    return layPlan(this.plan());
  });
  readonly phase = this.phaseNow.asReadonly();
  readonly refused = this.refusedNow.asReadonly();
  readonly editable = computed(() => this.phaseNow() === 'ready' && this.tabs.role() === 'writer');
  readonly follows = computed(() => this.phaseNow() === 'ready' && this.tabs.role() === 'follower');
  /** Set once the plan is interactive; deferred code loads after it. */
  readonly interactive = this.interactiveNow.asReadonly();
  /** Snags of the plan as it is now; none while they are being looked for. */
  readonly snags = computed(() => (this.isJudged() ? this.inspection.last() : []));
  /** Whether the snags of the plan as it is now are known. */
  readonly isJudged = computed(() => this.isOpen() && this.inspection.isOf(this.plan()));
  /** Snags to keep room for while those of the plan as it is now are looked for: they are laid out, and hidden until then. */
  readonly laidOutSnags = computed(() => (this.isOpen() ? this.inspection.last() : []));
  readonly units = computed(() => this.current()?.units ?? 'metric');
  /** The unit of each other kind of figure, and words in them. */
  readonly shownUnits = computed(() => shownUnits(this.units(), this.current()?.ownUnits));
  readonly quantities = computed(() => quantitiesIn(this.shownUnits()));
  readonly saved = this.saving.state;
  readonly saveFailure = this.saving.failure;
  /** The edit that is asked about before it is made. */
  readonly held = this.heldNow.asReadonly();
  readonly canUndo = computed(() => this.editable() && this.before().length > 0);
  readonly canRedo = computed(() => this.editable() && this.after().length > 0);

  constructor() {
    this.saving.overtaken$.pipe(takeUntilDestroyed()).subscribe((ours) => void this.keepBoth(ours));
    this.tabs.heard$.pipe(takeUntilDestroyed()).subscribe((heard) => void this.onTabMessage(heard));
    this.tabs.beforeGiving = () => this.saving.settle();
    this.tabs.beforeWriting = () => this.follow();
  }

  /** Opens a plan by id: out of the browser's store, else as a demo plan. Shown at once, edited once the worker has checked it. */
  async open(id: string): Promise<void> {
    const known = this.current()?.id === id && this.phaseNow() === 'ready';
    const turn = ++this.opening;
    const isStale = (): boolean => turn !== this.opening;
    if (!known) this.resetTo(null, 'loading');
    try {
      const stored = await this.db.get(id).catch((error: unknown) => this.withoutStore(error));
      if (isStale()) return;
      if (known && stored?.revision === this.saving.revision && !stored.deletedAt)
        return void this.tabs.hold(id);
      const kept = stored && !stored.deletedAt ? stored : null;
      const found = kept ? kept.plan : await this.files.demo(id);
      if (isStale()) return;
      if (!found) return this.phaseNow.set('missing');
      await this.adoptPlan(found, kept?.revision ?? stored?.revision ?? 0, kept !== null, isStale);
    } catch (error) {
      if (isStale()) return;
      this.phaseNow.set('missing');
      this.notices.say(`The plan cannot be opened: ${(error as Error).message}`);
    }
  }
  private async adoptPlan(
    found: Plan,
    revision: number,
    kept: boolean,
    isStale: () => boolean,
  ): Promise<void> {
    try {
      // A plan of an earlier version is shown as it has become.
      const older = found.version !== PLAN_VERSION;
      const plan = older ? await this.checks.check(found) : found;
      if (isStale()) return;
      this.resetTo(plan, 'checking');
      this.saving.begin(plan, revision, kept && !older);
      // Painted first: the worker that checks it, and what it loads, come behind.
      await new Promise<void>(onPainted);
      if (isStale()) return;
      this.inspection.lookAhead(plan);
      if (!older) await this.checks.check(plan);
      if (isStale()) return;
      await this.tabs.hold(plan.id);
      if (isStale()) return;
      this.phaseNow.set('ready');
      this.onScreen(() => {
        void this.meshes.of(plan);
        // The worker's validation cache is not shared. Warm the page's own before the first edit.
        void idle().then(() => validatePlan(plan));
        if (!this.editable()) return;
        // Nothing to keep where it was edited by then: what it has become is kept already.
        if (!(kept && !older) && this.plan() === plan) this.saving.keep(plan);
        void this.db.keepGood(plan).catch(() => undefined);
      });
    } catch (error) {
      if (!(error instanceof PlanFileError) || isStale()) throw error;
      await this.refuse(found, error);
    }
  }
  /** The browser keeps nothing here: plans can be looked at, edited and exported. */
  private withoutStore(error: unknown): undefined {
    this.notices.say(
      `This browser cannot store plans here (${(error as Error).message}): export every plan you want to keep.`,
    );
    return undefined;
  }

  /**
   * Applies named edits as one. What cannot be made says why and changes nothing; what would undo work that is
   * done is held until it is agreed to. Returns whether it was made.
   */
  apply(...calls: readonly EditCall[]): boolean {
    return this.make(calls, (undoes) => {
      this.heldNow.set({ calls, undoes });
      return false;
    });
  }
  /** Makes the edit that was held, or lets it go. */
  answerHeld(agreed: boolean): void {
    const held = this.heldNow();
    this.heldNow.set(null);
    if (held && agreed) this.make(held.calls, () => true);
  }
  private make(
    calls: readonly EditCall[],
    agrees: (undoes: readonly string[]) => boolean,
  ): boolean {
    const plan = this.current();
    if (!plan) return false;
    if (!this.editable()) {
      this.notices.say(
        this.follows()
          ? 'Another tab is editing this plan. To edit here, press Edit here instead.'
          : 'The plan is still being checked. Try the change again in a moment.',
      );
      return false;
    }
    try {
      const to = applyEdits(plan, calls);
      const undoes = this.undoneBy?.(plan, to) ?? [];
      if (undoes.length && !agrees(undoes)) return false;
      this.pushEdit(plan, to);
      this.showSoon();
      return true;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      this.notices.say(error.message);
      return false;
    }
  }

  /**
   * What the edit changed is on the page before the next key or tap is heard: on a busy machine that may
   * already wait, and what it adds to would be the plan of before.
   */
  private showSoon(): void {
    queueMicrotask(() => {
      if (!this.app.destroyed) this.app.tick();
    });
  }

  /** The least unused id with a prefix in the open plan. */
  freshId(prefix: string): string {
    return freshId(this.plan(), prefix);
  }

  undo(): void {
    this.moveInHistory(this.before, this.after);
  }
  redo(): void {
    this.moveInHistory(this.after, this.before);
  }

  /** Takes what a refused plan was mended to, or what it was when it was last good. What stands kept is written over. */
  async takeInstead(plan: Plan): Promise<void> {
    const { raw } = this.refused()!;
    const stored = await this.db.get(raw.id);
    this.resetTo(plan, 'ready');
    this.saving.begin(plan, stored?.revision ?? 0, false);
    await this.tabs.hold(plan.id);
    this.setPlan(plan);
    this.onScreen(() => void this.meshes.of(plan));
  }
  takeOver(): void {
    this.tabs.takeOver();
  }
  /** Waits until everything is kept; false where it cannot be. */
  settle(): Promise<boolean> {
    return this.saving.settle();
  }
  /** Tries once more to keep what could not be kept. */
  tryAgain(): void {
    void this.saving.settle();
  }
  async bringBack(): Promise<void> {
    const { id } = this.plan();
    await this.db.setDeleted(id, null);
    this.tabs.tell(id, { kind: 'restored' });
    this.phaseNow.set('ready');
  }

  /** The plan is left: another tab may have it. */
  close(): void {
    this.opening++;
    this.tabs.leave();
    this.inspection.forget();
    this.resetTo(null, 'none');
  }

  /** Runs once the plan is on screen and takes input. */
  private onScreen(then: () => void): void {
    const { opening } = this;
    const look = (): void => {
      if (opening !== this.opening || !this.isOpen()) return;
      this.interactiveNow.set(true);
      this.inspection.look(this.plan());
      this.loadUndoGuard(this.plan());
      then();
    };
    if (this.interactiveNow()) look();
    else afterNextRender(() => setTimeout(look), { injector: this.injector });
  }

  private pushEdit(from: Plan, to: Plan): void {
    if (to === from) return;
    this.before.update((list) => [...list, from].slice(-MOST_UNDO));
    this.after.set([]);
    this.setPlan(to);
  }
  private moveInHistory(source: typeof this.before, target: typeof this.before): void {
    const to = source().at(-1);
    if (!to || !this.editable()) return;
    const plan = this.plan();
    source.update((list) => list.slice(0, -1));
    target.update((list) => [...list, plan]);
    this.setPlan(to);
  }
  /** From the first work that is done, edits are held against it. */
  private loadUndoGuard(plan: Plan): void {
    const { rounds, holds } = plan.proving;
    if (this.undoneBy || !(plan.floor.done.length || rounds.length || holds.length)) return;
    this.undoneBy = () => [];
    import('./invalidated-work').then(
      ({ workInvalidatedBy: undoneBy }) => (this.undoneBy = undoneBy),
      () => (this.undoneBy = null),
    );
  }
  private setPlan(plan: Plan): void {
    this.loadUndoGuard(plan);
    const now = { ...plan, changedAt: new Date().toISOString() };
    this.current.set(now);
    this.saving.keep(now);
    if (this.interactiveNow()) this.inspection.look(now);
  }
  private resetTo(plan: Plan | null, phase: Phase): void {
    this.before.set([]);
    this.after.set([]);
    this.refusedNow.set(null);
    this.heldNow.set(null);
    this.current.set(plan);
    this.phaseNow.set(phase);
    if (!plan) this.saving.begin(null, 0, true);
  }

  private async refuse(raw: Plan, error: PlanFileError): Promise<void> {
    this.inspection.forget();
    const [mended, good] = await Promise.all([
      this.checks.mend(raw).catch(() => null),
      this.db.lastGood(raw.id).catch(() => undefined),
    ]);
    this.resetTo(null, 'refused');
    this.refusedNow.set({
      raw,
      faults: error.faults.map((fault) =>
        fault.path ? `${fault.path}: ${fault.message}` : fault.message,
      ),
      mended,
      lastGood: good ?? null,
    });
  }

  private async onTabMessage(heard: Heard): Promise<void> {
    if (!this.isOpen()) return;
    if (heard.kind === 'saved')
      return void (heard.revision > this.saving.revision && (await this.follow()));
    if (heard.kind === 'rename')
      return void (this.editable() && this.apply({ edit: 'rename', with: { name: heard.name } }));
    if (heard.kind === 'deleted' && this.phaseNow() === 'ready') this.phaseNow.set('deleted');
    if (heard.kind === 'restored' && this.phaseNow() === 'deleted') this.phaseNow.set('ready');
  }
  /**
   * Shows what another tab saved. What was before can be gone back to once this tab writes. A tab that has
   * come to write in the meantime goes by its own edits: what it finds kept is its own.
   */
  private async follow(): Promise<void> {
    const plan = this.current();
    const stored = plan && (await this.db.get(plan.id).catch(() => undefined));
    if (this.tabs.owns()) return;
    if (
      !stored ||
      stored.plan.id !== this.current()?.id ||
      stored.revision <= this.saving.revision ||
      this.phaseNow() !== 'ready'
    )
      return;
    this.before.update((list) => [...list, this.plan()].slice(-MOST_UNDO));
    this.after.set([]);
    this.saving.begin(stored.plan, stored.revision, true);
    this.current.set(stored.plan);
    if (this.interactiveNow()) this.inspection.look(stored.plan);
  }

  /** Saves the plan as it is under another name; its id, or null where it could not be written, which is said. */
  async saveCopy(name: string): Promise<string | null> {
    try {
      return (await this.files.duplicate(this.plan(), name)).id;
    } catch (error) {
      this.notices.say(`No copy was saved: ${(error as Error).message}`);
      return null;
    }
  }

  /** Without locks two tabs wrote at the same moment: theirs stays, all that is on screen here becomes a plan of its own. */
  private async keepBoth(ours: Plan): Promise<void> {
    const copy = await this.files.duplicate(this.current() ?? ours, `${ours.name} (from this tab)`);
    await this.follow();
    this.notices.say(
      `Two tabs changed this plan at once. Your version was saved as "${copy.name}".`,
    );
  }
}
