import { CLEARANCES, type Clearance } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A shield, a hose or a wire that was seen touching at a wheel. Common practice. */
export const shieldTouches = defineRule({
  id: 'shield-touches',
  station: 'fit',
  about: 'part',
  reads: ['plan.wheelEnds'],
  judge: (part, { plan }) => {
    const fit = plan.wheelEnds.calipers.find(({ key }) => key === part.id);
    const touching = (Object.keys(CLEARANCES) as Clearance[]).filter(
      (pair) => fit?.clears[pair] === false,
    );
    return touching.length
      ? {
          level: 'stop',
          place: onPart(part),
          where: part.name,
          text: `${touching.map((pair) => CLEARANCES[pair]).join(', ')}: recorded as touching. A disc or a wheel cuts through a hose. Bend the shield back, lead and clip hose and wires, then check again.`,
        }
      : null;
  },
});
