import { isWorker } from '../../plan/index.ts';
import { endsByPart } from '../plumb/ends-by-part.ts';
import { defineRule, type Finding } from '../define-rule.ts';
import { onPart } from '../words.ts';

/** A brake or a slave to which no line runs does nothing. It is not asked before the plan has lines. */
export const partUnfed = defineRule({
  id: 'part-unfed',
  station: 'plumb',
  about: 'plan',
  reads: ['lines', 'plan.parts'],
  judge: (view) =>
    view.lines.length === 0
      ? []
      : view.plan.parts
          .filter((part) => isWorker(part) && part.ports.length && !endsByPart(view).has(part.id))
          .map((part): Finding => ({
            level: 'stop',
            place: onPart(part),
            where: part.name,
            text: 'No line runs to it: it is never fed.',
          })),
});
