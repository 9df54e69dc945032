import { replay } from '../../../stations/fill/index.ts';
import { airCeilingMPa } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** What lines of a brake are worked at where no figure says so, MPa. Common practice. */
const WORKING_MPA = 7;
/** Gas over its limit, or in a system that has held fluid: what parts flies. Common practice. */
export const airTestOver = defineRule({
  id: 'air-test-over',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.filling', 'plan.lines', 'plan.sizing', 'plan.trailer'],
  judge: (view) => {
    const ceiling = airCeilingMPa(view.plan.trailer?.actuatorMPa ?? WORKING_MPA);
    const wet = view.plan.filling.runs
      .filter((run) => replay(run).state.corners.some(({ ml }) => ml > 0))
      .map(({ startedAt }) => startedAt)
      .sort()[0];
    return view.plan.proving.airTests.flatMap((test): Finding[] => {
      const where =
        view.plan.lines
          .filter(({ id }) => test.lineIds.includes(id))
          .map(({ name }) => name)
          .join(', ') || 'Air test';
      if (test.startMPa > ceiling + 1e-9)
        return [
          {
            level: 'stop',
            where,
            text: `It was tested with gas at ${test.startMPa} MPa, and ${ceiling.toFixed(2)} is the most: what parts under gas flies. Look every joint of it over.`,
          },
        ];
      return wet !== undefined && test.at > wet
        ? [
            {
              level: 'stop',
              where,
              text: 'It was tested with gas after fluid had gone in: gas stands in the fluid now, and a wet test tells nothing. Bleed again.',
            },
          ]
        : [];
    });
  },
});
