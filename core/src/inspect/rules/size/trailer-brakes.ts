import { figure } from '../../../lib/faults/index.ts';
import { GRAVITY_MS2, TRAILER_RULE } from '../../../physics/hydraulics/index.ts';
import { LOADS } from '../../../plan/results/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** An axle that locks at the actuator's full pressure, brakes too weak for what is on the wheels, and an actuator too small for its brakes. */
export const trailerBrakes = defineRule({
  id: 'trailer-brakes',
  station: 'size',
  about: 'plan',
  reads: ['plan.trailer', 'works'],
  judge: ({ plan, works }) => {
    const { trailer } = plan;
    if (!trailer || !works.trailer) return [];
    const finding = (level: Finding['level'], where: string, text: string): Finding => ({
      level,
      place: { kind: 'plan', id: plan.id },
      where,
      text,
    });
    const { pressure, volume } = quantityWords({ plan });
    const found: Finding[] = [];
    for (const load of LOADS) {
      const locks = works.trailer[load].axles.flatMap(({ adhesion }, i) =>
        adhesion > trailer.mu ? [{ i, adhesion }] : [],
      );
      if (locks.length)
        found.push(
          finding(
            'caution',
            `Trailer, ${load}`,
            `At ${pressure(trailer.actuatorMPa)} ${locks.map(({ i, adhesion }) => `axle ${i + 1} uses ${figure(adhesion, 2)}`).join(' and ')} where the road has only ${figure(trailer.mu, 2)}, so it locks. Set the actuator’s gain for this load.`,
          ),
        );
    }
    const share =
      works.trailer.laden.axles.reduce((sum, { forceN }) => sum + forceN, 0) /
      (trailer.axles.reduce((sum, { ladenKg }) => sum + ladenKg, 0) * GRAVITY_MS2);
    if (share < TRAILER_RULE.share)
      found.push(
        finding(
          'caution',
          'Trailer, laden',
          `At full pressure its brakes make ${figure(100 * share, 0)} % of the weight on its wheels, and ${100 * TRAILER_RULE.share} % is required (${TRAILER_RULE.source}). The towing vehicle would have to stop it.`,
        ),
      );
    const takes = works.trailer.laden.takenMl;
    if (takes > trailer.actuatorMl)
      found.push(
        finding(
          'stop',
          'Actuator',
          `Brakes and lines take ${volume(takes, 1)}, and the actuator can only supply ${volume(trailer.actuatorMl)}.`,
        ),
      );
    return found;
  },
});
