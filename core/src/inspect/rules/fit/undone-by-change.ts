import { undone } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** An edit un-proves the work that was done to what it changed. */
export const undoneByChange = defineRule({
  id: 'undone-by-change',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  together: {
    where: 'Work done before the change',
    text: (count, names) =>
      `${count} tasks were done and what they were done to has changed since: ${names}. Do them again, or confirm that they are still good.`,
  },
  judge: (view) =>
    undone(
      told(view).map(({ task }) => task),
      view.plan.floor,
    ).map(({ task, at }) => ({
      level: 'caution' as const,
      place: task.place,
      where: task.name,
      text: `Done on ${at.slice(0, 10)} and changed since. Do it again, or confirm that it is still good.`,
    })),
});
