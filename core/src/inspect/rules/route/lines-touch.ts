import { closeCrossings } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, nodeNear, onLine } from '../../rule-kit/places.ts';

/** Two lines that touch or nearly do rub through, unless one is sleeved there or they are tied. Common practice. */
export const linesTouch = defineRule({
  id: 'lines-touch',
  station: 'route',
  about: 'plan',
  reads: ['lines'],
  judge: (view) =>
    closeCrossings(view.lines).flatMap(({ a, b, distanceMm, atMm, otherMm }): Finding[] => {
      const sleeved = (line: typeof a, at: number): boolean =>
        line.line.sleeves.some((s) => s.fromMm <= at && s.toMm >= at);
      if (sleeved(a, atMm) || sleeved(b, otherMm)) return [];
      const { full } = lengthWords(view);
      const sleeve = {
        fromMm: Math.max(0, Math.round(atMm - 40)),
        toMm: Math.round(atMm + 40),
        kind: 'chafe' as const,
      };
      return [
        {
          level: 'caution',
          place: onLine(a, nodeNear(a, atMm)),
          where: `${a.line.name} and ${b.line.name}`,
          text:
            distanceMm > 0
              ? `${a.line.name} and ${b.line.name} pass ${full(distanceMm, 1)} apart with no sleeve between, and will rub.`
              : `${a.line.name} and ${b.line.name} touch with no sleeve between, and will rub through.`,
          fix: () => ({
            label: `Sleeve ${a.line.name} there`,
            call: {
              edit: 'changeLine',
              with: { id: a.line.id, patch: { sleeves: [...a.line.sleeves, sleeve] } },
            },
          }),
        },
      ];
    }),
});
