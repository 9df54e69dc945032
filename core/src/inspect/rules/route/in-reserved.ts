import { nearness } from './_nearness.ts';

/** Space kept for something fitted later. */
export const inReserved = nearness(
  'in-reserved',
  'reserved',
  'reserved',
  () => ', which is kept free',
);
