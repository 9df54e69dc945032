import { defineRule } from '../../define-rule.ts';
import { FILL_READS, unsaid } from './_shared.ts';

/** Fluid in lines with a joint that is not tight or a port that is open: it leaks, and air comes in where it does. Common practice. */
export const jointLooseFilled = defineRule({
  id: 'joint-loose-filled',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view) =>
    ['joints:', 'ends', 'plugs:'].flatMap((key) =>
      unsaid(view, key, (name) => ({
        level: 'stop',
        text: `Filled before this was done: ${name.toLowerCase()}. A loose joint leaks, and draws in air on every return stroke.`,
      })),
    ),
});
