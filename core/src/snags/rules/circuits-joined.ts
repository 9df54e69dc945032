import { isJoint } from '../../plan/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** Two circuits that meet in one joint are one circuit: a leak in either empties both. */
export const circuitsJoined: Rule = (view) =>
  view.plan.parts.filter(isJoint).flatMap((part): Snag[] => {
    const ends = endsByPart(view).get(part.id) ?? [];
    const first = ends[0];
    const other = ends.find(({ line }) => line.line.circuitId !== first!.line.line.circuitId);
    if (!first || !other) return [];
    const name = ({ line }: typeof first): string => `${line.line.name} (${view.circuits.get(line.line.circuitId)!.name})`;
    return [{
      rule: 'circuits-joined', level: 'stop', station: 'plumb', place: { kind: 'line', id: other.line.line.id }, where: part.name,
      text: `${name(first)} and ${name(other)} meet here: they are one circuit, and a leak in either empties both.`,
    }]; // prettier-ignore
  });
