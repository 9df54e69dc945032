import { discHand } from './disc-hand.ts';
import { stackOff } from './stack-off.ts';
import { stackBolt } from './stack-bolt.ts';
import { spacerThread } from './spacer-thread.ts';
import { hubNut } from './hub-nut.ts';
import { cableHand } from './cable-hand.ts';
import { cableLength } from './cable-length.ts';
import { earlierChanges } from './earlier-changes.ts';
import { wireRange } from './wire-range.ts';
import { supplyThin } from './supply-thin.ts';
import { breakerWrong } from './breaker-wrong.ts';
import { breakawayUntested } from './breakaway-untested.ts';
import { proofLoad } from './proof-load.ts';
import { sheetAwaited } from './sheet-awaited.ts';
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
import { pushrodPlay } from './pushrod-play.ts';
import { shieldTouches } from './shield-touches.ts';
import { padOver } from './pad-over.ts';
import { wheelFouls } from './wheel-fouls.ts';

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
  discHand,
  stackOff,
  stackBolt,
  pushrodPlay,
  shieldTouches,
  padOver,
  wheelFouls,
  spacerThread,
  hubNut,
  cableHand,
  cableLength,
  wireRange,
  supplyThin,
  breakerWrong,
  breakawayUntested,
  proofLoad,
  sheetAwaited,
  earlierChanges,
] as const;
