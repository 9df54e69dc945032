import { WHEEL_GAP_MM, wheelOver } from '../../../physics/wheel-ends/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Of the gap that is wanted, what flex of the hub and wear of the bearing may take. Our judgement. */
const FOULS_SHARE = 0.5;
/** Air between a wheel and its caliper, as it was measured. Common practice. */
export const wheelFouls = defineRule({
  id: 'wheel-fouls',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds', 'plan.things'],
  judge: ({ plan }) => {
    const { full } = lengthWords({ plan });
    return plan.wheelEnds.wheels.flatMap(({ key, readings, spacerMm }) => {
      const wheel = plan.things.find(({ id }) => id === key);
      if (!wheel || !readings) return [];
      const { barrelMm, spokesMm, fits } = wheelOver(readings, spacerMm);
      if (fits) return [];
      const [gap, part] = barrelMm < spokesMm ? [barrelMm, 'barrel'] : [spokesMm, 'spokes'];
      const fouls = gap < FOULS_SHARE * WHEEL_GAP_MM;
      const has =
        gap > 0
          ? `Only ${full(gap, 1)} between the wheel’s ${part} and the caliper`
          : `The wheel’s ${part} ${part === 'spokes' ? 'meet' : 'meets'} the caliper`;
      return {
        level: fouls ? ('stop' as const) : ('caution' as const),
        place: { kind: 'thing' as const, id: key },
        where: wheel.name,
        text: `${has}; ${full(WHEEL_GAP_MM, 1)} is usual.${fouls ? ' It can jam the wheel.' : ''} Fit ${part === 'spokes' ? 'a spacer or ' : ''}another wheel.`,
      };
    });
  },
});
