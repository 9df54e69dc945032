import { newestDay } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A sheet that was asked for and has not come leaves its figures open. */
export const sheetAwaited = defineRule({
  id: 'sheet-awaited',
  station: 'fit',
  about: 'plan',
  reads: ['plan.log', 'plan.floor'],
  judge: ({ plan }) => {
    const now = newestDay(plan.floor);
    return plan.log.sheets.flatMap(({ name, state, askedOn, dueOn }) =>
      state === 'asked' && now > (dueOn ?? askedOn ?? '')
        ? [
            {
              level: 'caution' as const,
              where: name,
              text: `Asked for${askedOn ? ` on ${askedOn}` : ''}${dueOn ? `, should be here by ${dueOn}` : ''} and not received. Ask again, and take no figures from memory.`,
            },
          ]
        : [],
    );
  },
});
