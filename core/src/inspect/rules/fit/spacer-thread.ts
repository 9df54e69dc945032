import { threadLeft } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A spacer takes thread from the wheel's nuts; what is left must hold, and a stack or plastic is for standing alone. */
export const spacerThread = defineRule({
  id: 'spacer-thread',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds', 'plan.things'],
  judge: ({ plan }) => {
    return plan.wheelEnds.wheels.flatMap(({ key, spacerMm, stacked, studs }) => {
      const wheel = plan.things.find(({ id }) => id === key);
      if (!wheel) return [];
      const at = { place: { kind: 'thing' as const, id: key }, where: wheel.name };
      const left = studs && threadLeft(studs, spacerMm);
      const { full } = lengthWords({ plan });
      return [
        ...(left && !left.holds
          ? [
              {
                level: 'stop' as const,
                ...at,
                text: `${spacerMm ? `With a spacer of ${full(spacerMm, 1)} only` : 'Only'} ${full(Math.max(left.leftMm, 0), 1)} of stud is left for the nuts, and ${full(left.needMm, 1)} is required. Use longer studs${spacerMm ? ', or a thinner spacer' : ''}.`,
              },
            ]
          : []),
        ...(stacked && spacerMm
          ? [
              {
                level: 'stop' as const,
                ...at,
                text: 'The spacers are stacked or plastic: for standing tests only. Fit one metal spacer, centered on the hub, before the vehicle rolls.',
              },
            ]
          : []),
      ];
    });
  },
});
