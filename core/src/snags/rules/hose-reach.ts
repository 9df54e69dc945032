import { lengthWords } from '../snag.ts';
import { eachHose, leastOf, LONGER, serves } from './each-hose.ts';

/** A hose shorter than the way it has to go, in some state of the travel. */
export const hoseReach = eachHose('hose-reach', (hose, view) => {
  const short = hose.states.filter((state) => state.verdict === 'out-of-reach');
  const worst = leastOf(short, (state) => state.slackMm);
  if (!worst) return null;
  const { full } = lengthWords(view);
  return {
    level: 'stop',
    text: `At ${worst.name} its ends are ${full(worst.chordMm)} apart and its free length is ${full(hose.freeMm)}: it tears.`,
    ...serves(hose, view, LONGER),
  };
});
