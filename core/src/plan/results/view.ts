import { derive } from '../../lib/derive/index.ts';
import type { Network } from '../../physics/flow-graph/index.ts';
import type { Pedal, Plan } from '../model/index.ts';
import { pedalsOf, planNetwork } from '../network/index.ts';
import { brakeCircuits } from './brake-circuits.ts';
import { bleedViews, type BleedView } from './bleed-view.ts';
import { layPlan, type LaidPlan } from '../layout/laid-plan.ts';
import { residualViews, type ResidualView } from './residual-view.ts';
import { sheetResults, type SheetResults } from './sheet-results.ts';
import { sizeView, type SizeView } from './size-view.ts';

/** A plan with all that follows from it: where it lies, how it works and how it is bled. Nothing here is ever stored. */
export interface PlanView extends LaidPlan {
  /** Its ports joined by tubes, hoses and the passages inside parts. */
  readonly network: Network;
  /** What works each master and actuator, by its id. */
  readonly pedals: ReadonlyMap<string, Pedal>;
  readonly bleeding: readonly BleedView[];
  readonly size: SizeView | null;
  readonly works: SheetResults;
  readonly residuals: readonly ResidualView[];
}

/** The working model of a valid plan: each part of it is computed once for what it rests on. */
export const viewPlan = derive(
  'plan',
  (plan: Plan) => [layPlan(plan)],
  (laid): PlanView => {
    const { plan, lines, ports } = laid;
    const network = planNetwork(plan);
    const pedals = pedalsOf(plan);
    return {
      ...laid,
      network,
      pedals,
      bleeding: bleedViews(plan, lines, ports, network),
      size: sizeView(
        plan,
        lines,
        brakeCircuits(
          network,
          plan.parts,
          ports,
          plan.sizing?.wheelbaseMm ?? 0,
          pedals,
          plan.sizing?.category === 'motorcycle',
        ),
      ),
      works: sheetResults(plan, lines),
      residuals: residualViews(plan.parts, ports, network),
    };
  },
);
