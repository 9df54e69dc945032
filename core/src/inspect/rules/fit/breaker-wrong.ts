import { figure } from '../../../lib/faults/index.ts';
import { BREAKER_NEAR_MM, supplyFit, wireSizeName } from '../../../physics/wheel-ends/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A breaker that lets a wire burn, opens while braking, stands far from the battery, or is not there. Common practice; the actuator's sheet comes first. */
export const breakerWrong = defineRule({
  id: 'breaker-wrong',
  station: 'fit',
  about: 'plan',
  reads: ['plan.wheelEnds'],
  judge: ({ plan }) => {
    const { supply } = plan.wheelEnds;
    const fit = supply && supplyFit(supply);
    if (!fit) return null;
    const { currentA, carriesA, take } = fit;
    const { breakerA, breakerAtMm } = supply;
    const finding = (level: Finding['level'], text: string): Finding => ({
      level,
      where: 'Actuator supply',
      text,
    });
    if (breakerA === null)
      return finding(
        'caution',
        'No breaker is entered for the supply. A short burns the wire. Fit a self-resetting one close to the battery, rated by the actuator’s sheet.',
      );
    if (breakerA < currentA)
      return finding(
        'stop',
        `A breaker of ${figure(breakerA)} A opens while the actuator draws its ${figure(currentA)} A, and the trailer has no brakes. Take a larger one.`,
      );
    if (breakerA > carriesA)
      return finding(
        'stop',
        `The thinner wire carries ${figure(carriesA, 0)} A for long, and the breaker opens at ${figure(breakerA)} A: in a short the wire burns first. ${take ? `Take ${wireSizeName(take)} for both, or a smaller breaker.` : 'Take a smaller breaker.'}`,
      );
    const { full } = lengthWords({ plan });
    return breakerAtMm !== null && breakerAtMm > BREAKER_NEAR_MM
      ? finding(
          'caution',
          `The breaker is ${full(breakerAtMm)} from the battery. The wire before it is not protected: keep it under ${full(BREAKER_NEAR_MM)}.`,
        )
      : null;
  },
});
