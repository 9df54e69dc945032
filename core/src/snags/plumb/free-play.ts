import { defineRule, type Finding } from '../define-rule.ts';
import { lengthWords, onPart } from '../words.ts';

/** Play that a compensating port surely needs. Common practice; the maker's sheet comes first. */
const LEAST_MM = 0.5;

/** A preloaded pushrod closes the compensating port: the brakes drag, heat and lock on. Common practice. */
export const freePlay = defineRule({
  id: 'free-play',
  station: 'plumb',
  about: 'plan',
  reads: ['plan.parts'],
  judge: (view) =>
    view.plan.parts.flatMap((part): Finding[] => {
      if (part.kind !== 'master') return [];
      const play = part.figures.freePlayMm;
      if (play !== undefined && play >= LEAST_MM) return [];
      const none = play !== undefined;
      return [
        {
          level: none ? 'stop' : 'note',
          place: onPart(part),
          where: part.name,
          text: none
            ? `Its pushrod has ${lengthWords(view).full(play, 1)} of free play: preloaded it closes the compensating port, and the brakes drag, heat and lock on.`
            : 'The free play of its pushrod is not measured: check it before filling, and hot after the first drive.',
        },
      ];
    }),
});
