import { daysBetween } from '../../../lib/units/index.ts';
import { BOTTLE_DAYS } from '../../../stations/fill/index.ts';
import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { begun } from './_shared.ts';

/** Glycol takes up water out of the air: a bottle that was opened months before is not new. Common practice. */
export const bottleOld = defineRule({
  id: 'bottle-old',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.parts'],
  judge: (view) => {
    const day =
      begun(view)
        .map(({ startedAt }) => startedAt.slice(0, 10))
        .sort()
        .at(-1) ?? null;
    return view.plan.filling.fluids.flatMap(({ part, fluidId, openedOn, filledOn }): Finding[] => {
      const used = filledOn ?? day;
      const days = openedOn && used ? daysBetween(openedOn, used) : 0;
      const of = view.plan.parts.find(({ id }) => id === part);
      if (!of || days <= BOTTLE_DAYS || fluidById(fluidId)?.family !== 'glycol') return [];
      return [
        {
          level: 'caution',
          place: { kind: 'part', id: part },
          where: of.name,
          text: `The bottle was opened ${days} days before filling. After ${BOTTLE_DAYS} days open it has absorbed water. Fill from a new bottle.`,
        },
      ];
    });
  },
});
