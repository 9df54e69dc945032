import { behindGate } from './behind-gate.ts';
import { cannotWithdraw } from './cannot-withdraw.ts';
import { clipLoose } from './clip-loose.ts';
import { clipsOneWay } from './clips-one-way.ts';
import { endStraightShort } from './end-straight-short.ts';
import { feedShort } from './feed-short.ts';
import { frameUnknown } from './frame-unknown.ts';
import { hangsLow } from './hangs-low.ts';
import { highPoint } from './high-point.ts';
import { holeBare } from './hole-bare.ts';
import { inReserved } from './in-reserved.ts';
import { jointUnsupported } from './joint-unsupported.ts';
import { lineOpen } from './line-open.ts';
import { linesTouch } from './lines-touch.ts';
import { meshSize } from './mesh-size.ts';
import { nearHot } from './near-hot.ts';
import { nearMoving } from './near-moving.ts';
import { nearSharp } from './near-sharp.ts';
import { noRoom } from './no-room.ts';
import { nutTrapped } from './nut-trapped.ts';
import { openUncapped } from './open-uncapped.ts';
import { partHot } from './part-hot.ts';
import { portAngle } from './port-angle.ts';
import { runsInto } from './runs-into.ts';
import { spanLong } from './span-long.ts';
import { spanRings } from './span-rings.ts';
import { tubeToMoving } from './tube-to-moving.ts';
import { unheld } from './unheld.ts';
import { wrenchRoom } from './wrench-room.ts';
import { outOfReach } from './out-of-reach.ts';
import { highJoint } from './high-joint.ts';

/** Rules of this station, in the order in which they are told. */
export const ROUTE_RULES = [
  lineOpen,
  noRoom,
  nutTrapped,
  endStraightShort,
  portAngle,
  feedShort,
  nearHot,
  partHot,
  nearMoving,
  nearSharp,
  holeBare,
  inReserved,
  runsInto,
  hangsLow,
  unheld,
  spanLong,
  spanRings,
  clipLoose,
  clipsOneWay,
  highPoint,
  highJoint,
  wrenchRoom,
  behindGate,
  outOfReach,
  openUncapped,
  tubeToMoving,
  linesTouch,
  jointUnsupported,
  meshSize,
  frameUnknown,
  cannotWithdraw,
] as const;
