import type { PlanView } from '../../plan/results/index.ts';

/**
 * The view that a rule was given as what works from a whole one takes it. A rule is shown only what it declares to read;
 * whoever calls this declares all that the callee reads.
 */
export const wholeView = (view: object): PlanView => view as PlanView;
