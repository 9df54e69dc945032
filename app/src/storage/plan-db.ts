import { Injectable } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import type { Table } from 'dexie';
import { loadMeshes } from './load-meshes';
import { meshTable, openTables, type StoredMesh } from './tables';

/** What the list of plans shows. `revision` counts a plan's writes, so that two tabs cannot overwrite one another unseen. */
export interface PlanHead {
  readonly id: string;
  readonly name: string;
  readonly changedAt: string;
  readonly lines: number;
  readonly revision: number;
  /** Set while it lies among the deleted. */
  readonly deletedAt: string | null;
}
export interface StoredPlan extends PlanHead {
  readonly plan: Plan;
}

/** Another tab wrote this plan since it was read here. */
export class RevisionConflict extends Error {
  override readonly name = 'RevisionConflict';
}

/** This plan was deleted since it was read here: it is not written again until it is brought back. */
export class PlanDeleted extends Error {
  override readonly name = 'PlanDeleted';
}
/** A plan as it was when it was last opened and found sound, and when that was. */
export interface GoodPlan {
  readonly id: string;
  readonly at: string;
  readonly plan: Plan;
}

/** Plans in the browser: heads for the list and for revisions, bodies apart from them so that neither waits for the other. */
@Injectable({ providedIn: 'root' })
export class PlanDb {
  private readonly db = openTables();
  private readonly heads: Table<PlanHead, string> = this.db.table('heads');
  private readonly bodies: Table<Plan, string> = this.db.table('bodies');
  private readonly good: Table<GoodPlan, string> = this.db.table('good');
  private readonly meshes = meshTable(this.db);

  async keepMesh(mesh: StoredMesh): Promise<void> {
    await this.meshes.put(mesh);
  }
  /** Makes the meshes of these digests known, as far as they are kept here. */
  loadMeshes(digests: readonly string[]): Promise<boolean> {
    return loadMeshes(digests, this.meshes);
  }

  async get(id: string): Promise<StoredPlan | undefined> {
    const [head, plan] = await this.db.transaction('r', this.heads, this.bodies, () =>
      Promise.all([this.heads.get(id), this.bodies.get(id)]),
    );
    return head && plan && { ...head, plan };
  }

  /** The head of every plan, the one changed last first; deleted ones too. */
  async all(): Promise<PlanHead[]> {
    return (await this.heads.orderBy('changedAt').toArray()).reverse();
  }

  /** Writes a plan over `base`, the revision it was read or written at (0: it is new here). Returns the new revision. */
  write(plan: Plan, base: number): Promise<number> {
    return this.db.transaction('rw', this.heads, this.bodies, async () => {
      const head = await this.heads.get(plan.id);
      const revision = head?.revision ?? 0;
      if (head?.deletedAt) throw new PlanDeleted('It was deleted in another tab.');
      if (revision !== base) throw new RevisionConflict(`Revision ${revision} found, ${base} expected.`);
      await this.heads.put({
        id: plan.id,
        name: plan.name,
        changedAt: plan.changedAt,
        lines: plan.lines.length,
        revision: base + 1,
        deletedAt: null,
      });
      await this.bodies.put(plan);
      return base + 1;
    });
  }

  /** Keeps a plan that was opened and found sound, so that there is a way back to it. */
  async keepGood(plan: Plan): Promise<void> {
    await this.good.put({ id: plan.id, at: new Date().toISOString(), plan });
  }
  lastGood(id: string): Promise<GoodPlan | undefined> {
    return this.good.get(id);
  }

  async setDeleted(id: string, deletedAt: string | null): Promise<void> {
    await this.heads.update(id, { deletedAt });
  }
}
