import { derive } from '../../derive/index.ts';
import { outlineOf } from '../model/check.ts';
import { PLAN, type Plan } from '../model/index.ts';

const taken = derive(
  'ids of a plan',
  (plan: Plan) => [plan],
  (plan): ReadonlySet<string> => new Set(outlineOf(PLAN.fields, plan as never).ids.map(({ id }) => id)),
);

/** The least unused id of the form `prefix-n` in a plan. */
export function freshId(plan: Plan, prefix: string): string {
  const used = taken(plan);
  let n = 1;
  while (used.has(`${prefix}-${n}`)) n++;
  return `${prefix}-${n}`;
}
