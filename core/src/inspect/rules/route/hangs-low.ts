import { boxOf, gapTo, solidsOf } from '../../../shape/obstacles/index.ts';
import { defineRule } from '../../define-rule.ts';
import { placeSigmaMm } from './_nearness.ts';
import { severity } from '../../rule-kit/severity.ts';
import { lengthWords, nodeNear, onLine } from '../../rule-kit/places.ts';

/** How near a line lies to the axle that it is clipped to, mm. Common practice. */
const ON_AXLE_MM = 80;

/** So little below them is no more than a clip or a nut stands out, mm; the ground never makes it a stop. Ours, said to be a judgement. */
const SLIGHT_OF = { slight: 5, grave: -Infinity };

/** Below the rails a line is the first thing that the ground meets. */
export const hangsLow = defineRule({
  id: 'hangs-low',
  station: 'route',
  about: 'space',
  reads: ['obstacles', 'plan.things'],
  judge: (line, space, view) => {
    const rails = view.plan.things
      .filter((thing) => thing.kind === 'rail')
      .flatMap((thing) => solidsOf(thing.shape).map(boxOf));
    if (!rails.length) return [];
    // What runs along a live axle goes where that goes.
    const axles = view.obstacles.filter(({ thing }) => thing.kind === 'axle');
    let [worst, at, run] = [0, 0, 0];
    for (const [i, p] of space.points.entries()) {
      if (i) run += Math.hypot(...p.map((v, k) => v - space.points[i - 1]![k]!));
      const beside = rails.filter(({ min, max }) => p[0] >= min[0] && p[0] <= max[0]);
      if (!beside.length) continue;
      const below = Math.min(...beside.map(({ min }) => min[2])) - (p[2] - line.tube.odMm / 2);
      if (below > worst && !axles.some((axle) => gapTo(axle, p, p, ON_AXLE_MM)))
        [worst, at] = [below, run];
    }
    const graded = severity(-worst, 0, placeSigmaMm(line), SLIGHT_OF);
    if (!graded || worst < 1) return [];
    const text = `The line hangs ${lengthWords(view).full(worst)} below the rails. Keep it above their lower face.`;
    return [
      {
        level: graded.level,
        place: onLine(line, nodeNear(line, at)),
        where: line.line.name,
        text,
      },
    ];
  },
});
