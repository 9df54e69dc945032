import { reach, underPressure } from '../../../physics/flow-graph/index.ts';
import { isActuated } from '../../../plan/index.ts';
import { feedsOf, galleriesOf } from '../../../plan/network/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Pressure that comes into one brake by two ways: right only for one made with two chambers. What a pipe leads on to the next brake is none. */
export const fedTwice = defineRule({
  id: 'fed-twice',
  station: 'plumb',
  about: 'part',
  reads: ['network', 'plan.parts', ...ENDS_READ],
  judge: (part, view) => {
    const outlets = feedsOf(view.network, view.plan.parts).map(({ outlet }) => outlet.id);
    return (isActuated(part) ? galleriesOf(part) : []).flatMap((gallery): Finding[] => {
      const ends = (endsByPart(view).get(part.id) ?? []).filter(({ at, far, place }) => {
        if (!gallery.includes(at.port) || !far) return false;
        const beyond = reach(
          view.network,
          [far.port.id],
          (duct) => underPressure(duct) && duct.id !== part.id && duct.id !== place.id,
        );
        return outlets.some((id) => beyond.has(id));
      });
      if (ends.length < 2) return [];
      return [
        {
          level: 'caution',
          place: { kind: 'port', id: ends[1]!.at.port.id },
          text: `${ends.map(({ name }) => name).join(' and ')} both feed it. One is enough, unless its datasheet shows two chambers: then set that under Passages.`,
        },
      ];
    });
  },
});
