import type { Plan } from '@firm-line/core/plan';

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
