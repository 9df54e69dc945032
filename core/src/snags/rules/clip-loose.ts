import { eachSpace, lengthWords, nodeNear, onLine, type Snag } from '../snag.ts';

/** A clip with nothing to hold to within the reach of a bracket. */
export const clipLoose = eachSpace((line, space, view) => {
  if (!view.plan.things.some((thing) => thing.holds)) return [];
  const { full } = lengthWords(view);
  return space.clips.flatMap((clip): Snag[] =>
    clip.to
      ? []
      : [
          {
            rule: 'clip-loose',
            level: 'mind',
            station: 'route',
            place: onLine(line, nodeNear(line, clip.atMm)),
            where: line.line.name,
            text: `The clip at ${full(clip.atMm)} has nothing to hold to within ${full(view.plan.holding.reachMm)}.`,
          },
        ],
  );
});
