import { tubeName, tubeWanted } from '../../../stations/make/making/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** What is at hand, once anything of a tube is set down, must do for its lines, unless lengths to buy are. */
export const stockShort = defineRule({
  id: 'stock-short',
  station: 'make',
  about: 'plan',
  reads: ['lines', 'plan.making'],
  judge: ({ lines, plan }) => {
    const { stock = [], sold = [], endMm = 0 } = plan.making;
    const { full } = lengthWords({ plan });
    return tubeWanted(lines).flatMap(({ tube, totalMm, longestMm }) => {
      const own = stock.filter(({ tubeId }) => tubeId === tube.id);
      if (!own.length || sold.some(({ tubeId }) => tubeId === tube.id)) return [];
      const handMm = own.reduce(
        (sum, { lengthMm, count }) => sum + count * Math.max(0, lengthMm - endMm),
        0,
      );
      const most = Math.max(...own.map(({ lengthMm }) => lengthMm - endMm));
      const short =
        totalMm > handMm
          ? `${full(totalMm)} are to be cut, and ${full(handMm)} are at hand`
          : longestMm > most
            ? `the longest cut is ${full(longestMm)} and the longest piece at hand gives ${full(most)}`
            : null;
      return short
        ? [
            {
              level: 'caution' as const,
              text: `${tubeName(tube.id)}: ${short}. Enter in Cuts which lengths you can buy.`,
            },
          ]
        : [];
    });
  },
});
