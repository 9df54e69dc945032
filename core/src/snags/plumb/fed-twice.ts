import { isWorker } from '../../plan/index.ts';
import { endsByPart } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';

/** Two lines into one brake: right only for one made with two chambers. */
export const fedTwice = defineRule({
  id: 'fed-twice',
  station: 'plumb',
  about: 'plan',
  reads: ['lines', 'plan.parts'],
  judge: (view) =>
    view.plan.parts.flatMap((part): Finding[] => {
      const ends = endsByPart(view).get(part.id) ?? [];
      if (!isWorker(part) || ends.length < 2) return [];
      return [
        {
          level: 'mind',
          place: { kind: 'port', id: ends[1]!.at.port.id },
          where: part.name,
          text: `${ends.map(({ line }) => line.line.name).join(' and ')} both feed it: one is enough, unless its sheet shows two chambers.`,
        },
      ];
    }),
});
