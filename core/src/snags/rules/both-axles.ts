import { isWorker } from '../../plan/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** A circuit that the split gives to one axle and that feeds brakes on both. It is judged once the wheelbase is known. */
export const bothAxles: Rule = (view) => {
  const wheelbase = view.plan.sizing?.wheelbaseMm;
  if (!wheelbase) return [];
  return view.plan.parts.filter(isWorker).flatMap((part): Snag[] =>
    (endsByPart(view).get(part.id) ?? []).flatMap(({ line, at }): Snag[] => {
      const circuit = view.circuits.get(line.line.circuitId)!;
      const stands = at.fixed.atMm[0] < wheelbase / 2 ? 'front' : 'rear';
      if (circuit.work !== 'brake' || !circuit.axle || circuit.axle === stands) return [];
      return [{
        rule: 'both-axles', level: 'stop', station: 'plumb', place: { kind: 'line', id: line.line.id }, where: line.line.name,
        text: `It belongs to ${circuit.name} and feeds ${part.name} on the ${stands} axle: one failure would take brakes of both axles.`,
      }]; // prettier-ignore
    }),
  );
};
