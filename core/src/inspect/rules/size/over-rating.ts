import { endsByPart, ENDS_READ } from '../plumb/_ends-by-part.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
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
    if (most <= rating) return [];
    const { pressure } = quantityWords(view);
    return {
      level: 'stop',
      text: `Rated ${pressure(rating)} and will see ${pressure(most)}.`,
    };
  },
});
