import { changeSteps } from '../../../stations/fill/index.ts';
import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** From one family of fluid to another: seals renewed and lines flushed, and with mineral oil never unless every sheet names both. Common practice. */
export const fluidChange = defineRule({
  id: 'fluid-change',
  station: 'fill',
  about: 'plan',
  reads: ['plan.filling', 'plan.parts'],
  judge: (view) =>
    view.plan.filling.fluids.flatMap((one): Finding[] => {
      const { steps, never } = changeSteps(one.wasId, one.fluidId);
      const open = steps.filter(({ key }) => !one[key]);
      const of = view.plan.parts.find(({ id }) => id === one.part);
      if (!open.length || !of) return [];
      const words = `${fluidById(one.wasId!)!.name} was used before, and ${fluidById(one.fluidId)!.name} is to go in`;
      return [
        {
          level: 'stop',
          place: { kind: 'part', id: one.part },
          where: of.name,
          text:
            never && !one.named
              ? `${words}. Never change to or from mineral oil, unless the sheet of every part allows both.`
              : `${words}. First: ${open.map(({ text }) => text.toLowerCase()).join('; ')}.`,
        },
      ];
    }),
});
