import { isWorker } from '../../plan/index.ts';
import type { Rule, Snag } from '../snag.ts';
import { endsByPart } from './joints.ts';

/** Two lines into one brake: right only for one made with two chambers. */
export const fedTwice: Rule = (view) =>
  view.plan.parts.flatMap((part): Snag[] => {
    const ends = endsByPart(view).get(part.id) ?? [];
    if (!isWorker(part) || ends.length < 2) return [];
    return [
      {
        rule: 'fed-twice',
        level: 'mind',
        station: 'plumb',
        place: { kind: 'port', id: ends[1]!.at.port.id },
        where: part.name,
        text: `${ends.map(({ line }) => line.line.name).join(' and ')} both feed it: one is enough, unless its sheet shows two chambers.`,
      },
    ];
  });
