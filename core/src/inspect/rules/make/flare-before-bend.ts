import { endStraights } from '../route/end-straight.ts';

/** Where the clamp has no room after bending, the end is flared first: nothing to trim when it is offered up. Common practice. */
export const flareBeforeBend = endStraights(
  'flare-before-bend',
  'make',
  () => 'note',
  'flare-first',
  ({ line, end, straight, needed }) =>
    end === 'b' && line.card!.flareBBefore !== null
      ? `The end straight is ${straight}; nut and flaring clamp need ${needed}. Flare end B before bend ${line.card!.flareBBefore + 1}, so there is no trim at B.`
      : `The end straight is ${straight}; nut and flaring clamp need ${needed}. Flare end A before bending, as the card says.`,
);
