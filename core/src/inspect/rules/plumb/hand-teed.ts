import { isHand, pressesThrough } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';
import { PURPOSE_READS, feedsIn } from './_purpose.ts';

/** A hand lever's master teed into the foot's circuit pushes its fluid through the open port of that one's master into the reservoir. Common practice. */
export const handTeed = defineRule({
  id: 'hand-teed',
  station: 'plumb',
  about: 'plan',
  reads: PURPOSE_READS,
  judge: (view) => {
    const feeds = feedsIn(view);
    return feeds
      .filter(({ pedal }) => isHand(pedal))
      .flatMap((hand): Finding[] => {
        const other = feeds.find(
          (feed) =>
            feed.master !== hand.master &&
            hand.reached.has(feed.outlet.id) &&
            !pressesThrough(feed, hand.master) &&
            !pressesThrough(hand, feed.master),
        );
        return other
          ? [
              {
                level: 'stop',
                place: onPart(hand.master),
                where: hand.master.name,
                text: `It is teed into the circuit of ${other.master.name}. Pulled with that one at rest, it pumps its fluid through that one’s open port into the reservoir and brakes nothing. Put a handbrake cylinder in line, or give the lever cylinders of its own.`,
              },
            ]
          : [];
      });
  },
});
