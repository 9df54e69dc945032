import { labelOf, PEDAL_BOX, type PedalBox } from '../../../plan/index.ts';
import { PEDAL_ROOM } from '../../../plan/typical.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Pedals stand so that one shoe presses one of them, and the brake is not stopped by anything but the master. Common practice. */
export const pedalRoom = defineRule({
  id: 'pedal-room',
  station: 'measure',
  about: 'plan',
  reads: ['plan.pedals'],
  judge: ({ plan }) => {
    const { full } = lengthWords({ plan });
    return (Object.keys(PEDAL_ROOM) as (keyof PedalBox)[]).flatMap((key): Finding[] => {
      const { leastMm, mostMm, why } = PEDAL_ROOM[key];
      const name = labelOf(PEDAL_BOX.fields[key]);
      const is = plan.pedals?.[key] ?? null;
      if (is === null) return [];
      if (is < leastMm)
        return [
          {
            level: 'caution',
            where: 'Pedals',
            text: `${name}: ${full(is)}, and ${full(leastMm)} required: ${why}.`,
          },
        ];
      return mostMm !== null && is > mostMm
        ? [
            {
              level: 'note',
              where: 'Pedals',
              text: `${name}: ${full(is)}, and over ${full(mostMm)} is far to move a foot.`,
            },
          ]
        : [];
    });
  },
});
