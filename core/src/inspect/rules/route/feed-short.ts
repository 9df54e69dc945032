import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, onLine } from '../../rule-kit/places.ts';

/** The straight between two bends must be long enough for this bender's clamp. */
export const feedShort = defineRule({
  id: 'feed-short',
  station: 'route',
  about: 'line',
  reads: [],
  judge: (line, view) => {
    const { bare, full } = lengthWords(view);
    const { leastFeedMm, name } = line.bender;
    return (line.card?.bends ?? []).slice(1).flatMap((bend, k): Finding[] => {
      if (bend.feedMm >= leastFeedMm - 1e-9) return [];
      const text = `There is ${full(bend.feedMm, 1)} of straight between the two bends, and ${name} needs ${bare(leastFeedMm)}.`;
      return [
        {
          level: 'caution',
          place: onLine(line, bend.node),
          where: `${line.line.name}, bends ${k + 1} and ${k + 2}`,
          text,
        },
      ];
    });
  },
});
