import { figure } from '../../../lib/faults/index.ts';
import { torqueOf } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** What the wrench said lies beside what is wanted now, or the figure wanted is not one that such a fastener takes. */
export const torqueOff = defineRule({
  id: 'torque-off',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const floor = view.plan.floor;
    return told(view).flatMap(({ task, state }) => {
      const torque = torqueOf(task, floor);
      if (!torque) return [];
      const { wantedNm, saidNm, likely, verdict } = torque;
      const at = {
        level: 'caution' as const,
        place: task.place,
        where: task.joint?.name ?? task.name,
      };
      if (state === 'done' && (verdict === 'low' || verdict === 'high'))
        return [
          {
            ...at,
            text: `The wrench read ${figure(saidNm!)} N·m and ${figure(wantedNm!)} is required: ${verdict === 'low' ? 'tighten it' : 'loosen it, check it, tighten again'}.`,
          },
        ];
      // Of a joint, Join asks about its figure.
      return task.fastener &&
        wantedNm !== null &&
        likely &&
        (wantedNm < likely.least || wantedNm > likely.most)
        ? [
            {
              ...at,
              text: `${figure(wantedNm)} N·m is set, and such a bolt usually takes ${figure(likely.least)} to ${figure(likely.most)}. Check the unit.`,
            },
          ]
        : [];
    });
  },
});
