import { defineRule, type Finding } from '../../define-rule.ts';
import { onPart } from '../../rule-kit/places.ts';

/** Said once for each master whose discs cannot be judged. */
export const levelUnknown = defineRule({
  id: 'level-unknown',
  station: 'plumb',
  about: 'plan',
  reads: ['residuals'],
  judge: (view) => {
    const masters = new Set(
      view.residuals.filter((of) => of.wanted === null).map((of) => of.master),
    );
    return [...masters].map((master): Finding => ({
      level: 'note',
      place: onPart(master),
      where: master.name,
      text: 'Fluid level height is not entered. Enter it to see whether the calipers need a residual valve.',
    }));
  },
});
