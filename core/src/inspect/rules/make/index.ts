import { dieTight } from './die-tight.ts';
import { benderSize } from './bender-size.ts';
import { changedAfterMade } from './changed-after-made.ts';
import { cutUnsure } from './cut-unsure.ts';
import { flareBeforeBend } from './flare-before-bend.ts';
import { kitDiffers } from './kit-differs.ts';
import { noOrder } from './no-order.ts';
import { orderLate } from './order-late.ts';
import { orderStray } from './order-stray.ts';
import { orderWrong } from './order-wrong.ts';
import { slidForgotten } from './slid-forgotten.ts';
import { stockShort } from './stock-short.ts';
import { testPiece } from './test-piece.ts';
import { washersFew } from './washers-few.ts';

/** Rules of this station, in the order in which they are told. */
export const MAKE_RULES = [
  benderSize,
  slidForgotten,
  flareBeforeBend,
  noOrder,
  cutUnsure,
  changedAfterMade,
  testPiece,
  stockShort,
  kitDiffers,
  orderStray,
  orderWrong,
  orderLate,
  washersFew,
  dieTight,
] as const;
