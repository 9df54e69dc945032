import { nearness } from './_nearness.ts';

/** What moves must never reach a tube, its whole travel counted. */
export const nearMoving = nearness('near-moving', 'moving', 'stop', ({ thing }) =>
  thing.travel ? ', including its travel' : ': it moves',
);
