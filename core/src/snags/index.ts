import { viewPlan, type Plan } from '../plan/index.ts';
import { hoseReach } from './rules/hose-reach.ts';
import { hoseTaut } from './rules/hose-taut.ts';
import { hoseKinks } from './rules/hose-kinks.ts';
import { hoseRubs } from './rules/hose-rubs.ts';
import { nearHose } from './rules/near-hose.ts';
import { hoseHot } from './rules/hose-hot.ts';
import { hoseTwisted } from './rules/hose-twisted.ts';
import { hoseUnfixed } from './rules/hose-unfixed.ts';
import { hoseUnlocked } from './rules/hose-unlocked.ts';
import { hoseClass } from './rules/hose-class.ts';
import { hoseTooLong } from './rules/hose-too-long.ts';
import { hoseAged } from './rules/hose-aged.ts';
import { hoseUnjudged } from './rules/hose-unjudged.ts';
import { feedBare } from './rules/feed-bare.ts';
import { feedFalls } from './rules/feed-falls.ts';
import { hosesTouch } from './rules/hoses-touch.ts';
import { hosesUnlike } from './rules/hoses-unlike.ts';
import { benderSize } from './rules/bender-size.ts';
import { cannotWithdraw } from './rules/cannot-withdraw.ts';
import { changedAfterMade } from './rules/changed-after-made.ts';
import { cutUnsure } from './rules/cut-unsure.ts';
import { endStraightShort } from './rules/end-straight-short.ts';
import { feedShort } from './rules/feed-short.ts';
import { flareBeforeBend } from './rules/flare-before-bend.ts';
import { guessUnmeasured } from './rules/guess-unmeasured.ts';
import { lineOpen } from './rules/line-open.ts';
import { noRoom } from './rules/no-room.ts';
import { notBled } from './rules/not-bled.ts';
import { nutSize } from './rules/nut-size.ts';
import { nutTrapped } from './rules/nut-trapped.ts';
import { pointUnfixed } from './rules/point-unfixed.ts';
import { portAngle } from './rules/port-angle.ts';
import { tapeSuspect } from './rules/tape-suspect.ts';
import { tapesDisagree } from './rules/tapes-disagree.ts';
import { boosterWeak } from './rules/booster-weak.ts';
import { figureUnlikely } from './rules/figure-unlikely.ts';
import { figuresGuessed } from './rules/figures-guessed.ts';
import { footTooHard } from './rules/foot-too-hard.ts';
import { pedalStroke } from './rules/pedal-stroke.ts';
import { rearLocksFirst } from './rules/rear-locks-first.ts';
import { stopsTooLong } from './rules/stops-too-long.ts';
import { valveNeeded } from './rules/valve-needed.ts';
import { partUnfed } from './rules/part-unfed.ts';
import { circuitsJoined } from './rules/circuits-joined.ts';
import { masterShared } from './rules/master-shared.ts';
import { portOpen } from './rules/port-open.ts';
import { rolesSwapped } from './rules/roles-swapped.ts';
import { bothAxles } from './rules/both-axles.ts';
import { valveBackwards } from './rules/valve-backwards.ts';
import { siliconeModulator } from './rules/silicone-modulator.ts';
import { noParkingBrake } from './rules/no-parking-brake.ts';
import { residualMissing } from './rules/residual-missing.ts';
import { residualNeedless } from './rules/residual-needless.ts';
import { residualWrong } from './rules/residual-wrong.ts';
import { levelUnknown } from './rules/level-unknown.ts';
import { freePlay } from './rules/free-play.ts';
import { reservoirSmall } from './rules/reservoir-small.ts';
import { overRating } from './rules/over-rating.ts';
import { masterDry } from './rules/master-dry.ts';
import { bleederLow } from './rules/bleeder-low.ts';
import { fedTwice } from './rules/fed-twice.ts';
import { fluidsMeet } from './rules/fluids-meet.ts';
import { parkingHydraulic } from './rules/parking-hydraulic.ts';
import { parkingWeak } from './rules/parking-weak.ts';
import { clutchTravel } from './rules/clutch-travel.ts';
import { trailerBrakes } from './rules/trailer-brakes.ts';
import { leverStroke } from './rules/lever-stroke.ts';
import { threadsDiffer } from './rules/threads-differ.ts';
import { willNotSeal } from './rules/will-not-seal.ts';
import { bubbleInverted } from './rules/bubble-inverted.ts';
import { flare37On45 } from './rules/flare-37-on-45.ts';
import { parallelInTaper } from './rules/parallel-in-taper.ts';
import { jointForbidden } from './rules/joint-forbidden.ts';
import { sealantMisplaced } from './rules/sealant-misplaced.ts';
import { banjoWashers } from './rules/banjo-washers.ts';
import { washersUsed } from './rules/washers-used.ts';
import { tubeRefused } from './rules/tube-refused.ts';
import { stainlessDoubleFlare } from './rules/stainless-double-flare.ts';
import { flareToolMissing } from './rules/flare-tool-missing.ts';
import { jointsNeedless } from './rules/joints-needless.ts';
import { adapterLength } from './rules/adapter-length.ts';
import { torqueUnlikely } from './rules/torque-unlikely.ts';
import { threadTrusted } from './rules/thread-trusted.ts';
import { threadUnknown } from './rules/thread-unknown.ts';
import { nearHot } from './rules/near-hot.ts';
import { nearMoving } from './rules/near-moving.ts';
import { nearSharp } from './rules/near-sharp.ts';
import { inReserved } from './rules/in-reserved.ts';
import { runsInto } from './rules/runs-into.ts';
import { hangsLow } from './rules/hangs-low.ts';
import { unheld } from './rules/unheld.ts';
import { spanLong } from './rules/span-long.ts';
import { spanRings } from './rules/span-rings.ts';
import { clipLoose } from './rules/clip-loose.ts';
import { clipsOneWay } from './rules/clips-one-way.ts';
import { highPoint } from './rules/high-point.ts';
import { wrenchRoom } from './rules/wrench-room.ts';
import { behindGate } from './rules/behind-gate.ts';
import { openUncapped } from './rules/open-uncapped.ts';
import { tubeToMoving } from './rules/tube-to-moving.ts';
import { linesTouch } from './rules/lines-touch.ts';
import { jointUnsupported } from './rules/joint-unsupported.ts';
import { meshSize } from './rules/mesh-size.ts';
import { frameUnknown } from './rules/frame-unknown.ts';
import type { Level, Rule, Snag } from './snag.ts';

