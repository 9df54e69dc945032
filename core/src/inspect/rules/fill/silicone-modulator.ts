import { defineRule } from '../../define-rule.ts';
import { fluidAt, FLUID_READS } from './_fluid-at.ts';

/** Silicone fluid froths in an anti-lock modulator and does not keep its valves as they need. Common practice. */
export const siliconeModulator = defineRule({
  id: 'silicone-modulator',
  station: 'fill',
  about: 'part',
  reads: FLUID_READS,
  judge: (part, view) =>
    part.kind === 'modulator' &&
    fluidAt(part, view).fluid.family === 'silicone' && {
      level: 'stop',
      text: 'Silicone fluid must not be used with an anti-lock modulator. Choose the fluid on its maker’s sheet.',
    },
});
