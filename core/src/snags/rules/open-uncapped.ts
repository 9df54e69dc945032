import { eachEnd, endName, onLine, type Snag } from '../snag.ts';

/** An end that waits for its mate fills with dirt unless it is capped. */
export const openUncapped = eachEnd((line, end): Snag[] => {
  const { open } = line.line.ends[end];
  if (line.ports[end] || !open || open.capped) return [];
  const patch = { open: { ...open, capped: true } };
  return [
    {
      rule: 'open-uncapped',
      level: 'mind',
      station: 'route',
      place: onLine(line),
      where: `${line.line.name}, ${endName(end)}`,
      text: 'This end stands open and is not capped.',
      mend: { label: 'It is capped now', call: { edit: 'changeEnd', with: { id: line.line.id, end, patch } } },
    },
  ];
});
