import { figure } from '../../../lib/faults/index.ts';
import { endsByPart, ENDS_READ } from '../plumb/_ends-by-part.ts';
import { defineRule } from '../../define-rule.ts';
import { pressureIn, PRESSURE_READ } from './pressure-in.ts';

/** Pressure above what a part's sheet allows. */
export const overRating = defineRule({
  id: 'over-rating',
  station: 'size',
  about: 'part',
  reads: [...ENDS_READ, ...PRESSURE_READ],
  judge: (part, view) => {
    const rating = part.figures.ratingMPa;
    if (rating === undefined) return [];
    const circuits = (endsByPart(view).get(part.id) ?? []).map(({ circuit }) => circuit);
    const most = Math.max(0, ...circuits.map((circuit) => pressureIn(view, circuit)));
    return (
      most > rating && {
        level: 'stop',
        text: `Rated ${figure(rating, 1)} MPa and will see ${figure(most, 1)}.`,
      }
    );
  },
});
