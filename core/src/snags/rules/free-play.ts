import { lengthWords, type Rule, type Snag } from '../snag.ts';

/** Play that a compensating port surely needs. Common practice; the maker's sheet comes first. */
const LEAST_MM = 0.5;

/** A preloaded pushrod closes the compensating port: the brakes drag, heat and lock on. Common practice. */
export const freePlay: Rule = (view) =>
  view.plan.parts.flatMap((part): Snag[] => {
    if (part.kind !== 'master') return [];
    const play = part.figures.freePlayMm;
    if (play !== undefined && play >= LEAST_MM) return [];
    const none = play !== undefined;
    return [
      {
        rule: 'free-play',
        level: none ? 'stop' : 'note',
        station: 'plumb',
        place: { kind: 'port', id: part.ports[0]!.id },
        where: part.name,
        text: none
          ? `Its pushrod has ${lengthWords(view).full(play, 1)} of free play: preloaded it closes the compensating port, and the brakes drag, heat and lock on.`
          : 'The free play of its pushrod is not measured: check it before filling, and hot after the first drive.',
      },
    ];
  });