export { mountedOnBoth } from './rules/nearness.ts';
export { type Level, type Place, type Snag, type Station } from './snag.ts';

/** Every rule there is, in the order of the stations. */
const RULES: readonly Rule[] = [
  pointUnfixed,
  tapeSuspect,
  tapesDisagree,
  guessUnmeasured,
  pedalStroke,
  rearLocksFirst,
  stopsTooLong,
  footTooHard,
  boosterWeak,
  valveNeeded,
  leverStroke,
  trailerBrakes,
  clutchTravel,
  parkingWeak,
  parkingHydraulic,
  reservoirSmall,
  overRating,
  figureUnlikely,
  figuresGuessed,
  lineOpen,
  partUnfed,
  circuitsJoined,
  masterShared,
  portOpen,
  rolesSwapped,
  bothAxles,
  valveBackwards,
  siliconeModulator,
  masterDry,
  fedTwice,
  bleederLow,
  residualWrong,
  residualMissing,
  residualNeedless,
  levelUnknown,
  freePlay,
  fluidsMeet,
  noParkingBrake,
  noRoom,
  nutTrapped,
  endStraightShort,
  portAngle,
  feedShort,
  benderSize,
  nearHot,
  nearMoving,
  nearSharp,
  inReserved,
  runsInto,
  hangsLow,
  unheld,
  spanLong,
  spanRings,
  clipLoose,
  clipsOneWay,
  highPoint,
  wrenchRoom,
  behindGate,
  openUncapped,
  tubeToMoving,
  linesTouch,
  jointUnsupported,
  meshSize,
  frameUnknown,
  hoseReach,
  cannotWithdraw,
  hoseTaut,
  hoseKinks,
  hoseRubs,
  nearHose,
  hosesTouch,
  hoseHot,
  hoseTwisted,
  hoseUnfixed,
  hoseUnlocked,
  hoseClass,
  hoseTooLong,
  hoseAged,
  hoseUnjudged,
  feedFalls,
  feedBare,
  hosesUnlike,
  nutSize,
  threadsDiffer,
  willNotSeal,
  bubbleInverted,
  flare37On45,
  parallelInTaper,
  jointForbidden,
  sealantMisplaced,
  banjoWashers,
  washersUsed,
  tubeRefused,
  stainlessDoubleFlare,
  flareToolMissing,
  jointsNeedless,
  adapterLength,
  torqueUnlikely,
  threadTrusted,
  threadUnknown,
  flareBeforeBend,
  cutUnsure,
  changedAfterMade,
  notBled,
];
const RANK: Record<Level, number> = { stop: 0, mind: 1, note: 2 };

/** All snags of a valid plan, stops first, else in the order of the stations. */
export function inspect(plan: Plan): Snag[] {
  const view = viewPlan(plan);
  return RULES.flatMap((rule) => rule(view)).sort((a, b) => RANK[a.level] - RANK[b.level]);
}
