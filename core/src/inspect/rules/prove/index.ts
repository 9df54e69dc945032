import { airTestOver } from './air-test-over.ts';
import { changedSinceProved } from './changed-since-proved.ts';
import { followUpDue } from './follow-up-due.ts';
import { holdMissing } from './hold-missing.ts';
import { leakOpen } from './leak-open.ts';
import { pedalHot } from './pedal-hot.ts';
import { pedalSinks } from './pedal-sinks.ts';
import { portCovered } from './port-covered.ts';
import { rearLocked } from './rear-locked.ts';
import { travelDiffers } from './travel-differs.ts';
import { pedalPumps } from './pedal-pumps.ts';
import { stopTooFar } from './stop-too-far.ts';

/** Rules of this station, in the order in which they are told. */
export const PROVE_RULES = [
  airTestOver,
  leakOpen,
  pedalSinks,
  pedalHot,
  portCovered,
  holdMissing,
  pedalPumps,
  stopTooFar,
  rearLocked,
  followUpDue,
  changedSinceProved,
  travelDiffers,
] as const;
