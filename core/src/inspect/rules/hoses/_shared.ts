import {
  atLength,
  ORDER_STEP_MM,
  type HoseState,
  type HoseView,
} from '../../../stations/route/index.ts';
import type { Plan } from '../../../plan/index.ts';
import { formatLength } from '../../../lib/units/index.ts';
import type { Fix } from '../../define-rule.ts';

/** So much of a hose, and of what meets or leaves it at its seat, may lie close together, mm. Common practice. */
export const MEETS_MM = 90;

/** How well the place of a hose between its ends is known, mm. Ours, said to be a judgement. */
export const SHAPE_MM = 5;

/** The state of those given in which a figure is least; null where none is given. */
export const leastOf = (
  states: readonly HoseState[],
  figure: (state: HoseState) => number,
): HoseState | null =>
  states.reduce<HoseState | null>(
    (least, one) => (!least || figure(one) < figure(least) ? one : least),
    null,
  );

/** Lengths, as shares of its own, at which a hose serves everywhere and touches nothing. */
export function otherLengths(
  { hose, ...view }: HoseView,
  { plan }: { readonly plan: Pick<Plan, 'things' | 'units' | 'ownUnits'> },
  shares: readonly number[],
): Fix[] {
  return shares.flatMap((share): Fix[] => {
    const orderMm = Math.round((hose.orderMm * share) / ORDER_STEP_MM) * ORDER_STEP_MM;
    if (!atLength({ hose, ...view }, plan.things, orderMm).ok) return [];
    return [
      {
        label: `Take ${formatLength(orderMm, plan.units)}`,
        call: { edit: 'changeHose', with: { id: hose.id, patch: { orderMm } } },
      },
    ];
  });
}
export const LONGER = [1.05, 1.1, 1.2, 1.3, 1.45, 1.7, 2];
