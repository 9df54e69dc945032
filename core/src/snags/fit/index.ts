import { gatePassed } from './gate-passed.ts';
import { laterPassed } from './later-passed.ts';
import { lookOpen } from './look-open.ts';
import { openedNotTight } from './opened-not-tight.ts';
import { temporaryOpen } from './temporary-open.ts';
import { torqueOff } from './torque-off.ts';
import { torqueOpen } from './torque-open.ts';
import { undoneByChange } from './undone-by-change.ts';
import { usedAgain } from './used-again.ts';
import { weldAfterFluid } from './weld-after-fluid.ts';

/** Rules of this station, in the order in which they are told. */
export const FIT_RULES = [
  openedNotTight,
  weldAfterFluid,
  undoneByChange,
  torqueOpen,
  torqueOff,
  usedAgain,
  lookOpen,
  gatePassed,
  laterPassed,
  temporaryOpen,
] as const;
