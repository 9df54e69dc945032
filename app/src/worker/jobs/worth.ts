import type { Plan } from '@firm-line/core/plan';
import { worthOf, type Worth } from '@firm-line/core/stations/measure';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';

export const worthJobs = {
  /** The open guesses of a plan in the order of what taping them is worth. */
  async find(plan: Plan): Promise<readonly Worth[]> {
    await loadMeshes(meshesIn(plan));
    return worthOf(plan);
  },
};
