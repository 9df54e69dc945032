import { lengthWords } from '../snag.ts';
import { eachHose, leastOf, LONGER, serves } from './each-hose.ts';

/** A hose that is drawn tight in some state of the travel: it pulls on its crimps. Common practice: 2 % to spare at least. */
export const hoseTaut = eachHose('hose-taut', (hose, view) => {
  const taut = hose.states.filter((state) => state.verdict === 'taut');
  const worst = leastOf(taut, (state) => state.slackMm);
  if (!worst) return null;
  const { full } = lengthWords(view);
  return {
    level: 'stop',
    text: `At ${worst.name} it is drawn tight: ${full(worst.slackMm, 1)} of slack over ${full(worst.chordMm)}. It pulls on its crimps.`,
    ...serves(hose, view, LONGER),
  };
});
