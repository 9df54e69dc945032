import { type Plan } from '@firm-line/core/plan';
import { checkPlan, mendPlan, readPlan, type MendedPlan } from '@firm-line/core/plan/file';

/** Reading and checking of plans. */
export const checkJobs = {
  /** The text of a plan file. */
  read: (text: string): Plan => readPlan(text),
  /** A plan as it is kept. */
  check: (plan: unknown): Plan => checkPlan(plan),
  /** A refused plan made usable. */
  mend: (plan: unknown): MendedPlan | null => mendPlan(plan),
};
