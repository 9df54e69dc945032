import { defineRule } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** A joint that was opened and not tightened again leaks or comes off. */
export const openedNotTight = defineRule({
  id: 'opened-not-tight',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const opened = new Set(view.plan.floor.tight.filter((one) => one.opened).map(({ key }) => key));
    return told(view)
      .filter(({ task }) => opened.has(task.id))
      .map(({ task }) => ({
        level: 'stop' as const,
        place: task.place,
        where: task.joint?.name ?? task.name,
        text: 'The joint was opened and is not tightened again. Fit new washers, tighten and mark it.',
      }));
  },
});
