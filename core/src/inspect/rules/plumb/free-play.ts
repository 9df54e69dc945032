import { endsByPart, ENDS_READ } from './_ends-by-part.ts';
import { defineRule } from '../../define-rule.ts';
import { lengthWords } from '../../rule-kit/places.ts';

/** Play that a compensating port needs with a pedal straight on the master, and with a booster between. Common practice; the maker's sheet comes first. */
const LEAST_MM = { pedal: 0.5, booster: 0.1 };

/** A preloaded pushrod closes the compensating port: brakes drag, heat and lock on, a clutch slips. Common practice. */
export const freePlay = defineRule({
  id: 'free-play',
  station: 'plumb',
  about: 'part',
  reads: ['plan.sizing', ...ENDS_READ],
  judge: (part, view) => {
    if (part.kind !== 'master') return [];
    const play = part.figures.freePlayMm;
    const ends = endsByPart(view).get(part.id) ?? [];
    const isClutch = ends.some(({ circuit }) => circuit.work === 'clutch');
    const by = !isClutch && view.plan.sizing?.booster ? 'booster' : 'pedal';
    if (play === undefined)
      return {
        level: 'note',
        text: 'Pushrod free play is not measured. Check it before filling, and again hot after the first drive.',
      };
    if (play >= LEAST_MM[by]) return [];
    const has = `Pushrod free play is ${lengthWords(view).full(play, 1)}`;
    if (by === 'booster')
      return {
        level: 'caution',
        text: `${has}, measured at the booster’s rod. Some makers want none with the vacuum on: follow the maker’s sheet. A preloaded rod makes the brakes drag and lock on.`,
      };
    const then = isClutch
      ? 'the clutch stays partly released and slips'
      : 'the brakes drag, heat and lock on';
    return play === 0
      ? {
          level: 'stop',
          text: `${has}. A preloaded rod closes the compensating port, and ${then}.`,
        }
      : {
          level: 'caution',
          text: `${has}, and ${lengthWords(view).full(LEAST_MM.pedal, 1)} or more is usual. Hot, it may close the compensating port, and ${then}.`,
        };
  },
});
