import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A dip this small holds no bubble. Common practice. */
const LEVEL_MM = 3;

/** A feed rises all the way to its reservoir, or air stays in it. Common practice. */
export const feedFalls = defineRule({
  id: 'feed-falls',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: (feed, view) => {
    const points = feed.hose.service === 'feed' ? (feed.states[0]?.shape?.pointsMm ?? []) : [];
    if (points.length < 2) return null;
    const upward = points.at(-1)![2] >= points[0]![2] ? points : points.toReversed();
    let [top, fallMm] = [upward[0]![2], 0];
    for (const p of upward) {
      top = Math.max(top, p[2]);
      fallMm = Math.max(fallMm, top - p[2]);
    }
    if (fallMm <= LEVEL_MM) return null;
    return {
      level: 'caution',
      text: `The hose falls by ${lengthWords(view).full(fallMm)} on its way to the reservoir, so air stays at the top of the hump.`,
    };
  },
});
