import { eachLine, lengthWords, onLine, type Snag } from '../snag.ts';

/** The straight between two bends must be long enough for this bender's clamp. */
export const feedShort = eachLine((line, view) => {
  const { bare, full } = lengthWords(view);
  const { leastFeedMm, name } = line.bender;
  return (line.card?.bends ?? []).slice(1).flatMap((bend, k): Snag[] => {
    if (bend.feedMm >= leastFeedMm - 1e-9) return [];
    const text = `There are ${full(bend.feedMm, 1)} of straight between the two bends; ${name} needs ${bare(leastFeedMm)}.`;
    return [
      {
        rule: 'feed-short',
        level: 'mind',
        station: 'route',
        place: onLine(line, bend.node),
        where: `${line.line.name}, bends ${k + 1} and ${k + 2}`,
        text,
      },
    ];
  });
});
