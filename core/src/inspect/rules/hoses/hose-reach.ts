import { leastOf, LONGER, otherLengths } from './_shared.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A hose shorter than the way it has to go, in some state of the travel. */
export const hoseReach = defineRule({
  id: 'hose-reach',
  station: 'route',
  about: 'hose',
  reads: ['obstacles', 'plan.things'],
  judge: (hose, view) => {
    const short = hose.states.filter((state) => state.verdict === 'out-of-reach');
    const worst = leastOf(short, (state) => state.slackMm);
    if (!worst) return null;
    const { full } = lengthWords(view);
    return {
      level: 'stop',
      text: `At ${worst.name} its ends are ${full(worst.chordMm)} apart, and its free length is ${full(hose.freeMm)}, so it tears.`,
      fix: () => otherLengths(hose, view, LONGER),
    };
  },
});
