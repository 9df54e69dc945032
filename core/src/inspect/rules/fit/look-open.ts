import { defineRule } from '../../define-rule.ts';
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
    return views.flatMap(({ task, state }) => {
      if (task.kind !== 'look' || state === 'done') return [];
      if (bad.has(task.id))
        return [
          {
            level: 'caution' as const,
            place: task.place,
            where: task.name,
            repeats: `task:${task.id}`,
            text: `Checked, and not good${bad.get(task.id) ? `: ${bad.get(task.id)}` : '.'}`,
          },
        ];
      return filled
        ? [
            {
              level: 'caution' as const,
              place: task.place,
              where: task.name,
              repeats: `task:${task.id}`,
              text: 'Fluid is in, and this is not checked yet.',
            },
          ]
        : [];
    });
  },
});
