import { endStraights } from './end-straight.ts';

/** Beside the nut the bender's shoe must find straight tube to hold. Common practice. */
export const endStraightShort = endStraights(
  'end-straight-short',
  'route',
  'stop',
  'short',
  ({ straight, needed }) => `The end straight is ${straight}; nut and bender shoe need ${needed}.`,
);
