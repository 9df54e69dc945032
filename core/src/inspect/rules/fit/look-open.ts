import { undone } from '../../../stations/fit/tasks/index.ts';
import { gathered } from '../../rule-kit/gathered.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { doneIds, FLOOR_READS, told } from './_shared.ts';

/** What was looked at and was not good stays open; what nobody looked at is told once fluid is in. */
export const lookOpen = defineRule({
  id: 'look-open',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const views = told(view);
    const bad = new Map(
      view.plan.floor.looks.filter(({ good }) => !good).map((look) => [look.task, look.note]),
    );
    const filled = doneIds(views).has('fill');
    // A check done before a change is reported by undone-by-change.
    const before = new Set(
      undone(
        views.map(({ task }) => task),
        view.plan.floor,
      ).map(({ task }) => task.id),
    );
    const open = views.filter(({ task, state }) => task.kind === 'look' && state !== 'done');
    const notGood = open.flatMap(({ task }): Finding[] => {
      if (bad.has(task.id))
        return [
          {
            level: 'caution',
            place: task.place,
            where: task.name,
            repeats: `task:${task.id}`,
            text: `Checked, and not good${bad.get(task.id) ? `: ${bad.get(task.id)}` : '.'}`,
          },
        ];
      return [];
    });
    const late = open
      .filter(({ task }) => filled && !bad.has(task.id) && !before.has(task.id))
      .map(({ task }): Finding => ({
        level: 'caution',
        place: task.place,
        where: task.name,
        repeats: `task:${task.id}`,
        text: 'Fluid is in, and this is not checked yet.',
      }));
    return [
      ...notGood,
      ...gathered(late, {
        where: 'Checks',
        text: (count, names) => `Fluid is in, and ${count} checks are still open: ${names}.`,
      }),
    ];
  },
});
