import { defineRule } from '../../define-rule.ts';

/** What was swapped on the vehicle before makes its factory figures wrong there. Common practice. */
export const earlierChanges = defineRule({
  id: 'earlier-changes',
  station: 'fit',
  about: 'plan',
  reads: ['plan.log'],
  judge: ({ plan }) =>
    plan.log.earlier
      .filter(({ text }) => text.trim())
      .map(({ id, text }) => ({
        level: 'caution' as const,
        place: { kind: 'earlierChange' as const, id },
        where: 'Earlier change',
        text: `${text.trim().replace(/\.$/, '')}. Factory figures do not hold there: take them from what is fitted.`,
      })),
});
