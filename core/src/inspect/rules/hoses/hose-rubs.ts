import { rubs } from '../../../stations/route/index.ts';
import { leastOf, otherLengths, SHAPE_MM } from './_shared.ts';
import { gradeOf } from '../../rule-kit/severity.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose that comes too near to a wheel, an arm or whatever else, as these stand in the same state. */
export const hoseRubs = defineRule({
  id: 'hose-rubs',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    const worst = leastOf(
      hose.states.filter(rubs),
      ({ near }) => near!.distanceMm - near!.wantedMm,
    );
    if (!worst) return null;
    const { thing, distanceMm, wantedMm } = worst.near!;
    const { bare, full } = lengthWords(view);
    return {
      level: gradeOf(distanceMm, wantedMm, SHAPE_MM, {
        slight: 2,
        grave: thing.nature === 'solid' ? 0 : wantedMm / 2,
      }).level,
      text:
        distanceMm > 0
          ? `At ${worst.name} the hose is ${full(distanceMm)} from ${thing.name}, ${bare(wantedMm)} required.`
          : `At ${worst.name} the hose rubs on ${thing.name}.`,
      fix: () => otherLengths(hose, view, [0.95, 0.9, 0.85, 1.1]),
    };
  },
});
