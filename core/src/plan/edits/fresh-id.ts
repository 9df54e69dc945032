import { derive } from '../../lib/derive/index.ts';
import { indexOf } from '../model/check.ts';
import { PLAN, type Plan } from '../model/index.ts';

const taken = derive(
  'ids of a plan',
  (plan: Plan) => [plan],
  (plan): ReadonlySet<string> => new Set(indexOf(PLAN.fields, plan).ids.map(({ id }) => id)),
);

/** The least unused id of the form `prefix-n` in a plan. */
export function freshId(plan: Plan, prefix: string): string {
  return unused(prefix, taken(plan));
}
const unused = (prefix: string, used: ReadonlySet<string>): string => {
  let n = 1;
  while (used.has(`${prefix}-${n}`)) n++;
  return `${prefix}-${n}`;
};
/** The least unused id of that form in a list of its own. */
export const freshIn = (prefix: string, list: readonly { readonly id: string }[]): string =>
  unused(prefix, new Set(list.map(({ id }) => id)));

/** A name that no hose has yet: H1, H2 and so on. */
export function freshHoseName({ hoses }: Pick<Plan, 'hoses'>): string {
  const names = new Set(hoses.map(({ name }) => name));
  return Array.from({ length: hoses.length + 1 }, (_, i) => `H${i + 1}`).find(
    (name) => !names.has(name),
  )!;
}
