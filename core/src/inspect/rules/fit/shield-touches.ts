import { defineRule } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A shield, a hose or a wire that was seen touching at a wheel. Common practice. */
export const shieldTouches = defineRule({
  id: 'shield-touches',
  station: 'fit',
  about: 'part',
  reads: ['plan.wheelEnds'],
  judge: (part, { plan }) =>
    plan.wheelEnds.calipers.some(({ key, clear }) => key === part.id && clear === false)
      ? {
          level: 'stop',
          place: onPart(part),
          where: part.name,
          text: 'The shield, the hose or a sensor wire is recorded as not clear. A disc cuts through a hose. Bend the shield back, lead and clip the hose, then check again.',
        }
      : null,
});
