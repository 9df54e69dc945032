import { defineRule } from '../../define-rule.ts';
import { amountOf, LIST_READS, listOf } from './_shared.ts';

/** New washers and rings go into every joint that is made. */
export const washersFew = defineRule({
  id: 'washers-few',
  station: 'make',
  about: 'plan',
  reads: LIST_READS,
  judge: (view) =>
    (listOf(view)?.rows ?? [])
      .filter(
        ({ item, order, toBuy }) =>
          item.group === 'Washers and sealant' &&
          toBuy > 0 &&
          order.state !== 'needed' &&
          order.state !== 'ordered',
      )
      .map((row) => ({
        level: 'caution' as const,
        text: `${row.item.name}: ${amountOf(row, row.order.have)} at hand and ${amountOf(row, row.item.count)} needed. Every joint you open needs new ones.`,
      })),
});
