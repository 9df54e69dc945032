import { LOADS, type LoadName, type LoadView, type PlanView, type Sizing } from '../../plan/index.ts';
import type { Rule, Snag } from '../snag.ts';

/** A finding about the way from foot to road, with its rule and words. */
export type Found = Pick<Snag, 'level' | 'where' | 'text'> & { readonly mend?: Snag['mend'] };

/** A rule about the figures from foot to road; it says nothing before they are begun. */
export const sizingRule =
  (rule: string, find: (sizing: Sizing, view: PlanView) => Found[]): Rule =>
  (view) =>
    view.plan.sizing && view.size
      ? find(view.plan.sizing, view).map((found): Snag => ({
          rule,
          station: 'size',
          place: { kind: 'plan', id: view.plan.id },
          ...found,
        }))
      : [];

/** The same for the vehicle empty and laden. */
export const eachLoad = (rule: string, find: (load: LoadView, name: LoadName, sizing: Sizing) => Found[]): Rule =>
  sizingRule(rule, (sizing, view) => LOADS.flatMap((name) => find(view.size![name], name, sizing)));
