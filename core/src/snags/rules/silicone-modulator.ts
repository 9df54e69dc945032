import { fluidById } from '../../stock/index.ts';
import type { Rule, Snag } from '../snag.ts';

/** Silicone fluid froths in an anti-lock modulator and does not keep its valves as they need. Common practice. */
export const siliconeModulator: Rule = (view) =>
  fluidById(view.plan.bleeding.fluidId)!.family !== 'silicone'
    ? []
    : view.plan.parts
        .filter((part) => part.kind === 'modulator')
        .map((part): Snag => ({
          rule: 'silicone-modulator',
          level: 'stop',
          station: 'fill',
          place: { kind: 'port', id: part.ports[0]!.id },
          where: part.name,
          text: 'Silicone fluid and an anti-lock modulator do not go together: choose the fluid on its sheet.',
        }));
