import { fluidFor, type Circuit, type ReservoirFluid, type Plan } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { fluidById, type Fluid, type FluidFamily } from '../../trade/stock/index.ts';

/** The fluid of a kind of work, by its reservoirs; the usual one where it has none yet. */
export const fluidOfWork = (
  { plan, bleeding }: { readonly plan: Pick<Plan, 'filling'> } & Pick<PlanView, 'bleeding'>,
  work: Circuit['work'],
): Fluid => fluidById(fluidFor(plan, bleeding.find((one) => one.work === work)?.reservoirs ?? []))!;

const SOURCES = { capId: 'cap', plateId: 'plate', sheetId: 'sheet' } as const;
/** What each source of a reservoir's fluid names, where they do not all name the one that was chosen. */
export function sourcesThatDiffer(
  of: ReservoirFluid,
): { readonly from: string; readonly fluid: Fluid }[] {
  const named = (Object.keys(SOURCES) as (keyof typeof SOURCES)[]).flatMap((key) => {
    const fluid = fluidById(of[key] ?? '');
    return fluid ? [{ from: `the ${SOURCES[key]} says`, fluid }] : [];
  });
  const was = fluidById(of.wasId ?? '');
  const all = named.length && was ? [...named, { from: 'what came out is', fluid: was }] : named;
  return all.some(({ fluid }) => fluid.id !== of.fluidId) ? all : [];
}

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
