import { gradeOf } from '../../rule-kit/severity.ts';
import { endStraights } from './end-straight.ts';

/** A shoe still holds with so much of it off the tube, mm. Ours, said to be a judgement. */
const GIVES_MM = 1;

/** Beside the nut the bender's shoe must find straight tube to hold. Common practice. */
export const endStraightShort = endStraights(
  'end-straight-short',
  'route',
  (straightMm, neededMm) =>
    gradeOf(straightMm, neededMm, 0, { slight: 0, grave: neededMm - GIVES_MM }).level,
  'short',
  ({ straight, needed }) => `The end straight is ${straight}; nut and bender shoe need ${needed}.`,
);
