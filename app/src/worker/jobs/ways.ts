import { InputError } from '@firm-line/core/lib/faults';
import type { Plan } from '@firm-line/core/plan';
import { waysFor, type FoundWay } from '@firm-line/core/proposals/routes';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';
import type { Progress } from '../calls';

export interface WayRequest {
  readonly plan: Plan;
  readonly lineId: string;
  readonly pitchMm: number;
}
export const waysJobs = {
  /** The ways of a line. */
  async find(
    { plan, lineId, pitchMm }: WayRequest,
    progress: Progress,
  ): Promise<readonly FoundWay[]> {
    await loadMeshes(meshesIn(plan));
    const found = waysFor(plan, lineId, pitchMm, { progress });
    if (!found.length) throw new InputError('', 'No clear route found between these ports.');
    return found;
  },
};
