import { inject, Injectable, signal } from '@angular/core';
import { meshOf } from '@firm-line/core/shape/obstacles';
import type { Plan } from '@firm-line/core/plan';
import { Calls } from '../worker/calls';
import type { meshJobs } from '../worker/jobs/mesh';
import { createMeshWorker } from '../worker/workers';
import { loadMeshes, meshesIn } from './load-meshes';
import { PlanDb } from './plan-db';

/** Meshes of vehicles: read in a worker, kept in the browser by the digest of their file, loaded with the plans that use them. */
@Injectable({ providedIn: 'root' })
export class Meshes {
  private readonly db = inject(PlanDb);
  private readonly count = signal(0);
  /** Changes whenever a mesh has become known on the page. */
  readonly known = this.count.asReadonly();

  /** Reads a mesh file and keeps it. Throws with one sentence for a file that cannot be taken; nothing is changed then. */
  async import(file: File): Promise<{ digest: string; longest: number }> {
    const bytes = await file.arrayBuffer();
    const calls = new Calls<typeof meshJobs>(createMeshWorker, `Reading ${file.name}`);
    try {
      const { digest, positions, tree } = await calls.call(
        'read',
        { name: file.name, bytes },
        { transfer: [bytes] },
      );
      await this.db.keepMesh({ digest, name: file.name, positions, tree });
      await this.load([digest]);
      const { min, max } = meshOf(digest)!.box;
      return { digest, longest: Math.max(...max.map((v, i) => v - min[i]!)) };
    } finally {
      calls.end();
    }
  }

  /** Makes the meshes of a plan known, as far as they are kept here. */
  of(plan: Pick<Plan, 'things'>): Promise<void> {
    return this.load(meshesIn(plan));
  }
  private async load(digests: readonly string[]): Promise<void> {
    if (await loadMeshes(digests)) this.count.update((n) => n + 1);
  }
}
