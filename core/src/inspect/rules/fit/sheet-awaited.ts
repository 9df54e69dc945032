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
              level: 'mind' as const,
              where: name,
              text: `It was asked for${askedOn ? ` on ${askedOn}` : ''}${dueOn ? `, should be here by ${dueOn}` : ''} and has not come: ask again, and take no figure of it from memory.`,
            },
          ]
        : [],
    );
  },
});
