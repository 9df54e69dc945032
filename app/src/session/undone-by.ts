import { undoes } from '@firm-line/core/floor';
import type { Plan } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';

/** Names of the work that is done and that a change from one plan to another would undo. */
export const undoneBy = (from: Plan, to: Plan): string[] => undoes(viewPlan(from), viewPlan(to)).map(({ name }) => name);
