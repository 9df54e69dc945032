import type { Plan } from '@firm-line/core/plan';
import { rankMeasurements, type MeasurementValue } from '@firm-line/core/stations/measure';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';

export const worthJobs = {
  /** The open guesses of a plan in the order of what taping them is worth. */
  async find(plan: Plan): Promise<readonly MeasurementValue[]> {
    await loadMeshes(meshesIn(plan));
    return rankMeasurements(plan);
  },
};
