import { bendOrder, type BendOrder, type OrderInput } from '@firm-line/core/bending';
import { cutPlans, type CutPlan } from '@firm-line/core/making';
import { layPlan, type Plan } from '@firm-line/core/plan';

export const makingJobs = {
  /** Which way round and in what order a tube is bent. */
  order: (input: OrderInput): BendOrder => bendOrder(input),
  /** How what is still to be cut comes out of the stock, by tube. */
  cuts: (plan: Plan): CutPlan[] => cutPlans(layPlan(plan).lines, plan.making, () => performance.now()),
};
