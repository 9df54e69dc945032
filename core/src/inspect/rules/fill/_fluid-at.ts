import { fluidOfWork, partsOf } from '../../../stations/fill/index.ts';
import { components, type Network } from '../../../physics/flow-graph/index.ts';
import { derive } from '../../../lib/derive/index.ts';
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

/** Parts by what shares its fluid, back to the reservoir; a part that is joined to nothing is in none. */
export const sharingFluid = derive(
  'what shares its fluid',
  (network: Network, parts: readonly Part[]) => [network, parts],
  (network, parts): readonly (readonly Part[])[] => {
    const group = components(network);
    const together = new Map<number, Part[]>();
    for (const part of parts) {
      const own = part.ports
        .map(({ id }) => group[network.index.get(id) ?? -1])
        .find((one) => one !== undefined);
      if (own !== undefined) together.set(own, [...(together.get(own) ?? []), part]);
    }
    return [...together.values()];
  },
);
