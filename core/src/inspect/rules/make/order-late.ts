import { beforeItCloses } from '../../../stations/fit/gates/index.ts';
import type { Plan } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { LIST_READS, listOf } from './_shared.ts';

/** A part that comes after its gate has closed comes too late. */
export const orderLate = defineRule({
  id: 'order-late',
  station: 'make',
  about: 'plan',
  reads: [...LIST_READS, 'points', 'plan.gates'],
  judge: (view) => {
    const rows = (listOf(view)?.rows ?? []).filter(
      ({ order, toBuy }) =>
        toBuy > 0 && order.due && order.state !== 'here' && order.state !== 'fitted',
    );
    if (!rows.length) return [];
    return view.plan.gates.flatMap((gate) => {
      if (!gate.on || gate.closed) return [];
      const inside = new Set(
        beforeItCloses({ ...view, plan: view.plan as Plan }, gate).map(({ place }) => place.id),
      );
      return rows
        .filter(
          ({ item, order }) =>
            order.due! > gate.on! && item.uses.some(({ place }) => inside.has(place.id)),
        )
        .map(({ item, order }) => ({
          level: 'caution' as const,
          place: { kind: 'gate' as const, id: gate.id },
          where: gate.name,
          text: `${item.name} is due ${order.due}, and ${gate.name} closes over where it goes on ${gate.on}.`,
        }));
    });
  },
});
