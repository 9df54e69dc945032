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
      if (!wheel || !spacerMm) return [];
      const at = { place: { kind: 'thing' as const, id: key }, where: wheel.name };
      const left = studs && threadLeft(studs, spacerMm);
      const { full } = lengthWords({ plan });
      return [
        ...(left && !left.holds
          ? [
              {
                level: 'stop' as const,
                ...at,
                text: `Behind a spacer of ${full(spacerMm, 1)} only ${full(Math.max(left.leftMm, 0), 1)} of its studs are left for the nuts, and ${full(left.needMm, 1)} must hold: longer studs, or a thinner spacer.`,
              },
            ]
          : []),
        ...(stacked
          ? [
              {
                level: 'stop' as const,
                ...at,
                text: 'Its spacers are stacked or of plastic: for standing tests alone. One of metal, centred on the hub, before it rolls.',
              },
            ]
          : []),
      ];
    });
  },
});
