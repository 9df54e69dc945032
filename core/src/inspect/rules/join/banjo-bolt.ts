import { figure } from '../../../lib/faults/index.ts';
import { threadByName } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** A sealing washer as it is crushed, mm. Common practice. */
const WASHER_MM = 1.4;
/** Thread that a steel bolt wants in steel or iron, and in aluminum, by its diameters. Common practice. */
const STEEL = 0.8;
const ALUMINUM = 1.5;

/** A banjo's bolt goes with its stack: eyes and washers take of its length, and the rest is what holds. */
export const banjoBolt = defineRule({
  id: 'banjo-bolt',
  station: 'join',
  about: 'joined',
  reads: [],
  judge: ({ bolt, eyes, joints }, view) => {
    const join = joints?.at(-1)?.join;
    if (!bolt || join?.male.end !== 'banjo') return null;
    const { dMm } = threadByName(join.male.thread)!;
    const { full } = lengthWords(view);
    const holdsMm = bolt.lengthMm - eyes * bolt.eyeMm - (eyes + 1) * WASHER_MM;
    const stack = `Of its ${full(bolt.lengthMm)} ${eyes === 1 ? 'its eye' : `${eyes} eyes`} and ${eyes + 1} washers take ${full(bolt.lengthMm - holdsMm, 1)}`;
    if (bolt.depthMm !== null && holdsMm > bolt.depthMm)
      return {
        level: 'stop',
        text: `${stack}: ${full(holdsMm, 1)} go into a thread of ${full(bolt.depthMm)}. The bolt bottoms and does not clamp its washers.`,
      };
    if (holdsMm < STEEL * dMm)
      return {
        level: 'stop',
        text: `${stack}: ${full(Math.max(0, holdsMm), 1)} of thread engage, and ${full(STEEL * dMm, 1)} is the minimum in steel or iron. Use a longer bolt.`,
      };
    return holdsMm < ALUMINUM * dMm
      ? {
          level: 'note',
          text: `${stack}: ${full(holdsMm, 1)} of thread engage, enough in steel or iron. In aluminum ${figure(ALUMINUM, 1)} diameters are required, ${full(ALUMINUM * dMm, 1)}.`,
        }
      : null;
  },
});
