import { bendOrder, type BendOrder, type OrderInput } from '@firm-line/core/shape/bending';
import { planSession, type Plannable } from '@firm-line/core/stations/fit/tasks';
import { cutPlans, type CutPlan } from '@firm-line/core/stations/make/making';
import { layPlan, type Plan, type SessionMeans } from '@firm-line/core/plan';

/** A planned session by the ids of its tasks. */
export interface PlannedSession {
  readonly tasks: readonly string[];
  readonly besides: readonly string[];
  readonly freed: number;
  readonly minutes: number;
}

export const makingJobs = {
  /** Which way round and in what order a tube is bent. */
  order: (input: OrderInput): BendOrder => bendOrder(input),
  /** How what is still to be cut comes out of the stock, by tube. */
  cuts: (plan: Plan): CutPlan[] =>
    cutPlans(layPlan(plan).lines, plan.making, {
      units: plan.units,
      nowMs: () => performance.now(),
    }),
  /** What is best done in a session. */
  session: ({
    tasks: open,
    means,
  }: {
    readonly tasks: readonly Plannable[];
    readonly means: SessionMeans;
  }): PlannedSession => {
    const { tasks, besides, freed, minutes } = planSession(open, means);
    const ids = (list: typeof tasks): string[] => list.map(({ task }) => task.id);
    return { tasks: ids(tasks), besides: ids(besides), freed, minutes };
  },
};
