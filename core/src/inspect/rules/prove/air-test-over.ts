import { replay } from '../../../stations/fill/index.ts';
import { airCeilingMPa } from '../../../stations/prove/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** What lines of a brake are worked at where no figure says so, MPa. Common practice. */
const WORKING_MPA = 7;
/** Gas over its limit of pressure or of stored energy, or in a system that has held fluid: what parts flies. Common practice. */
export const airTestOver = defineRule({
  id: 'air-test-over',
  station: 'prove',
  about: 'plan',
  reads: ['plan.proving', 'plan.filling', 'plan.lines', 'plan.sizing', 'plan.trailer'],
  judge: (view) => {
    const { pressure } = quantityWords(view);
    const workingMPa = view.plan.trailer?.actuatorMPa ?? WORKING_MPA;
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
      const ceiling = airCeilingMPa(workingMPa, test.volumeMl);
      if (test.startMPa > ceiling + 1e-9)
        return [
          {
            level: 'stop',
            where,
            text: `Tested with gas at ${pressure(test.startMPa, 2)}, and ${pressure(ceiling, 2)} is the maximum: a joint that lets go under gas becomes a projectile and can kill. Check every joint.`,
          },
        ];
      return wet !== undefined && test.at > wet
        ? [
            {
              level: 'stop',
              where,
              text: 'Tested with gas after filling. There is gas in the fluid now, and a wet test shows nothing. Bleed again.',
            },
          ]
        : [];
    });
  },
});
