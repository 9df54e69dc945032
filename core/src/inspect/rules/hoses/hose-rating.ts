import { HOSE_HOLDS_MPA } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { pressureIn, PRESSURE_READ } from '../size/pressure-in.ts';

/** Brake hose under more pressure than it is proven to hold. */
export const hoseRating = defineRule({
  id: 'hose-rating',
  station: 'route',
  about: 'hose',
  reads: [...PRESSURE_READ, 'circuits'],
  judge: ({ hose, stock }, view) => {
    const mpa = pressureIn(view, view.circuits.get(hose.circuitId)!);
    // What is no brake hose is refused whatever the pressure.
    if (
      hose.service !== 'pressure' ||
      !stock.brakeClass ||
      stock.kind === 'feed' ||
      mpa <= HOSE_HOLDS_MPA
    )
      return null;
    const { pressure } = quantityWords(view);
    return {
      level: 'stop',
      text: `The hose will see ${pressure(mpa)}, and brake hose is proof-tested to ${pressure(HOSE_HOLDS_MPA)}. Check the figures in Size, and the hose maker’s sheet.`,
    };
  },
});
