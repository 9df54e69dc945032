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
      text: 'Filled, but the pads are not confirmed as fitted. Without pads, the next stroke can push a piston out of its caliper.',
    })),
});
