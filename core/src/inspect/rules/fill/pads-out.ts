import { defineRule } from '../../define-rule.ts';
import { FILL_READS, unsaid } from './_shared.ts';

/** Without its pads a caliper's piston comes out at the first pump. Common practice. */
export const padsOut = defineRule({
  id: 'pads-out',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view) =>
    unsaid(view, 'pads', () => ({
      level: 'stop',
      text: 'Fluid went in and nobody said that the pads are in: a piston with nothing before it comes out at the next stroke.',
    })),
});
