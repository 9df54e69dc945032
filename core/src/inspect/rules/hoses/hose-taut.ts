import { leastOf, LONGER, otherLengths } from './_shared.ts';
import { TAUT } from '../../../shape/rod/index.ts';
import { gradeOf } from '../../rule-kit/severity.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

const LEAST_SPARE = TAUT - 1;

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
    const share = worst.slackMm / worst.chordMm;
    return {
      level: gradeOf(share, LEAST_SPARE, 0, { slight: 0, grave: LEAST_SPARE / 2 }).level,
      text: `At ${worst.name} the hose is pulled tight: ${full(worst.slackMm, 1)} of slack over ${full(worst.chordMm)}. That pulls on the crimps.`,
      fix: () => otherLengths(hose, view, LONGER),
    };
  },
});
