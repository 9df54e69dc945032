import { figure } from '../../../lib/faults/index.ts';
import { LONG } from './pedal-stroke.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A lever on a master of its own that runs out of stroke, or comes near it. */
export const leverStroke = defineRule({
  id: 'lever-stroke',
  station: 'size',
  about: 'plan',
  reads: ['plan.singles', 'works'],
  judge: (view) => {
    const { full } = lengthWords(view);
    return view.plan.singles.flatMap((sheet, i): Finding[] => {
      const { bottoms, share, travelMm } = view.works.singles[i]!;
      if (!bottoms && share <= LONG) return [];
      return [
        {
          level: bottoms ? 'stop' : 'caution',
          place: { kind: 'plan', id: view.plan.id },
          where: sheet.name,
          text: bottoms
            ? `The lever runs out of stroke: full pressure takes ${full(travelMm)} and the lever has ${full(sheet.lever.strokeMm)}.`
            : `Lever travel at full pressure is ${full(travelMm)} of ${full(sheet.lever.strokeMm)}, ${figure(100 * share, 0)} %. Leave more for wear and heat.`,
        },
      ];
    });
  },
});
