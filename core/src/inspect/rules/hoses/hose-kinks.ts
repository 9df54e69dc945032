import { leastOf, LONGER, otherLength } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose bent tighter than its kind may be, in some state of the travel. */
export const hoseKinks = defineRule({
  id: 'hose-kinks',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    const kinked = hose.states.filter((state) => state.verdict === 'kinks');
    const worst = leastOf(kinked, (state) => state.minRadiusMm!);
    if (!worst) return null;
    const { bare, full } = lengthWords(view);
    return {
      level: 'stop',
      text: `At ${worst.name} the hose bends to a radius of ${full(worst.minRadiusMm!, 1)}, ${bare(hose.stock.minRadiusMm)} is the minimum for ${hose.stock.name}, so it kinks.`,
      fix: () => otherLength(hose, view, LONGER),
    };
  },
});
