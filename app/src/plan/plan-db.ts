import { Injectable } from '@angular/core';
import type { MeshData } from '@firm-line/core/mesh';
import type { Plan } from '@firm-line/core/plan';
import { Dexie, type Table } from 'dexie';

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

/** A mesh as it is kept: its triangles and their tree. */
export interface StoredMesh extends MeshData {
  readonly digest: string;
  readonly name: string;
}

/** Another tab wrote this plan since it was read here. */
export class RevisionConflict extends Error {
  override readonly name = 'RevisionConflict';
}

/** Plans in the browser: heads for the list and for revisions, bodies apart from them so that neither waits for the other. */
@Injectable({ providedIn: 'root' })
export class PlanDb {
  private readonly db = new Dexie('firm-line');
  private readonly heads: Table<PlanHead, string>;
  private readonly bodies: Table<Plan, string>;
  private readonly meshes: Table<StoredMesh, string>;

  constructor() {
    this.db.version(1).stores({ heads: 'id, changedAt', bodies: 'id' });
    this.db.version(2).stores({ heads: 'id, changedAt', bodies: 'id', meshes: 'digest' });
    this.heads = this.db.table('heads');
    this.meshes = this.db.table('meshes');
    this.bodies = this.db.table('bodies');
  }

  mesh(digest: string): Promise<StoredMesh | undefined> {
    return this.meshes.get(digest);
  }
  async keepMesh(mesh: StoredMesh): Promise<void> {
    await this.meshes.put(mesh);
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
      const revision = (await this.heads.get(plan.id))?.revision ?? 0;
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

  async setDeleted(id: string, deletedAt: string | null): Promise<void> {
    await this.heads.update(id, { deletedAt });
  }
}
