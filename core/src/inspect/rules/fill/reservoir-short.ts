import { reservoirOf } from '../../../stations/fill/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** A reservoir that a single corner empties is topped up in the middle of it. Common practice. */
export const reservoirShort = defineRule({
  id: 'reservoir-short',
  station: 'fill',
  about: 'plan',
  reads: ['bleeding', 'plan.parts'],
  judge: (view) =>
    view.bleeding.flatMap((work): Finding[] => {
      const { ml, known } = reservoirOf(work);
      const usable = (ml * 2) / 3;
      const most = [...(work.result?.order ?? [])].sort((a, b) => b.flushMl - a.flushMl)[0];
      if (!known || !most || most.flushMl <= usable) return [];
      const { volume } = quantityWords(view);
      const { part } = work.bleeders.find(({ port }) => port.id === most.id)!;
      return [
        {
          level: 'note',
          place: { kind: 'port', id: most.id },
          where: part.name,
          text: `${volume(most.flushMl)} are to be bled here. Of the reservoir’s ${volume(ml)} only ${volume(usable)} can be used before topping up. Stop half way and check the level.`,
        },
      ];
    }),
});
