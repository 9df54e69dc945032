import type { BleedStep } from '../../physics/bleeding/index.ts';
import { freshIn, type Filling, type FillRun, type Plan } from '../../plan/index.ts';
import type { BleedView, PlanView } from '../../plan/results/index.ts';
import { airNetworkOf, USUAL_RESERVOIR_ML } from './air-of.ts';
import { methodOf } from './methods.ts';

/** A reservoir is topped up when this share of it is left. Common practice: never under a third. */
const MARK_SHARE = 1 / 3;
/** On a used master the cups tear on the ridge past where it works: half of its stroke. Common practice. */
export const USED_SHARE = 0.5;

/** What the least reservoir of this work holds, mL, and whether its sheet says so. */
export function reservoirOf({ reservoirs }: Pick<BleedView, 'reservoirs'>): {
  readonly ml: number;
  readonly known: boolean;
} {
  const least = Math.min(...reservoirs.flatMap(({ figures }) => figures.reservoirMl ?? []));
  return Number.isFinite(least)
    ? { ml: least, known: true }
    : { ml: USUAL_RESERVOIR_ML, known: false };
}

type Turn = Pick<BleedStep, 'id' | 'flushMl'>;
/** The turns of a run: the order, and what the maker's sheet bleeds once more after its extra steps. */
export function turnsOf(
  work: BleedView,
  filling: Filling,
  plan: Pick<Plan, 'bleeding'>,
): Pick<FillRun, 'order' | 'flushMl' | 'extraAfter' | 'parkingTimes'> {
  const steps = (work.result?.order ?? []).map((step) => ({
    ...step,
    part: work.bleeders.find(({ port }) => port.id === step.id)!.part,
  }));
  const isListed = plan.bleeding.school === 'as-listed';
  const makers = isListed && work.work === 'brake' ? filling.makers : null;
  const again = (makers?.again ?? []).flatMap((id) => steps.find((step) => step.id === id) ?? []);
  const extra = makers !== null && (makers.parkingTimes > 0 || again.length > 0);
  // What comes again has its lines clean: its own cavity's share of a flush, a third.
  const onceMore = ({ id, pathMl, flushMl }: BleedStep): Turn => ({
    id,
    flushMl: Math.min(pathMl, flushMl),
  });
  // Of two bleeders on a caliper the inner one once more after the outer. Common practice; a listed order stands as it is written.
  const first = steps.flatMap((step, i): Turn[] => {
    const own =
      isListed || step.part.kind !== 'caliper'
        ? [step]
        : steps.filter(({ part }) => part === step.part);
    return own.length > 1 && !steps.slice(i + 1).some(({ part }) => part === step.part)
      ? [step, onceMore(own[0]!)]
      : [step];
  });
  const turns = [...first, ...again.map(onceMore)];
  return {
    order: turns.map(({ id }) => id),
    flushMl: turns.map(({ flushMl }) => flushMl),
    extraAfter: extra && makers.parkingTimes > 0 ? first.length : null,
    parkingTimes: extra ? makers.parkingTimes : 0,
  };
}

/** A run as it begins, by the plan; null where there is no order. */
export function beginRun(work: BleedView, view: PlanView, startedAt: string): FillRun | null {
  const { plan } = view;
  const filling = plan.filling;
  const network = airNetworkOf(work, view);
  if (!network || !work.result) return null;
  const method = methodOf(filling, plan, network);
  const full = reservoirOf(work).ml;
  const strokeMl =
    Math.min(...network.outlets.map((outlet) => outlet.strokeMl)) *
    (filling.usedMaster ? USED_SHARE : 1);
  return {
    id: freshIn('run', filling.runs),
    work: work.work,
    method: method.id,
    ...turnsOf(work, filling, plan),
    strokeMl,
    fullMl: full,
    markMl: full * MARK_SHARE,
    startedAt,
    log: [],
  };
}
