import { wholeView } from '../../rule-kit/whole-view.ts';
import { provingTests } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { begunProving, PROVE_READS } from './_shared.ts';

/** A leak that was found and not closed. */
export const leakOpen = defineRule({
  id: 'leak-open',
  station: 'prove',
  about: 'plan',
  reads: PROVE_READS,
  judge: (view) =>
    begunProving(view)
      ? provingTests(wholeView(view)).flatMap(({ key, group, state, note }): Finding[] => {
          const circuit =
            group === 'Leaks' && state === 'bad'
              ? view.plan.circuits.find(({ id }) => key.endsWith(`:${id}`))
              : undefined;
          return circuit
            ? [
                {
                  level: 'stop',
                  place: { kind: 'circuit', id: circuit.id },
                  where: circuit.name,
                  repeats: `test:${key}`,
                  text: `Leak found: ${note}. Find it, fix it, then hold pressure and check again.`,
                },
              ]
            : [];
        })
      : [],
});
