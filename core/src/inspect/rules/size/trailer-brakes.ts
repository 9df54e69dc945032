import { figure } from '../../../lib/faults/index.ts';
import { LOADS } from '../../../plan/results/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** An axle that locks at the actuator's full pressure, and an actuator too small for its brakes. */
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
