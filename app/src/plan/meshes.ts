import { inject, Injectable } from '@angular/core';
import { meshOf } from '@firm-line/core/frame';
import type { Plan } from '@firm-line/core/plan';
import { createMeshWorker } from '../workers/mesh-worker.factory';
import type { MeshAnswer, MeshRequest } from '../workers/protocol';
import { meshesIn } from './load-meshes';
import { PlanDb } from './plan-db';

/** Meshes of vehicles: read in a worker, kept in the browser by the digest of their file, loaded with the plans that use them. */
@Injectable({ providedIn: 'root' })
export class Meshes {
  private readonly db = inject(PlanDb);

  /** Reads a mesh file and keeps it. Throws with one sentence for a file that cannot be taken; nothing is changed then. */
  async import(file: File): Promise<{ digest: string; longest: number }> {
    const bytes = await file.arrayBuffer();
    const worker = createMeshWorker();
    try {
      const answer = await new Promise<MeshAnswer>((done, failed) => {
        worker.addEventListener('message', ({ data }: MessageEvent<MeshAnswer>) => done(data));
        worker.addEventListener('error', () => failed(new Error(`${file.name} could not be read: the reading stopped.`)));
        const request: MeshRequest = { name: file.name, bytes };
        worker.postMessage(request, [bytes]);
      });
      if (answer.kind === 'refused') throw new Error(answer.message);
      await this.db.keepMesh({ digest: answer.digest, name: file.name, positions: answer.positions, tree: answer.tree });
      await this.db.loadMeshes([answer.digest]);
      const { min, max } = meshOf(answer.digest)!.box;
      return { digest: answer.digest, longest: Math.max(...max.map((v, i) => v - min[i]!)) };
    } finally {
      worker.terminate();
    }
  }

  /** Makes the meshes of a plan known, as far as they are kept here. True where one was not known before. */
  of(plan: Pick<Plan, 'things'>): Promise<boolean> {
    return this.db.loadMeshes(meshesIn(plan));
  }
}
