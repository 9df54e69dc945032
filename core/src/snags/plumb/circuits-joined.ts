import { isJoint } from '../../plan/index.ts';
import { endsByPart } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';

/** Two circuits that meet in one joint are one circuit: a leak in either empties both. */
export const circuitsJoined = defineRule({
  id: 'circuits-joined',
  station: 'plumb',
  about: 'plan',
  reads: ['circuits', 'lines', 'plan.parts'],
  judge: (view) =>
    view.plan.parts.filter(isJoint).flatMap((part): Finding[] => {
      const ends = endsByPart(view).get(part.id) ?? [];
      const first = ends[0];
      const other = ends.find(({ line }) => line.line.circuitId !== first!.line.line.circuitId);
      if (!first || !other) return [];
      const name = ({ line }: typeof first): string => `${line.line.name} (${view.circuits.get(line.line.circuitId)!.name})`;
      return [{ level: 'stop', place: { kind: 'line', id: other.line.line.id }, where: part.name,
      text: `${name(first)} and ${name(other)} meet here: they are one circuit, and a leak in either empties both.`,
    }]; // prettier-ignore
    }),
});
