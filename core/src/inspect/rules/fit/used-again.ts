import { crushes } from '../../../stations/join/index.ts';
import { wantedOf } from '../../../stations/fit/tasks/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** Washers seal once, and a patch of locker holds once. */
export const usedAgain = defineRule({
  id: 'used-again',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const floor = view.plan.floor;
    const reused = new Set(
      floor.tight
        .filter(({ opened, washers }) => !opened && washers === 'reused')
        .map(({ key }) => key),
    );
    return told(view).flatMap(({ task, state }): Finding[] => {
      if (reused.has(task.id) && task.joint && crushes(task.joint))
        return [
          {
            level: 'stop',
            place: task.place,
            where: task.joint.name,
            text: 'Crush washers were used again. They seal only once: fit new ones.',
          },
        ];
      if (!task.fastener || state !== 'done') return [];
      const { state: on, fastener } = wantedOf(floor, task.fastener.key);
      return fastener === 'reused' && on === 'precoated'
        ? [
            {
              level: 'caution',
              place: task.place,
              where: task.name,
              text: 'Precoated bolts hold only once. Fit new ones, or clean them and use thread locker where the maker’s sheet allows it.',
            },
          ]
        : [];
    });
  },
});
