import { fluidOfWork, partsOf } from '../../../stations/fill/index.ts';
import { components, type Network } from '../../../physics/flow-graph/index.ts';
import { fluidFor, type Part, type Plan } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import { fluidById, type Fluid } from '../../../trade/stock/index.ts';
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

/** The fluid that reaches ports: that of what they share it with, back to the reservoir. */
export function fluidReaching(
  portIds: readonly (string | null)[],
  { network, plan }: { readonly network: Network; readonly plan: Pick<Plan, 'parts' | 'filling'> },
): Fluid {
  const group = components(network);
  const groupOf = (id: string | null): number | undefined =>
    id === null ? undefined : group[network.index.get(id) ?? -1];
  const own = new Set(portIds.flatMap((id) => groupOf(id) ?? []));
  const parts = plan.parts.filter(({ ports }) =>
    ports.some(({ id }) => own.has(groupOf(id) ?? -1)),
  );
  return fluidById(fluidFor(plan, parts))!;
}
