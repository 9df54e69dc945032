import { isUnusual, torqueOf } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** A torque needs a figure and a source. */
export const torqueOpen = defineRule({
  id: 'torque-open',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const { torque: words } = quantityWords(view);
    return told(view).flatMap(({ task, state }) => {
      const torque = state === 'done' ? torqueOf(task, view.plan.floor) : null;
      // An unusual reading is said by itself.
      if (!torque || isUnusual(torque) || (torque.wantedNm !== null && torque.source)) return [];
      const text =
        torque.wantedNm === null
          ? `Tightened to ${words(torque.saidNm!, 1)} with no torque set. Look up the torque and check it.`
          : 'The torque has no source. Enter where it comes from.';
      return [
        {
          level: 'caution' as const,
          place: task.place,
          where: task.joint?.name ?? task.name,
          text,
        },
      ];
    });
  },
});
