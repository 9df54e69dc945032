import { defineRule } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** A pad over the disc's edge by more than the first grows a lip there; by more than the second it is the wrong disc or bracket. Our judgement, mm. */
const OVER_MM = { caution: 0.5, stop: 2 };

/** A pad that stands out over its disc: its lip holds it off the disc, and breaks away. Common practice. */
export const padOver = defineRule({
  id: 'pad-over',
  station: 'fit',
  about: 'part',
  reads: ['plan.wheelEnds'],
  judge: (part, view) => {
    const over = view.plan.wheelEnds.calipers.find(({ key }) => key === part.id)?.padOverMm ?? 0;
    if (over <= OVER_MM.caution) return null;
    const { full } = lengthWords(view);
    const isWrong = over > OVER_MM.stop;
    return {
      level: isWrong ? 'stop' : 'caution',
      place: onPart(part),
      where: part.name,
      text: `The pad stands ${full(over, 1)} over the disc’s edge and wears a lip that holds the pad off the disc. ${isWrong ? 'This disc or bracket is the wrong one: fit one that takes the whole pad.' : 'Check bracket and disc, or trim the pad by the maker’s sheet.'}`,
    };
  },
});
