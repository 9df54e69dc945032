import { freshFluid, type ReservoirFluid, type Part, type Plan } from '../../plan/index.ts';
import { fluidById, type FluidFamily } from '../../trade/stock/index.ts';

/** Parts that fluid is poured into: reservoirs, and masters and actuators with one of their own. */
export const reservoirParts = (parts: readonly Part[]): Part[] =>
  parts.filter(
    ({ kind, ports }) =>
      kind === 'reservoir' ||
      kind === 'actuator' ||
      (kind === 'master' && !ports.some(({ role }) => role === 'feed')),
  );
export const fluidIn = (
  { filling, bleeding }: Pick<Plan, 'filling' | 'bleeding'>,
  part: string,
): ReservoirFluid =>
  filling.fluids.find((one) => one.part === part) ?? freshFluid(part, bleeding.fluidId);

/** A bottle that was opened longer ago than this has taken up water. Common practice: months, not years. */
export const BOTTLE_DAYS = 90;

export interface ChangeStep {
  readonly key: 'seals' | 'flushed' | 'named';
  readonly text: string;
}
/** What it takes to go from one fluid to another: nothing within a family, seals and flushing between glycol and silicone, both named where there is mineral oil. Common practice. */
export function changeSteps(
  wasId: string | null,
  isId: string,
): { readonly steps: readonly ChangeStep[]; readonly never: boolean } {
  const [was, is] = [wasId, isId].map((id): FluidFamily | null =>
    id ? (fluidById(id)?.family ?? null) : null,
  );
  if (!was || !is || was === is) return { steps: [], never: false };
  const seals: ChangeStep = {
    key: 'seals',
    text: 'Replace every seal and rubber hose with ones made for the new fluid',
  };
  const flushed: ChangeStep = {
    key: 'flushed',
    text: 'Flush all lines, valves and cavities, and blow them dry',
  };
  if (was === 'mineral' || is === 'mineral')
    return {
      steps: [
        { key: 'named', text: 'Every part’s sheet allows both kinds of fluid' },
        seals,
        flushed,
      ],
      never: true,
    };
  return { steps: [seals, flushed], never: false };
}
