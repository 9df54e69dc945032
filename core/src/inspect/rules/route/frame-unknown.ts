import { defineRule } from '../../define-rule.ts';

/** Without the vehicle round them, lines cannot be judged for what they come near to or hold on by. */
export const frameUnknown = defineRule({
  id: 'frame-unknown',
  station: 'route',
  about: 'plan',
  reads: ['obstacles', 'plan.lines', 'plan.things'],
  judge: ({ plan }) =>
    plan.lines.length && !plan.things.length
      ? [
          {
            level: 'note',
            place: { kind: 'plan', id: plan.id },
            where: 'The vehicle',
            text: 'No rails, axles or exhaust entered yet, so clearances and clips are not checked.',
          },
        ]
      : [],
});
