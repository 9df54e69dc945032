import type { Plan } from '@firm-line/core/plan';
import { setOut, sumsOf, type SetOut, type SetOutSums } from '@firm-line/core/proposals/set-out';
import type { Progress } from '../calls';

export interface SetOutFound {
  readonly plan: Plan;
  readonly sums: SetOutSums;
}
export const setOutJobs = {
  /** The whole plan of what was said, lines led and clipped; its id and times are the caller's to give. */
  find(asked: SetOut, progress: Progress): SetOutFound {
    const plan = setOut(asked, { id: 'new', now: new Date().toISOString() }, progress);
    return { plan, sums: sumsOf(plan) };
  },
};
