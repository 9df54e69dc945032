import { atLength, hoseView, ORDER_STEP_MM, type HoseState, type HoseView } from '../../hose-travel/index.ts';
import type { PlanView } from '../../plan/index.ts';
import { formatLength, type UnitSystem } from '../../units/index.ts';
import type { Rule, Snag } from '../snag.ts';

/** So much of a hose, and of what meets or leaves it at its seat, may lie close together, mm. Common practice. */
export const MEETS_MM = 90;

/** A finding about a hose: the rule's own words, the rest filled in. */
type HoseFinding = Pick<Snag, 'level' | 'text' | 'mend'>;

type Find = (hose: HoseView, view: PlanView) => HoseFinding | null;

/** A rule that looks at one hose at a time, with all else of the plan. */
export const overHoses = (rule: string, find: Find): Rule => (view) =>
  view.plan.hoses.flatMap((one): Snag[] => {
    const hose = hoseView(view.plan, one, view.ports);
    const finding = find(hose, view);
    return finding ? [{ rule, station: 'route', place: { kind: 'hose', id: one.id }, where: one.name, ...finding }] : [];
  }); // prettier-ignore

/** A rule that looks at a hose among the things of the vehicle and at nothing else: the same hose among the same things is looked at once. */
export function eachHose(rule: string, find: Find): Rule {
  const found = new WeakMap<HoseView, { units: UnitSystem; finding: HoseFinding | null }>();
  return overHoses(rule, (hose, view) => {
    const before = found.get(hose);
    if (before?.units === view.plan.units) return before.finding;
    const finding = find(hose, view);
    found.set(hose, { units: view.plan.units, finding });
    return finding;
  });
}

/** The state of those given in which a figure is least; null where none is given. */
export const leastOf = (states: readonly HoseState[], figure: (state: HoseState) => number): HoseState | null =>
  states.reduce<HoseState | null>((least, one) => (!least || figure(one) < figure(least) ? one : least), null);

/** The first of some shares of its length at which a hose serves everywhere and touches nothing, as a mend. */
export function serves(hose: HoseView, { plan }: PlanView, shares: readonly number[]): Pick<Snag, 'mend'> {
  for (const share of shares) {
    const orderMm = Math.round((hose.hose.orderMm * share) / ORDER_STEP_MM) * ORDER_STEP_MM;
    if (!atLength(hose, plan.things, orderMm).ok) continue;
    return { mend: { label: `Take ${formatLength(orderMm, plan.units)}`, call: { edit: 'changeHose', with: { id: hose.hose.id, patch: { orderMm } } } } };
  }
  return {};
} // prettier-ignore
export const LONGER = [1.05, 1.1, 1.2, 1.3, 1.45, 1.7, 2];
