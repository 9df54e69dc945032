import { defineRule } from '../../define-rule.ts';
import { LIST_READS, listOf } from './_shared.ts';

/** What was ordered to the plan as it was may be another thread than the port's now. */
export const orderStray = defineRule({
  id: 'order-stray',
  station: 'make',
  about: 'plan',
  reads: LIST_READS,
  judge: (view) =>
    (listOf(view)?.stray ?? []).map(({ key, state }) => ({
      level: 'caution' as const,
      text: `${key.slice(key.indexOf(':') + 1)} is ${state === 'ordered' ? 'on order' : 'here'}, and the plan no longer needs it: that thread, size or length has changed. Return it, or change the plan.`,
    })),
});
