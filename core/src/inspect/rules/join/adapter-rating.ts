import { adapterOf } from '../../../plan/index.ts';
import { isPipeFitting } from '../../../trade/stock/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { pressureIn, PRESSURE_READ } from '../size/pressure-in.ts';

/** What brass pipe fittings hold by their class, MPa. Source: makers' tables (from memory): class 125, forged or extruded, instrument. */
const CLASS_125_MPA = 1.4;
const FORGED_MPA = 7;
const INSTRUMENT_MPA = 20;

/** An adapter under more pressure than it is rated for; a brass pipe fitting of a class that nobody has looked up. */
export const adapterRating = defineRule({
  id: 'adapter-rating',
  station: 'join',
  about: 'end',
  reads: [...PRESSURE_READ, 'circuits', 'plan.bench'],
  judge: ({ line }, end, view) => {
    const { bench } = view.plan;
    const mpa = pressureIn(view, view.circuits.get(line.circuitId)!);
    return line.ends[end].adapters.flatMap((id): Finding[] => {
      const adapter = adapterOf(bench, id)!;
      const { pressure } = quantityWords(view);
      const rated = bench.ratingMPa?.[id];
      if (rated !== undefined)
        return mpa > rated
          ? [
              {
                level: 'stop',
                text: `${adapter.name} is rated ${pressure(rated)} and will see ${pressure(mpa)}.`,
              },
            ]
          : [];
      if (!isPipeFitting(adapter) || mpa <= CLASS_125_MPA) return [];
      const which = mpa <= FORGED_MPA ? 'a forged or extruded one' : 'one of instrument class';
      return [
        {
          level: 'caution',
          text: `${adapter.name} will see ${pressure(mpa)}. Brass pipe fittings hold about ${pressure(CLASS_125_MPA)} in class 125, ${pressure(FORGED_MPA)} or slightly more forged or extruded, ${pressure(INSTRUMENT_MPA)} and more in instrument class. Use ${which} and enter its rating from the maker’s sheet.`,
        },
      ];
    });
  },
});
