import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** A clutch on the brakes' master takes its fluid with it when it leaks. */
export const masterShared: Rule = (view) =>
  view.plan.parts.flatMap((part): Snag[] => {
    if (part.kind !== 'master') return [];
    const works = new Set((endsByPart(view).get(part.id) ?? []).map(({ line }) => view.circuits.get(line.line.circuitId)!.work));
    return works.size > 1
      ? [
          {
            rule: 'master-shared',
            level: 'stop',
            station: 'plumb',
            place: { kind: 'port', id: part.ports[0]!.id },
            where: part.name,
            text: 'Brakes and clutch hang on one master: give each its own.',
          },
        ]
      : [];
  });
