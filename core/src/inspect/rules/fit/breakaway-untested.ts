import { WIRE_TESTS } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';

/** A breakaway that nobody pulled is one that nobody knows to work. */
export const breakawayUntested = defineRule({
  id: 'breakaway-untested',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    const { wires } = plan.wheelEnds;
    const tested = wires.some(({ job, volts }) => job === 'breakaway' && volts.pulled !== null);
    const begun = wires.some(({ volts }) => WIRE_TESTS.some((test) => volts[test] !== null));
    return begun && !tested
      ? {
          level: 'caution' as const,
          text: 'The wires are tested, but the breakaway switch is not. Pull its pin, read the wire, and check that the wheels hold.',
        }
      : null;
  },
});
