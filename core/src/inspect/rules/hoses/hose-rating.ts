import { figure } from '../../../lib/faults/index.ts';
import { HOSE_HOLDS_MPA } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
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
    return {
      level: 'stop',
      text: `The hose will see ${figure(mpa, 1)} MPa, and brake hose is proof-tested to ${figure(HOSE_HOLDS_MPA, 1)}. Check the figures in Size, and the hose maker’s sheet.`,
    };
  },
});
