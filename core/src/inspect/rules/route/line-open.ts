import { defineRule } from '../../define-rule.ts';
import { endName, onLine } from '../../rule-kit/places.ts';

/** An end that lies at no port holds no pressure: it is on the list that blocks sign-off. */
export const lineOpen = defineRule({
  id: 'line-open',
  station: 'route',
  about: 'end',
  reads: [],
  judge: (line, end) => {
    if (line.ports[end]) return [];
    const { open } = line.line.ends[end];
    return [
      {
        level: 'stop',
        place: onLine(line),
        where: `${line.line.name}, ${endName(end)}`,
        text: open
          ? `The line waits for ${open.waitsFor || 'its mate'}.`
          : 'This end is not connected. Choose its port.',
      },
    ];
  },
});
