import { benderSize } from './bender-size.ts';
import { changedAfterMade } from './changed-after-made.ts';
import { cutUnsure } from './cut-unsure.ts';
import { flareBeforeBend } from './flare-before-bend.ts';

/** Rules of this station, in the order in which they are told. */
export const MAKE_RULES = [benderSize, flareBeforeBend, cutUnsure, changedAfterMade] as const;
