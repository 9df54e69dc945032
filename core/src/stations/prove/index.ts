export { comparePlans, type Difference } from './compare.ts';
export {
  CAUSES,
  findFault,
  READINGS,
  type Cause,
  type Finding,
  type Known,
  type Ranked,
} from './faults.ts';
export {
  AIR_MOST_MPA,
  AIR_SHARE,
  airCeilingMPa,
  HOLD_MINUTES,
  judgeAir,
  judgeCurve,
  judgeHold,
  type HoldVerdict,
  type HoldView,
} from './judge.ts';
export {
  fallsDue,
  maySign,
  openPoints,
  signedNow,
  signWords,
  type FoundSnag,
  type MaySign,
  type OpenPoint,
} from './open-points.ts';
export { allRests, circuitRests, lineRests, planRests } from './digests.ts';
export {
  provingOf,
  roundsOf,
  unproves,
  withoutRound,
  withRound,
  type Look,
  type Round,
  type RoundState,
} from './test-results.ts';
export { holdMPa, ROUND_GROUPS, type RoundGroup } from './required-tests.ts';
export {
  readPedal,
  reportOn,
  seen,
  TRUE_FAULTS,
  trueTravelMm,
  trueVehicle,
  type Report,
  type TrueFault,
  type TrueVehicle,
} from './true-vehicle.ts';
export { packOf, type PackPicture, type PackSection, type PackTable } from './pack.ts';
