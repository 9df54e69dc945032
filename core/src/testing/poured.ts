import { applyEdit, type Plan, reservoirParts } from '../plan/index.ts';

/** A plan with one fluid in all its reservoirs. */
export const poured = (plan: Plan, fluidId: string): Plan =>
  applyEdit(plan, {
    edit: 'chooseFluid',
    with: { parts: reservoirParts(plan.parts).map(({ id }) => id), fluidId },
  });
