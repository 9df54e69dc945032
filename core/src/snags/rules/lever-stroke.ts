import { figure } from '../../fault/index.ts';
import { lengthWords, type Rule, type Snag } from '../snag.ts';
import { LONG } from './pedal-stroke.ts';

/** A lever on a master of its own that runs out of stroke, or comes near it. */
export const leverStroke: Rule = (view) => {
  const { full } = lengthWords(view);
  return view.plan.singles.flatMap((sheet, i): Snag[] => {
    const { bottoms, share, travelMm } = view.works.singles[i]!;
    if (!bottoms && share <= LONG) return [];
    return [{
      rule: 'lever-stroke', level: bottoms ? 'stop' : 'mind', station: 'size', place: { kind: 'plan', id: view.plan.id }, where: sheet.name,
      text: bottoms
        ? `It runs out of stroke: full pressure takes ${full(travelMm)} of lever and ${full(sheet.lever.strokeMm)} are there.`
        : `It goes ${full(travelMm)} of ${full(sheet.lever.strokeMm)}, ${figure(100 * share, 0)} %: little is left for wear and heat.`,
    }];
  }); // prettier-ignore
};
