import { lengthWords, onLine, type Rule, type Snag } from '../snag.ts';

/** The straight between two bends must be long enough for this bender's clamp. */
export const feedShort: Rule = (view) => {
  const { bare, full } = lengthWords(view);
  return view.lines.flatMap(({ line, card, bender }, i) =>
    (card?.bends ?? []).slice(1).flatMap((bend, k): Snag[] =>
      bend.feedMm < bender.leastFeedMm - 1e-9
        ? [{
            rule: 'feed-short', level: 'mind', station: 'route', place: onLine(view.lines[i]!, bend.node), where: `${line.name}, bends ${k + 1} and ${k + 2}`,
            text: `There are ${full(bend.feedMm, 1)} of straight between the two bends; ${bender.name} needs ${bare(bender.leastFeedMm)}.`,
          }] // prettier-ignore
        : [],
    ),
  );
};
