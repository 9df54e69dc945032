import { reach, underPressure } from '../../../physics/flow-graph/index.ts';
import { brakesOf, isHand } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { hasFourWheels, placeOf, PURPOSE_READS, pressingFeeds } from './_purpose.ts';

/** A hand lever that works front brakes steers nobody home: it belongs to the rear of a car or van. A motorcycle's is meant. Common practice. */
export const handInFront = defineRule({
  id: 'hand-in-front',
  station: 'plumb',
  about: 'plan',
  reads: PURPOSE_READS,
  judge: (view) => {
    if (!hasFourWheels(view)) return [];
    const { network, plan } = view;
    const inLine = plan.parts
      .filter(({ kind }) => kind === 'handbrake-cylinder')
      .map((part) => {
        const outlets = part.ports.filter(({ role }) => role === 'outlet');
        const reached = reach(
          network,
          outlets.map(({ id }) => id),
          (duct) => underPressure(duct) && duct.id !== part.id,
        );
        return {
          lever: part,
          brakes: brakesOf({ master: part, outlet: outlets[0]!, reached }, plan.parts),
        };
      });
    const own = pressingFeeds(view)
      .filter(({ pedal }) => isHand(pedal))
      .map(({ master, brakes }) => ({ lever: master, brakes }));
    return [...inLine, ...own].flatMap(({ lever, brakes }): Finding[] => {
      const front = brakes.find((brake) => placeOf(view, brake).axle === 'front');
      return front
        ? [
            {
              level: 'stop',
              place: onPart(lever),
              where: lever.name,
              text: `The hand lever works ${front.name}, a front brake: pulling it locks the steered wheels. Put it in the rear circuit alone.`,
            },
          ]
        : [];
    });
  },
});
