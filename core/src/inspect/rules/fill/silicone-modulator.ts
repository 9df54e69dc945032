import { fluidById } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';

/** Silicone fluid froths in an anti-lock modulator and does not keep its valves as they need. Common practice. */
export const siliconeModulator = defineRule({
  id: 'silicone-modulator',
  station: 'fill',
  about: 'part',
  reads: ['plan.bleeding'],
  judge: ({ kind }, { plan: { bleeding } }) =>
    kind === 'modulator' &&
    fluidById(bleeding.fluidId)!.family === 'silicone' && {
      level: 'stop',
      text: 'Silicone fluid must not be used with an anti-lock modulator. Choose the fluid on its maker’s sheet.',
    },
});
