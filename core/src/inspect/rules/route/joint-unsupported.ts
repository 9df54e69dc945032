import { gapTo } from '../../../shape/obstacles/index.ts';
import { isInline } from '../../../plan/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A tee, block or union that hangs on its tubes works them loose. Common practice. */
export const jointUnsupported = defineRule({
  id: 'joint-unsupported',
  station: 'route',
  about: 'part',
  reads: ['obstacles', 'plan.clipSettings', 'ports'],
  judge: (part, view) => {
    const holders = view.obstacles.filter(({ thing }) => thing.holds);
    const { reachMm } = view.plan.clipSettings;
    const places = part.ports.map((port) => view.ports.get(port.id)!.fixed.atMm);
    const isHeld = (): boolean =>
      places.some((at) => holders.some((holder) => gapTo(holder, at, at, reachMm)));
    return (
      holders.length > 0 &&
      isInline(part) &&
      places.length > 0 &&
      !isHeld() && {
        level: 'caution',
        text: `No mounting within ${lengthWords(view).full(reachMm)}. The fitting would hang on its tubes.`,
      }
    );
  },
});
