import { lengthWords } from '../snag.ts';
import { eachHose } from './each-hose.ts';

/** A hose that comes too near to something hot, in some state of its travel. */
export const hoseHot = eachHose('hose-hot', (hose, view) => {
  const states = hose.states.filter(({ hot }) => hot && hot.distanceMm < hot.wantedMm);
  if (!states.length) return null;
  const worst = states.reduce((a, b) => (b.hot!.distanceMm < a.hot!.distanceMm ? b : a));
  const { thing, distanceMm, wantedMm } = worst.hot!;
  const { full, bare } = lengthWords(view);
  return {
    level: distanceMm < wantedMm / 2 ? 'stop' : 'mind',
    text: `At ${worst.name} it comes to ${full(distanceMm)} of ${thing.name}, ${bare(wantedMm)} wanted. Lead it another way, or shield it as the hose maker says.`,
  };
});
