import { endStraights } from './end-straight.ts';

/** The nut must live on the end straight; one that does not fit there sits between two bends and never reaches the port. Common practice. */
export const nutTrapped = endStraights(
  'nut-trapped',
  'route',
  () => 'stop',
  'trapped',
  ({ straight, needed }) =>
    `The end straight is ${straight}, and the nut alone needs ${needed}. It would be trapped between two bends.`,
);
