import { isInline } from '../../../plan/index.ts';
import { galleriesOf } from '../../../plan/network/index.ts';
import { endsByPart, ENDS_READ, type JoinedEnd } from './_ends-by-part.ts';
import { defineRule, type Finding } from '../../define-rule.ts';

/** Two circuits that meet in one joint are one circuit: a leak in either empties both. */
export const circuitsJoined = defineRule({
  id: 'circuits-joined',
  station: 'plumb',
  about: 'part',
  reads: ENDS_READ,
  judge: (part, view) => {
    const ends = endsByPart(view).get(part.id) ?? [];
    return (isInline(part) ? galleriesOf(part) : []).flatMap((gallery): Finding[] => {
      const [first, ...rest] = ends.filter(({ at }) => gallery.includes(at.port));
      const other = rest.find(({ circuit }) => circuit !== first!.circuit);
      if (!first || !other) return [];
      const name = (end: JoinedEnd): string => `${end.name} (${end.circuit.name})`;
      return [
        {
          level: 'stop',
          place: other.place,
          text: `${name(first)} and ${name(other)} are joined here, which makes them one circuit: a leak in either empties both.`,
        },
      ];
    });
  },
});
