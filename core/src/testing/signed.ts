import { inspect } from '../inspect/index.ts';
import { applyEdit, type Plan, type SignOff } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import {
  exceptionsOf,
  signedDigest,
  signedSections,
  signoff,
  type Signoff,
  type SignoffItem,
  type Today,
} from '../stations/prove/index.ts';

const AT = '2026-03-02T09:00:00Z';
export const signoffOf = (plan: Plan, today?: Today): Signoff =>
  signoff(viewPlan(plan), inspect(plan), today);
/** A caution taken on, with a reason. */
export const accept = (plan: Plan, { key, figures }: SignoffItem, reason = 'seen and fine'): Plan =>
  applyEdit(plan, {
    edit: 'acceptCaution',
    with: { accepted: { key, figures, by: 'AB', at: AT, reason } },
  });
export const acceptAll = (plan: Plan): Plan =>
  signoffOf(plan)
    .items.filter(({ kind }) => kind === 'caution')
    .reduce((now, item) => accept(now, item), plan);
/** Signed just as it is. */
export const sign = (plan: Plan, scope: SignOff['scope'] = 'road', at = AT): Plan =>
  applyEdit(plan, {
    edit: 'sign',
    with: {
      signature: {
        at,
        by: 'AB',
        as: 'builder',
        scope,
        rests: signedDigest(viewPlan(plan)),
        sections: signedSections(viewPlan(plan)),
        exceptions: scope === 'move' ? exceptionsOf(signoffOf(plan).items) : [],
      },
    },
  });
