import { mountedOnBoth } from './_nearness.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** A rigid tube never feeds anything that moves against its other end: a hose does. Common practice. */
export const tubeToMoving = defineRule({
  id: 'tube-to-moving',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.clipSettings', 'plan.things'],
  judge: (line, _space, view) => {
    const [a, b] = mountedOnBoth(view, line);
    return view.plan.things.flatMap((thing): Finding[] => {
      if (!thing.travel || a.has(thing.id) === b.has(thing.id)) return [];
      const end = a.has(thing.id) ? 'A' : 'B';
      return [
        {
          level: 'stop',
          place: onLine(line),
          where: `${line.line.name}, end ${end}`,
          text: `End ${end} is on ${thing.name}, which moves relative to the other end, so the tube cracks. Fit a hose between, with a bracket where tube meets hose.`,
        },
      ];
    });
  },
});
