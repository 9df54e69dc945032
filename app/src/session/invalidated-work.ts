import { undoes } from '@firm-line/core/stations/fit/tasks';
import { testsInvalidatedBy } from '@firm-line/core/stations/prove';
import type { Plan } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';

/** Names of the work that is done and of the proofs that a change from one plan to another would undo. */
export function workInvalidatedBy(from: Plan, to: Plan): string[] {
  const [was, is] = [viewPlan(from), viewPlan(to)];
  // What is told of the proofs themselves undoes none of them.
  const proofs = from.proving === to.proving ? testsInvalidatedBy(was, is) : [];
  return [...undoes(was, is).map(({ name }) => name), ...proofs];
}
