import { nearness } from './_nearness.ts';

/** What moves must never reach a tube, its whole travel counted. */
export const nearMoving = nearness(
  'near-moving',
  'moving',
  { slight: 1, grave: 10 },
  ({ thing }) => (thing.travel ? ', including its travel' : ': it moves'),
);
