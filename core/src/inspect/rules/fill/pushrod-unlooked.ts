import { defineRule } from '../../define-rule.ts';
import { FILL_READS, unsaid } from './_shared.ts';

/** Fluid went in and nobody looked at the pushrod: a preloaded one shuts the compensating port, and the brakes lock on. Common practice. */
export const pushrodUnlooked = defineRule({
  id: 'pushrod-unlooked',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view) =>
    unsaid(view, 'play:', () => ({
      level: 'caution',
      text: 'Filled, but pushrod free play is not checked. A preloaded pushrod closes the compensating port, and the brakes drag and lock on.',
    })),
});
