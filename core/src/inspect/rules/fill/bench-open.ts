import { defineRule } from '../../define-rule.ts';
import { FILL_READS, unsaid } from './_shared.ts';

/** A master with air in it sends air for as long as it is pumped. Common practice. */
export const benchOpen = defineRule({
  id: 'bench-open',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view) =>
    unsaid(view, 'bench:', () => ({
      level: 'caution',
      text: 'Filled, but the master cylinder is not marked as bench-bled. Air left in it goes into the lines with every stroke.',
    })),
});
