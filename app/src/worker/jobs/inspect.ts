import { withDelta, type Plan, type PlanDelta } from '@firm-line/core/plan';
import { fixOf, inspect, type Fix, type Snag } from '@firm-line/core/inspect';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';

/** A snag with a number that it keeps while it is found again just so. */
export type InspectedSnag = Snag & { readonly serial: number };

/** Inspection of the open plan. The worker keeps the plan, so that an edit is told by what it did alone. */
export function inspectJobs() {
  let plan: Plan | null = null;
  let count = 0;
  const serials = new WeakMap<Snag, number>();
  const numbered = (snag: Snag): InspectedSnag => {
    const serial = serials.get(snag) ?? ++count;
    serials.set(snag, serial);
    return { ...snag, serial };
  };
  const snags = async (now: Plan): Promise<readonly InspectedSnag[]> => {
    plan = now;
    // What is measured to a mesh waits for the mesh: there is no first answer without it.
    await loadMeshes(meshesIn(now));
    return inspect(now).map(numbered);
  };
  return {
    open: (whole: Plan): Promise<readonly InspectedSnag[]> => snags(whole),
    change: (delta: PlanDelta): Promise<readonly InspectedSnag[]> => snags(withDelta(plan!, delta)),
    /** The fix of a snag of the plan as it was last told; null where there is none. */
    fix: (key: string): Fix | null => fixOf(plan!, key),
  };
}
export type InspectJobs = ReturnType<typeof inspectJobs>;
