import { isBrake } from '../../../plan/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** A circuit that the split gives to one axle and that feeds brakes on both. It is judged once the wheelbase is known. */
export const bothAxles = defineRule({
  id: 'both-axles',
  station: 'plumb',
  about: 'part',
  reads: ['plan.sizing', ...ENDS_READ],
  judge: (part, view) => {
    const wheelbase = view.plan.sizing?.wheelbaseMm;
    if (!wheelbase || !isBrake(part)) return [];
    return (endsByPart(view).get(part.id) ?? []).flatMap(
      ({ name, place, circuit, at }): Finding[] => {
        const stands = at.fixed.atMm[0] < wheelbase / 2 ? 'front' : 'rear';
        if (circuit.work !== 'brake' || !circuit.axle || circuit.axle === stands) return [];
        return [
          {
            level: 'stop',
            place,
            where: name,
            text: `Circuit ${circuit.name} is set to the ${circuit.axle} axle and feeds ${part.name} on the ${stands} axle: one failure would take out brakes on both axles.`,
          },
        ];
      },
    );
  },
});
