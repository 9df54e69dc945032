import { reservoirOf } from '../../../stations/fill/index.ts';
import { defineRule } from '../../define-rule.ts';
import { listed, quantityWords } from '../../rule-kit/places.ts';

/** A reservoir that a single corner empties is topped up in the middle of it. Common practice. */
export const reservoirShort = defineRule({
  id: 'reservoir-short',
  station: 'fill',
  about: 'plan',
  reads: ['bleeding', 'plan.parts'],
  judge: (view) => {
    const { volume } = quantityWords(view);
    const short = view.bleeding.flatMap((work) => {
      const { ml, known } = reservoirOf(work);
      const usable = (ml * 2) / 3;
      const most = [...(work.result?.order ?? [])].sort((a, b) => b.flushMl - a.flushMl)[0];
      if (!known || !most || most.flushMl <= usable) return [];
      const { part } = work.bleeders.find(({ port }) => port.id === most.id)!;
      const text = `${volume(most.flushMl)} are to be bled at ${part.name}. Of the reservoir’s ${volume(ml)} only ${volume(usable)} can be used before topping up.`;
      return [{ id: most.id, name: part.name, text }];
    });
    const [first] = short;
    return (
      first && {
        level: 'note',
        place: { kind: 'port', id: first.id },
        where: listed(short.map(({ name }) => name)),
        text: `${short.map(({ text }) => text).join(' ')} Stop half way and check the level.`,
      }
    );
  },
});
