import { adapterLength } from './adapter-length.ts';
import { adapterRating } from './adapter-rating.ts';
import { banjoBolt } from './banjo-bolt.ts';
import { banjoWashers } from './banjo-washers.ts';
import { bubbleInverted } from './bubble-inverted.ts';
import { flare37On45 } from './flare-37-on-45.ts';
import { flareToolMissing } from './flare-tool-missing.ts';
import { jointForbidden } from './joint-forbidden.ts';
import { jointsNeedless } from './joints-needless.ts';
import { nutSize } from './nut-size.ts';
import { parallelInTaper } from './parallel-in-taper.ts';
import { sealantMisplaced } from './sealant-misplaced.ts';
import { sealantMissing } from './sealant-missing.ts';
import { stainlessDoubleFlare } from './stainless-double-flare.ts';
import { threadTrusted } from './thread-trusted.ts';
import { threadUnknown } from './thread-unknown.ts';
import { threadsDiffer } from './threads-differ.ts';
import { torqueUnlikely } from './torque-unlikely.ts';
import { tubeRefused } from './tube-refused.ts';
import { washersUsed } from './washers-used.ts';
import { willNotSeal } from './will-not-seal.ts';

/** Rules of this station, in the order in which they are told. */
export const JOIN_RULES = [
  nutSize,
  threadsDiffer,
  willNotSeal,
  bubbleInverted,
  flare37On45,
  parallelInTaper,
  jointForbidden,
  sealantMisplaced,
  sealantMissing,
  banjoWashers,
  banjoBolt,
  washersUsed,
  tubeRefused,
  stainlessDoubleFlare,
  flareToolMissing,
  jointsNeedless,
  adapterLength,
  adapterRating,
  torqueUnlikely,
  threadTrusted,
  threadUnknown,
] as const;
