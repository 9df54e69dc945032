import { isWorker } from '../../plan/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** A brake or a slave to which no line runs does nothing. It is not asked before the plan has lines. */
export const partUnfed: Rule = (view) =>
  view.lines.length === 0
    ? []
    : view.plan.parts
        .filter((part) => isWorker(part) && part.ports.length && !endsByPart(view).has(part.id))
        .map((part): Snag => ({
          rule: 'part-unfed',
          level: 'stop',
          station: 'plumb',
          place: { kind: 'port', id: part.ports[0]!.id },
          where: part.name,
          text: 'No line runs to it: it is never fed.',
        }));
