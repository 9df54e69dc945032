import { InputError } from '@firm-line/core/lib/faults';
import {
  bracketPlaces,
  equalLength,
  hoseView,
  lengthsOf,
  type BracketPlace,
  type EqualLength,
  type Lengths,
} from '@firm-line/core/stations/route';
import { layPlan, type Plan } from '@firm-line/core/plan';
import { loadMeshes, meshesIn } from '../../storage/load-meshes';
import type { Progress } from '../calls';

/** What is asked about hoses of a plan: lengths and bracket places of one, or one length for several. */
export interface HoseRequest {
  readonly kind: 'lengths' | 'alike' | 'bracket';
  readonly plan: Plan;
  readonly ids: readonly string[];
}
export type HoseFound =
  | ({ readonly kind: 'lengths' } & Lengths)
  | ({ readonly kind: 'alike' } & EqualLength)
  | { readonly kind: 'bracket'; readonly places: readonly BracketPlace[] };

export const hosesJobs = {
  async find({ kind, plan, ids }: HoseRequest, progress: Progress): Promise<HoseFound> {
    await loadMeshes(meshesIn(plan));
    const { ports } = layPlan(plan);
    const views = plan.hoses
      .filter((hose) => ids.includes(hose.id))
      .map((hose) => hoseView(plan, hose, ports));
    const [first] = views;
    if (!first) throw new InputError('', 'This hose is no longer in the plan.');
    if (first.fault) throw new InputError('', first.fault);
    if (kind === 'alike') return { kind, ...equalLength(views, plan.things, progress) };
    if (kind === 'lengths') return { kind, ...lengthsOf(first, plan.things, progress) };
    const places = bracketPlaces(first, plan.things, 3, progress);
    if (!places.length)
      throw new InputError(
        '',
        'No rail or member within reach of the bracket. Add rails in Measure.',
      );
    return { kind, places };
  },
};
