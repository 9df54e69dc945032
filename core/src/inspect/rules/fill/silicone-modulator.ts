import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Silicone fluid froths in an anti-lock modulator and does not keep its valves as they need. Common practice. */
export const siliconeModulator = defineRule({
  id: 'silicone-modulator',
  station: 'fill',
  about: 'plan',
  reads: ['plan.bleeding', 'plan.parts'],
  judge: (view) =>
    fluidById(view.plan.bleeding.fluidId)!.family !== 'silicone'
      ? []
      : view.plan.parts
          .filter((part) => part.kind === 'modulator')
          .map((part): Finding => ({
            level: 'stop',
            place: onPart(part),
            where: part.name,
            text: 'Silicone fluid and an anti-lock modulator do not go together: choose the fluid on its sheet.',
          })),
});
