import { feedsAt, feedsOf } from '../../../plan/network/index.ts';
import { defineRule } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Size calculates with one slave: a second one on the same master halves the travel of each. */
export const slavesSized = defineRule({
  id: 'slaves-sized',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.clutch', 'plan.parts'],
  judge: ({ network, plan: { clutch, parts } }) => {
    const feeds = feedsOf(network, parts);
    const fed = parts.filter(
      (part) =>
        (part.kind === 'slave' || part.kind === 'release-bearing') &&
        feedsAt(feeds, part).length > 0,
    );
    return clutch && fed.length > 1
      ? {
          level: 'caution',
          place: onPart(fed[1]!),
          where: fed[1]!.name,
          text: `${fed.map(({ name }) => name).join(' and ')} are both fed, and Size calculates with one slave: each moves about half as far. Size a master for both.`,
        }
      : null;
  },
});
