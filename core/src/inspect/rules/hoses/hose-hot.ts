import { leastOf, SHAPE_MM } from './_shared.ts';
import { gradeOf } from '../../rule-kit/severity.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose that comes too near to something hot, in some state of its travel. */
export const hoseHot = defineRule({
  id: 'hose-hot',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: (hose, view) => {
    const heated = hose.states.filter(({ hot }) => hot && hot.distanceMm < hot.wantedMm);
    const worst = leastOf(heated, ({ hot }) => hot!.distanceMm);
    if (!worst) return null;
    const { thing, distanceMm, wantedMm } = worst.hot!;
    const { full, bare } = lengthWords(view);
    return {
      level: gradeOf(distanceMm, wantedMm, SHAPE_MM, { slight: 2, grave: wantedMm / 2 }).level,
      text: `At ${worst.name} the hose is ${full(distanceMm)} from ${thing.name}, ${bare(wantedMm)} required. Route it elsewhere, or shield it as the hose maker says.`,
    };
  },
});
