import { figure } from '../../../lib/faults/index.ts';
import { defineRule } from '../../define-rule.ts';

/** Twist in 100 mm of hose that is worth a look, and that wears it out, deg. A judgement: no published limit for brake hose is known to us. */
const MIND_DEG = 5;
const STOP_DEG = 20;

/** The travel twists a hose that is tight at both ends: tightened, neither a swivel nor a banjo turns. */
export const travelTwists = defineRule({
  id: 'travel-twists',
  station: 'route',
  about: 'hose',
  reads: [],
  together: {
    where: 'Hoses',
    text: (count, names) =>
      `${count} hoses twist through their travel: ${names}. Rotate one end before tightening, change the direction of an end, or use a longer hose. Draw a line along each and watch it through the travel.`,
  },
  judge: ({ twistDeg, states, freeMm, stock }) => {
    // A feed carries no pressure, and its clamps are no crimps.
    if (stock.kind === 'feed') return null;
    const turns = twistDeg.map((deg) => Math.abs(deg ?? 0));
    const most = Math.max(0, ...turns);
    const perDeg = (100 * most) / freeMm;
    if (perDeg < MIND_DEG) return null;
    return {
      level: perDeg >= STOP_DEG ? 'stop' : 'caution',
      text: `The hose twists ${figure(most, 0)}° at ${states[turns.indexOf(most)]!.name}: ${figure(perDeg, 0)}° in 100 mm, where ${MIND_DEG}° is a caution and ${STOP_DEG}° a stop, by our judgement. Rotate one end before tightening, change the direction of an end, or use a longer hose. Draw a line along it and watch it through the travel.`,
    };
  },
});
