import { brakesBehind, isHand } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { hasFourWheels, placeOf, PURPOSE_READS, feedsIn } from './_purpose.ts';

/** A hand lever on the front brakes locks the steered wheels: on a car or van it works the rear. A motorcycle's front lever is meant. Common practice. */
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
      .map((lever) => ({ lever, brakes: brakesBehind(network, plan.parts, lever) }));
    const own = feedsIn(view)
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
