import type { Rule } from '../snag.ts';

/** Without the vehicle round them, lines cannot be judged for what they come near to or hold on by. */
export const frameUnknown: Rule = ({ plan }) =>
  plan.lines.length && !plan.things.length
    ? [
        {
          rule: 'frame-unknown',
          level: 'note',
          station: 'route',
          place: { kind: 'plan', id: plan.id },
          where: 'The vehicle',
          text: 'No rail, axle or exhaust is set down yet: what lines come near to, and what holds them, is not judged.',
        },
      ]
    : [];
