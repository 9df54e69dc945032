import { newestDay } from '../../../stations/fit/tasks/index.ts';
import { followUps } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { wholeView } from '../../rule-kit/whole-view.ts';
import { FLOOR_READS } from '../fit/_shared.ts';

/** A check that the plan asks for after signing, and whose distance or day has come; a bad one takes the vehicle off the road. Common practice. */
export const followUpDue = defineRule({
  id: 'follow-up-due',
  station: 'prove',
  about: 'plan',
  reads: [...FLOOR_READS, 'plan.proving'],
  judge: (view) => {
    const { proving, floor } = view.plan;
    if (!proving.signed.some(({ scope }) => scope === 'road')) return [];
    const on = newestDay(floor) || null;
    return followUps(wholeView(view), { on, km: proving.drivenKm ?? null }).flatMap(
      ({ key, state, text, note, dueKm, dueOn }): Finding[] => {
        if (state === 'bad')
          return [
            {
              level: 'stop',
              repeats: `follow-up:${key}`,
              where: 'After signing',
              text: `A follow-up check was not good: ${text} ${note}`.trim(),
            },
          ];
        return state === 'due'
          ? [
              {
                level: 'caution',
                where: 'After signing',
                text: `Overdue ${dueKm === null ? `since ${dueOn}` : `since ${dueKm} km`}: ${text} Do this check and record what you find.`,
              },
            ]
          : [];
      },
    );
  },
});
