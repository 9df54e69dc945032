import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, nodeNear, onLine } from '../../rule-kit/places.ts';

/** A clip with nothing to hold to within the reach of a bracket. */
export const clipLoose = defineRule({
  id: 'clip-loose',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.clipSettings', 'plan.things'],
  judge: (line, space, view) => {
    if (!view.plan.things.some((thing) => thing.holds)) return [];
    const { full } = lengthWords(view);
    return space.clips.flatMap((clip): Finding[] =>
      clip.to
        ? []
        : [
            {
              level: 'caution',
              place: onLine(line, nodeNear(line, clip.atMm)),
              where: line.line.name,
              text: `The clip at ${full(clip.atMm)} has nothing to fasten to within ${full(view.plan.clipSettings.reachMm)}.`,
            },
          ],
    );
  },
});
