import { defineRule } from '../../define-rule.ts';
import { onLine } from '../../rule-kit/places.ts';

/** A center line that cannot be bent: a straight shorter than its bends, a corner on top of another, one that doubles back. */
export const noRoom = defineRule({
  id: 'no-room',
  station: 'route',
  about: 'line',
  reads: [],
  judge: (line) =>
    line.fault
      ? [
          {
            level: 'stop',
            place: onLine(line, line.fault.node),
            where: `${line.line.name}, corner ${line.fault.node}`,
            text: line.fault.message,
          },
        ]
      : [],
});
