import { gapTo } from '../../../shape/obstacles/index.ts';
import { isInline } from '../../../plan/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, onPart } from '../../rule-kit/places.ts';

/** A tee, block or union that hangs on its tubes works them loose. Common practice. */
export const jointUnsupported = defineRule({
  id: 'joint-unsupported',
  station: 'route',
  about: 'plan',
  reads: ['obstacles', 'plan.clipSettings', 'plan.parts', 'ports'],
  judge: (view) => {
    const holders = view.obstacles.filter(({ thing }) => thing.holds);
    if (!holders.length) return [];
    const { reachMm } = view.plan.clipSettings;
    return view.plan.parts.flatMap((part): Finding[] => {
      const places = part.ports.flatMap((port) => [view.ports.get(port.id)!.fixed.atMm]);
      if (
        !isInline(part) ||
        !places.length ||
        places.some((at) => holders.some((holder) => gapTo(holder, at, at, reachMm)))
      )
        return [];
      return [
        {
          level: 'mind',
          place: onPart(part),
          where: part.name,
          text: `Nothing to fix it to lies within ${lengthWords(view).full(reachMm)}: it would hang on its tubes.`,
        },
      ];
    });
  },
});
