import { eachEnd, endName, onLine } from '../snag.ts';

/** An end that lies at no port has no length and holds no pressure. */
export const lineOpen = eachEnd((line, end) =>
  line.ports[end]
    ? []
    : [
        {
          rule: 'line-open',
          level: 'stop',
          station: 'route',
          place: onLine(line),
          where: `${line.line.name}, ${endName(end)}`,
          text: 'This end joins no port: choose the port it goes to.',
        },
      ],
);
