import { newestDay } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** What was left until a day is due once work went on after it: the newest thing told on the floor says how late it is. */
export const laterPassed = defineRule({
  id: 'later-passed',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const floor = view.plan.floor;
    const now = newestDay(floor);
    const byTask = new Map(told(view).map(({ task, state }) => [task.id, { task, state }]));
    return floor.later.flatMap(({ task: id, until }) => {
      const one = byTask.get(id);
      if (!one || one.state === 'done' || until === null || until >= now) return [];
      return [
        {
          level: 'caution' as const,
          place: one.task.place,
          where: one.task.name,
          repeats: `later:${id}`,
          text: `Put off until ${until}, and work has gone on to ${now}. Do it now, or choose another day.`,
        },
      ];
    });
  },
});
