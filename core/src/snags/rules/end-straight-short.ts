import { endStraights } from './end-straight.ts';

/** Beside the nut the bender's shoe must find straight tube to hold. Common practice. */
export const endStraightShort = endStraights('short', ({ straight, needed }) => ({
  rule: 'end-straight-short',
  level: 'stop',
  station: 'route',
  text: `The end straight is ${straight}; nut and bender shoe need ${needed}.`,
}));
