import { lengthWords } from '../snag.ts';
import { eachHose, LONGER, serves } from './each-hose.ts';

/** A hose bent tighter than its kind may be, in some state of the travel. */
export const hoseKinks = eachHose('hose-kinks', (hose, view) => {
  const kinked = hose.states.filter((state) => state.verdict === 'kinks');
  if (!kinked.length) return null;
  const worst = kinked.reduce((a, b) => (b.minRadiusMm! < a.minRadiusMm! ? b : a));
  const { bare, full } = lengthWords(view);
  return {
    level: 'stop',
    text: `At ${worst.name} it bends to a radius of ${full(worst.minRadiusMm!)}, ${bare(hose.stock.minRadiusMm)} is the least for ${hose.stock.name}: it kinks.`,
    mend: serves(hose, view, LONGER),
  };
});
