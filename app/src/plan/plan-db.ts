import { Injectable } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import { Dexie, type Table } from 'dexie';

/** A plan as it lies in the browser. `revision` counts its writes, so that two tabs cannot overwrite one another unseen. */
export interface StoredPlan {
  readonly id: string;
  readonly name: string;
  readonly changedAt: string;
  readonly revision: number;
  /** Set while it lies among the deleted. */
  readonly deletedAt: string | null;
  readonly plan: Plan;
}

/** Another tab wrote this plan since it was read here. */
export class RevisionConflict extends Error {
  override readonly name = 'RevisionConflict';
}

@Injectable({ providedIn: 'root' })
export class PlanDb {
  private readonly db = new Dexie('firm-line');
  private readonly plans: Table<StoredPlan, string>;

  constructor() {
    this.db.version(1).stores({ plans: 'id, changedAt' });
    this.plans = this.db.table('plans');
  }

  get(id: string): Promise<StoredPlan | undefined> {
    return this.plans.get(id);
  }

  /** Every plan, the one changed last first; deleted ones too. */
  async all(): Promise<StoredPlan[]> {
    return (await this.plans.orderBy('changedAt').toArray()).reverse();
  }

  /** Writes a plan over `base`, the revision it was read or written at (0: it is new here). Returns the new revision. */
  write(plan: Plan, base: number): Promise<number> {
    return this.db.transaction('rw', this.plans, async () => {
      const before = await this.plans.get(plan.id);
      if ((before?.revision ?? 0) !== base)
        throw new RevisionConflict(`Revision ${before?.revision ?? 0} found, ${base} expected.`);
      await this.plans.put({
        id: plan.id,
        name: plan.name,
        changedAt: plan.changedAt,
        revision: base + 1,
        deletedAt: null,
        plan,
      });
      return base + 1;
    });
  }

  async setDeleted(id: string, deletedAt: string | null): Promise<void> {
    await this.plans.update(id, { deletedAt });
  }
}
