import {
  TEST_WORDS,
  wireVerdict,
  WIRE_NAMES,
  WIRE_TESTS,
  WIRE_VOLTS,
} from '../../../physics/wheel-ends/index.ts';
import { figure } from '../../../lib/faults/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A wire that reads what it should not is crossed, broken, badly earthed or loaded. */
export const wireRange = defineRule({
  id: 'wire-range',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    return plan.wheelEnds.wires.flatMap(({ job, colour, volts }) =>
      WIRE_TESTS.flatMap((test) => {
        const read = volts[test];
        const verdict = read === null ? null : wireVerdict(job, test, read);
        if (verdict !== 'low' && verdict !== 'high') return [];
        const { least, most } = WIRE_VOLTS[job][test]!;
        return [
          {
            // A trailer that breaks away with no voltage here is not braked.
            level:
              job === 'breakaway' && test === 'pulled' && verdict === 'low'
                ? ('stop' as const)
                : ('caution' as const),
            where: `${WIRE_NAMES[job]}${colour ? `, ${colour}` : ''}`,
            text: `The wire reads ${figure(read!)} V ${TEST_WORDS[test]}, and ${figure(least)} to ${figure(most)} is normal. Check for a crossed wire, a bad ground or a long thin wire.`,
          },
        ];
      }),
    );
  },
});
