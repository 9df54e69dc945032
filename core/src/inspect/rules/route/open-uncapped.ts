import { defineRule, type Finding } from '../../define-rule.ts';
import { endName, onLine } from '../../rule-kit/places.ts';

/** An end that waits for its mate fills with dirt unless it is capped. */
export const openUncapped = defineRule({
  id: 'open-uncapped',
  station: 'route',
  about: 'end',
  reads: [],
  judge: (line, end): Finding[] => {
    const { open } = line.line.ends[end];
    if (line.ports[end] || !open || open.capped) return [];
    const patch = { open: { ...open, capped: true } };
    return [
      {
        level: 'caution',
        place: onLine(line),
        where: `${line.line.name}, ${endName(end)}`,
        text: 'This end is open and not capped. Cap it.',
        fix: () => ({
          label: 'Mark as capped',
          call: { edit: 'changeEnd', with: { id: line.line.id, end, patch } },
        }),
      },
    ];
  },
});
