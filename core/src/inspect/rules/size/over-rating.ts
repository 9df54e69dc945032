import { figure } from '../../../lib/faults/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { pressureIn, PRESSURE_READ } from './pressure-in.ts';

/** Pressure above what a part's sheet allows. */
export const overRating = defineRule({
  id: 'over-rating',
  station: 'size',
  about: 'plan',
  reads: [...ENDS_READ, ...PRESSURE_READ, 'plan.parts'],
  judge: (view) =>
    view.plan.parts.flatMap((part): Finding[] => {
      const rating = part.figures.ratingMPa;
      if (rating === undefined) return [];
      const circuits = (endsByPart(view).get(part.id) ?? []).map(({ circuit }) => circuit);
      const most = Math.max(0, ...circuits.map((circuit) => pressureIn(view, circuit)));
      return most > rating
        ? [
            {
              level: 'stop',
              place: onPart(part),
              where: part.name,
              text: `It comes to ${figure(most, 1)} MPa and is rated for ${figure(rating, 1)}.`,
            },
          ]
        : [];
    }),
});
