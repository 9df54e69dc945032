import { eachEnd, endName, onLine } from '../snag.ts';

/** An end that lies at no port holds no pressure: it is on the list that blocks sign-off. */
export const lineOpen = eachEnd((line, end) => {
  if (line.ports[end]) return [];
  const { open } = line.line.ends[end];
  return [
    {
      rule: 'line-open',
      level: 'stop',
      station: 'route',
      place: onLine(line),
      where: `${line.line.name}, ${endName(end)}`,
      text: open ? `It waits for ${open.waitsFor || 'its mate'}.` : 'This end joins no port: choose the port it goes to.',
    },
  ];
});
