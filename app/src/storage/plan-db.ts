import { Injectable } from '@angular/core';
import type { Plan } from '@firm-line/core/plan';
import type { Dexie, Table } from 'dexie';
import { readHeads, readKept } from './read-kept';
import type { StoredMesh, StoredPhoto } from './tables';
import type { PlanHead, StoredPlan } from './stored-plan';

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

interface Tables {
  readonly db: Dexie;
  readonly heads: Table<PlanHead, string>;
  readonly bodies: Table<Plan, string>;
  readonly good: Table<GoodPlan, string>;
  readonly meshes: Table<StoredMesh, string>;
  readonly photos: Table<StoredPhoto, string>;
}

/**
 * Plans in the browser: heads for the list and for revisions, bodies apart from them so that neither waits
 * for the other. The library that keeps them comes with the first writing; the first plan is read without it.
 */
@Injectable({ providedIn: 'root' })
export class PlanDb {
  private opened: Promise<Tables> | null = null;

  async keepMesh(mesh: StoredMesh): Promise<void> {
    await (await this.tables()).meshes.put(mesh);
  }

  async keepPhoto(photo: StoredPhoto): Promise<void> {
    await (await this.tables()).photos.put(photo);
  }
  async photo(digest: string): Promise<StoredPhoto | undefined> {
    return (await this.tables()).photos.get(digest);
  }

  async get(id: string): Promise<StoredPlan | undefined> {
    if (!this.opened) return readKept(id);
    const { db, heads, bodies } = await this.tables();
    const [head, plan] = await db.transaction('r', heads, bodies, () =>
      Promise.all([heads.get(id), bodies.get(id)]),
    );
    return head && plan && { ...head, plan };
  }

  /** The head of every plan, the one changed last first; deleted ones too. */
  async all(): Promise<PlanHead[]> {
    const heads = this.opened
      ? await (await this.tables()).heads.orderBy('changedAt').toArray()
      : await readHeads();
    return heads.reverse();
  }

  /** Writes a plan over `base`, the revision it was read or written at (0: it is new here). Returns the new revision. */
  async write(plan: Plan, base: number): Promise<number> {
    const { db, heads, bodies } = await this.tables();
    return db.transaction('rw', heads, bodies, async () => {
      const head = await heads.get(plan.id);
      const revision = head?.revision ?? 0;
      if (head?.deletedAt) throw new PlanDeleted('The plan was deleted in another tab.');
      if (revision !== base)
        throw new RevisionConflict(`Revision ${revision} found, ${base} expected.`);
      await heads.put({
        id: plan.id,
        name: plan.name,
        changedAt: plan.changedAt,
        lines: plan.lines.length,
        revision: base + 1,
        deletedAt: null,
      });
      await bodies.put(plan);
      return base + 1;
    });
  }

  /** Keeps a plan that was opened and found sound, so that there is a way back to it. */
  async keepGood(plan: Plan): Promise<void> {
    await (await this.tables()).good.put({ id: plan.id, at: new Date().toISOString(), plan });
  }
  async lastGood(id: string): Promise<GoodPlan | undefined> {
    return (await this.tables()).good.get(id);
  }

  async setDeleted(id: string, deletedAt: string | null): Promise<void> {
    await (await this.tables()).heads.update(id, { deletedAt });
  }

  private tables(): Promise<Tables> {
    return (this.opened ??= import('./tables').then(
      ({ meshTable, openTables }) => {
        const db = openTables();
        return {
          db,
          heads: db.table('heads'),
          bodies: db.table('bodies'),
          good: db.table('good'),
          meshes: meshTable(db),
          photos: db.table('photos'),
        };
      },
      (error: unknown) => {
        this.opened = null;
        throw error;
      },
    ));
  }
}
