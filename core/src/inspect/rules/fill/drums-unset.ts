import { defineRule } from '../../define-rule.ts';
import { FILL_READS, unsaid } from './_shared.ts';

/** Drums that are not adjusted up take a stroke of fluid each: the pedal stays low however it is bled. Common practice. */
export const drumsUnset = defineRule({
  id: 'drums-unset',
  station: 'fill',
  about: 'plan',
  reads: FILL_READS,
  judge: (view) =>
    unsaid(view, 'drums', () => ({
      level: 'caution',
      text: 'Filled, but the drums are not marked as adjusted. Slack shoes use up the stroke, and the pedal stays low however long you bleed.',
    })),
});
