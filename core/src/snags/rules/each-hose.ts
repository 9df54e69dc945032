import { atLength, hoseView, ORDER_STEP_MM, type HoseView } from '../../hoses/index.ts';
import type { PlanView } from '../../plan/index.ts';
import { formatLength, type UnitSystem } from '../../units/index.ts';
import type { Place, Rule, Snag } from '../snag.ts';

export const onHose = ({ hose }: HoseView): Place => ({ kind: 'hose', id: hose.id });

/** A finding about a hose: the rule's own words, the rest filled in. */
export type HoseFinding = Pick<Snag, 'level' | 'text'> & { readonly mend?: Snag['mend'] };

/** A rule that looks at one hose through its travel; the same hose among the same things is looked at once. */
export function eachHose(rule: string, find: (hose: HoseView, view: PlanView) => HoseFinding | null): Rule {
  const found = new WeakMap<HoseView, { units: UnitSystem; changedAt: string; snags: Snag[] }>();
  return (view) =>
    view.plan.hoses.flatMap((one) => {
      const hose = hoseView(view.plan, one, view.ports);
      const before = found.get(hose);
      if (before?.units === view.plan.units && before.changedAt.slice(0, 7) === view.plan.changedAt.slice(0, 7)) return before.snags;
      const finding = find(hose, view);
      const { mend, ...said } = finding ?? { level: 'note', text: '' };
      const snags: Snag[] = finding
        ? [{ rule, station: 'route', place: onHose(hose), where: one.name, ...(said as Pick<Snag, 'level' | 'text'>), ...(mend ? { mend } : {}) }]
        : [];
      found.set(hose, { units: view.plan.units, changedAt: view.plan.changedAt, snags });
      return snags;
    });
} // prettier-ignore

/** The first of some shares of its length at which a hose serves everywhere and touches nothing, as a mend. */
export function serves(hose: HoseView, { plan }: PlanView, shares: readonly number[]): Snag['mend'] {
  for (const share of shares) {
    const orderMm = Math.round((hose.hose.orderMm * share) / ORDER_STEP_MM) * ORDER_STEP_MM;
    if (!atLength(hose, plan.things, orderMm).ok) continue;
    return { label: `Take ${formatLength(orderMm, plan.units)}`, call: { edit: 'changeHose', with: { id: hose.hose.id, patch: { orderMm } } } };
  }
  return undefined;
} // prettier-ignore
export const LONGER = [1.05, 1.1, 1.2, 1.3, 1.45, 1.7, 2];
