import { eachLine, onLine } from '../snag.ts';

/** A centre line that cannot be bent: a straight shorter than its bends, a corner on top of another, one that doubles back. */
export const noRoom = eachLine((line) =>
  line.fault
    ? [
        {
          rule: 'no-room',
          level: 'stop',
          station: 'route',
          place: onLine(line, line.fault.node),
          where: `${line.line.name}, corner ${line.fault.node}`,
          text: line.fault.message,
        },
      ]
    : [],
);
