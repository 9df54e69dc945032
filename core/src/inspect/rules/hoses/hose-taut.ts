import { leastOf, LONGER, otherLengths } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose that is drawn tight in some state of the travel: it pulls on its crimps. Common practice: 2 % to spare at least. */
export const hoseTaut = defineRule({
  id: 'hose-taut',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    const taut = hose.states.filter((state) => state.verdict === 'taut');
    const worst = leastOf(taut, (state) => state.slackMm);
    if (!worst) return null;
    const { full } = lengthWords(view);
    return {
      level: 'stop',
      text: `At ${worst.name} the hose is pulled tight: ${full(worst.slackMm, 1)} of slack over ${full(worst.chordMm)}. That pulls on the crimps.`,
      fix: () => otherLengths(hose, view, LONGER),
    };
  },
});
