import { fluidOfWork, partsOf } from '../../../stations/fill/index.ts';
import type { Part } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import type { Fluid } from '../../../trade/stock/index.ts';
import { wholeView } from '../../rule-kit/whole-view.ts';

/** What a rule reads that asks for the fluid in a part. */
export const FLUID_READS = [
  'bleeding',
  'lines',
  'ports',
  'plan.parts',
  'plan.hoses',
  'plan.filling',
] as const;

/** The fluid that stands in a part, and the reservoirs that it comes from; that of the brakes where the part is joined to nothing. */
export function fluidAt(
  part: Part,
  view: Pick<PlanView, 'bleeding'>,
): { readonly fluid: Fluid; readonly reservoirs: readonly Part[] } {
  const whole = wholeView(view);
  const work =
    view.bleeding.find((one) => partsOf(one, whole).includes(part)) ??
    view.bleeding.find((one) => one.work === 'brake');
  return {
    fluid: fluidOfWork(whole, work?.work ?? 'brake'),
    reservoirs: work?.reservoirs ?? [],
  };
}
