import { ENDS, endName, onLine, type Rule, type Snag } from '../snag.ts';

/** An end that lies at no port has no length and holds no pressure. */
export const lineOpen: Rule = (view) =>
  view.lines.flatMap((line) =>
    ENDS.flatMap((end): Snag[] =>
      line.ports[end]
        ? []
        : [
            {
              rule: 'line-open',
              level: 'stop',
              station: 'route',
              place: onLine(line),
              where: `${line.line.name}, ${endName(end)}`,
              text: `This end joins no port: choose the port it goes to.`,
            },
          ],
    ),
  );
