import { isActuated } from '../../../plan/index.ts';
import { feedsAt, feedsOf } from '../../../plan/network/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** A brake or a slave that no master presses does nothing. It is not asked before the plan has lines. */
export const partUnfed = defineRule({
  id: 'part-unfed',
  station: 'plumb',
  about: 'plan',
  reads: ['network', 'plan.parts'],
  judge: ({ network, plan: { parts } }) => {
    const laid = network.ducts.filter(({ kind }) => kind !== 'passage');
    const touched = new Set(laid.flatMap(({ from, to }) => [from, to]));
    const feeds = feedsOf(network, parts);
    return !laid.length
      ? []
      : parts
          .filter((part) => isActuated(part) && part.ports.length && !feedsAt(feeds, part).length)
          .map((part): Finding => ({
            level: 'stop',
            place: onPart(part),
            where: part.name,
            text: part.ports.some(({ id }) => touched.has(id))
              ? 'Its line does not lead to a master cylinder, so it gets no pressure.'
              : 'No line runs to it, so it gets no pressure.',
          }));
  },
});
