import { eachSpace, onLine, type Snag } from '../snag.ts';
import { mountedOnBoth } from './nearness.ts';

/** A rigid tube never feeds anything that moves against its other end: a hose does. Common practice. */
export const tubeToMoving = eachSpace((line, _space, view) => {
  const [a, b] = mountedOnBoth(view, line);
  return view.plan.things.flatMap((thing): Snag[] => {
    if (!thing.travel || a.has(thing.id) === b.has(thing.id)) return [];
    const end = a.has(thing.id) ? 'A' : 'B';
    return [
      {
        rule: 'tube-to-moving',
        level: 'stop',
        station: 'route',
        place: onLine(line),
        where: `${line.line.name}, end ${end}`,
        text: `Its end ${end} is on ${thing.name}, which moves against the other: a tube cracks there. Put a hose between, with a bracket where tube meets hose.`,
      },
    ];
  });
});
