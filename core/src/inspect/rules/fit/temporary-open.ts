import { defineRule } from '../../define-rule.ts';

/** What holds for now must come off again before the road. */
export const temporaryOpen = defineRule({
  id: 'temporary-open',
  station: 'fit',
  about: 'plan',
  reads: ['plan.floor'],
  judge: ({ plan }) =>
    plan.floor.temporary
      .filter(({ closed }) => closed === null)
      .map(({ what, by, since }) => ({
        level: 'caution' as const,
        where: what,
        text: `Temporary fix: ${by === 'other' ? 'something' : `a ${by.replace('-', ' ')}`} since ${since}. Fit the proper part, then close this.`,
      })),
});
