import { inject, Injectable, Injector } from '@angular/core';
import {
  defaultBench,
  emptyPlan,
  MOST_PLAN_BYTES,
  planFileName,
  PlanFileError,
  writePlan,
  type Plan,
} from '@firm-line/core/plan';
import { saveFile } from '../kit/save-file';
import { PlanChecks } from '../worker/plan-checks';
import { DEMOS, demoUrl } from './demos';
import { newId } from './new-id';
import { PlanDb } from './plan-db';
import type { PlanHead, StoredPlan } from './stored-plan';

/** Plans in and out: files, demo plans, new ones and copies. */
@Injectable({ providedIn: 'root' })
export class PlanFiles {
  private readonly db = inject(PlanDb);
  private readonly checks = inject(PlanChecks);
  private readonly injector = inject(Injector);

  /** A demo plan as it ships, not checked yet; null where there is none of that id or it cannot be had. */
  async demo(id: string): Promise<Plan | null> {
    if (!DEMOS.some((demo) => demo.id === id)) return null;
    const answer = await fetch(demoUrl(id));
    return answer.ok ? ((await answer.json()) as Plan) : null;
  }

  /** A new plan with the bench and the units of the plan changed last. */
  async create(): Promise<Plan> {
    const heads = await this.heads();
    const last = await this.last(heads);
    const fresh = (units = last?.units, bench = last?.bench): Plan =>
      emptyPlan(
        newId(),
        freeName('New plan', heads),
        new Date().toISOString(),
        units ?? 'metric',
        bench ?? defaultBench(),
      );
    // The last plan may be one that was refused: its bench is then none to begin with.
    const sound = await this.checks.check(fresh()).catch(() => fresh('metric', defaultBench()));
    return this.keep(sound);
  }

  /** The plan changed last, which says the bench and the units of a new one. */
  async last(heads?: readonly { id: string }[]): Promise<Plan | undefined> {
    const [first] = heads ?? (await this.heads());
    return first && (await this.db.get(first.id))?.plan;
  }
  /** Keeps a plan that was made elsewhere as a new one. */
  async begin(plan: Plan): Promise<Plan> {
    const now = new Date().toISOString();
    const own = {
      ...plan,
      id: newId(),
      name: freeName(plan.name, await this.heads()),
      createdAt: now,
      changedAt: now,
    };
    return this.keep(await this.checks.check(own));
  }
  private heads(): Promise<PlanHead[]> {
    return this.db.all().then((all) => all.filter((head) => !head.deletedAt));
  }

  /** The plan of that id as it is kept. Throws where it is gone. */
  async kept(id: string): Promise<StoredPlan> {
    const stored = await this.db.get(id);
    if (!stored) throw new Error('This plan is no longer here.');
    return stored;
  }

  /** Reads a plan file; where its id is taken here it becomes a copy. Throws PlanFileError, and nothing changes. */
  async import(file: File, signal?: AbortSignal): Promise<Plan> {
    if (file.name.endsWith('.zip')) {
      const { PlanZips } = await import('./plan-zips');
      return this.keepRead(await this.injector.get(PlanZips).read(file, signal));
    }
    if (file.size > 2 * MOST_PLAN_BYTES)
      throw new PlanFileError([
        {
          path: '',
          message: `The file holds ${(file.size / 1e6).toFixed(1)} MB; ${MOST_PLAN_BYTES / 1e6} MB is the limit.`,
        },
      ]);
    return this.keepRead(await this.checks.read(await file.text(), signal));
  }
  /** Why a file was not imported: every fault with its place. */
  faultsOf(error: Error): readonly string[] {
    return error instanceof PlanFileError
      ? error.faults.map(({ path, message }) => (path ? `${path}: ${message}` : message))
      : [error.message];
  }
  private async keepRead(plan: Plan): Promise<Plan> {
    return (await this.db.get(plan.id)) ? this.duplicate(plan) : this.keep(plan);
  }
  async duplicate(plan: Plan, name = plan.name): Promise<Plan> {
    const now = new Date().toISOString();
    const copy = {
      ...plan,
      id: newId(),
      name: freeName(name, await this.db.all()),
      createdAt: now,
      changedAt: now,
    };
    return this.keep(await this.checks.check(copy));
  }

  /** Hands the plan to the user as a file; one that was refused goes out just as it is kept. */
  export(plan: Plan): void {
    saveFile(planFileName(plan), writePlan(plan), 'application/json');
  }
  private async keep(plan: Plan): Promise<Plan> {
    await this.db.write(plan, 0);
    return plan;
  }
}

const MOST_NAME = 180;
/** The name, with a number behind it where it is taken; a long one is cut so that the number has room. */
export function freeName(name: string, plans: readonly { name: string }[]): string {
  const taken = new Set(plans.map((p) => p.name));
  if (!taken.has(name) && name.length <= 200) return name;
  const short = name.slice(0, MOST_NAME);
  let n = 2;
  while (taken.has(`${short} ${n}`)) n++;
  return `${short} ${n}`;
}
