import { doneOf, workOf } from '../../../stations/make/making/index.ts';
import { defineRule } from '../../define-rule.ts';
import { endName, onLine } from '../../rule-kit/places.ts';

/** What must be on the tube before an end is flared cannot be put on after. */
export const slidForgotten = defineRule({
  id: 'slid-forgotten',
  station: 'make',
  about: 'line',
  reads: ['plan.things'],
  judge: (line, { plan }) => {
    const done = doneOf(line);
    const steps = workOf(line, null, plan.things);
    return steps
      .filter(({ kind, id }) => kind === 'flare' && done.has(id))
      .flatMap(({ end, after = [] }) => {
        const missing = steps.filter(
          ({ id, kind }) => after.includes(id) && !done.has(id) && kind !== 'test',
        );
        if (!missing.length) return [];
        const what = missing
          .map((step) => step.what ?? `${step.kind} ${step.end!.toUpperCase()}`)
          .join(', ');
        return [
          {
            level: 'stop' as const,
            place: onLine(line),
            where: `${line.line.name}, ${endName(end!)}`,
            text: `This end is flared and ${what} ${missing.length === 1 ? 'is' : 'are'} not ticked. Nothing slides over a flare: check that it is on the tube. If not, the end must be cut off.`,
          },
        ];
      });
  },
});
