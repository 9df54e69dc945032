import { defineRule } from '../../define-rule.ts';
import { LIST_READS, listOf } from './_shared.ts';

/** What came wrong or not at all stays open until somebody closes it. */
export const orderWrong = defineRule({
  id: 'order-wrong',
  station: 'make',
  about: 'plan',
  reads: LIST_READS,
  judge: (view) =>
    (listOf(view)?.rows ?? [])
      .filter(({ order }) => order.state === 'wrong' || order.state === 'missing')
      .map(({ item, order }) => ({
        level: 'caution' as const,
        text: `${item.name} ${order.state === 'wrong' ? 'came wrong' : 'is missing'}${order.due ? `, due ${order.due}` : ''}${order.note ? `: ${order.note}` : '.'}`,
      })),
});
