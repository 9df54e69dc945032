import { isUnusual, torqueOf } from '../../../stations/fit/tasks/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';
import { FLOOR_READS, told } from './_shared.ts';

/** Under this share of its torque a joint is loose, not merely low. Our judgement. */
const LOOSE_SHARE = 0.5;
/** What the wrench said lies beside what is wanted now, or the figure wanted is not one that such a fastener takes. */
export const torqueOff = defineRule({
  id: 'torque-off',
  station: 'fit',
  about: 'plan',
  reads: FLOOR_READS,
  judge: (view) => {
    const floor = view.plan.floor;
    const { torque: words } = quantityWords(view);
    return told(view).flatMap(({ task, state }) => {
      const torque = torqueOf(task, floor);
      if (!torque) return [];
      const { wantedNm, saidNm, likely, verdict } = torque;
      const at = {
        level: 'caution' as const,
        place: task.place,
        where: task.joint?.name ?? task.name,
      };
      if (state === 'done' && (verdict === 'low' || verdict === 'high'))
        return [
          {
            ...at,
            level:
              verdict === 'low' && saidNm! < LOOSE_SHARE * wantedNm!
                ? ('stop' as const)
                : ('caution' as const),
            text: `The wrench read ${words(saidNm!, 1)} and ${words(wantedNm!, 1)} is required: ${verdict === 'low' ? 'tighten it' : 'loosen it, check it, tighten again'}.`,
          },
        ];
      if (state === 'done' && isUnusual(torque)) {
        const { least, most } = likely!;
        return [
          {
            ...at,
            level: saidNm! < LOOSE_SHARE * least ? ('stop' as const) : ('caution' as const),
            text: `The wrench read ${words(saidNm!, 1)}. No figure is entered, and ${words(least, 1)} to ${words(most, 1)} is usual. Look it up on the maker’s sheet, then tighten again.`,
          },
        ];
      }
      // Of a joint, Join asks about its figure.
      return task.fastener &&
        wantedNm !== null &&
        likely &&
        (wantedNm < likely.least || wantedNm > likely.most)
        ? [
            {
              ...at,
              text: `${words(wantedNm, 1)} is set, and such a bolt usually takes ${words(likely.least, 1)} to ${words(likely.most, 1)}. Check the unit.`,
            },
          ]
        : [];
    });
  },
});
