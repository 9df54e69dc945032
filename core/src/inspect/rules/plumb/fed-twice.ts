import { isActuated } from '../../../plan/index.ts';
import { galleriesOf } from '../../../plan/network/index.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Two lines into one brake: right only for one made with two chambers. */
export const fedTwice = defineRule({
  id: 'fed-twice',
  station: 'plumb',
  about: 'part',
  reads: ENDS_READ,
  judge: (part, view) =>
    (isActuated(part) ? galleriesOf(part) : []).flatMap((gallery): Finding[] => {
      const ends = (endsByPart(view).get(part.id) ?? []).filter(({ at }) =>
        gallery.includes(at.port),
      );
      if (ends.length < 2) return [];
      return [
        {
          level: 'caution',
          place: { kind: 'port', id: ends[1]!.at.port.id },
          text: `${ends.map(({ name }) => name).join(' and ')} both feed it. One is enough, unless its datasheet shows two chambers: then set that under Passages.`,
        },
      ];
    }),
});
