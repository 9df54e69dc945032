export { expectedPedal, type HeldAgainst } from './expected-pedal.ts';
export { expectedStopM, stopAdvice } from './stop-advice.ts';
export { comparePlans, type Difference } from './compare.ts';
export {
  CAUSES,
  findFault,
  READINGS,
  type Cause,
  type Finding,
  type Evidence,
  type Ranked,
} from './faults.ts';
export {
  AIR_MOST_J,
  AIR_MOST_MPA,
  AIR_SHARE,
  airCeilingMPa,
  HOLD_MINUTES,
  judgeAir,
  judgeCurve,
  holdLimits,
  judgeHold,
  type HoldVerdict,
  type HoldView,
} from './judge.ts';
export {
  exceptionsOf,
  ITEM_KINDS,
  leftWords,
  signoff,
  type FoundSnag,
  type MaySign,
  type Signoff,
  type SignoffItem,
} from './signoff.ts';
export { latestSignature, localRules, type LatestSignature } from './signature.ts';
export { followUps, NO_DAY, type FollowUpView, type Today } from './follow-ups.ts';
export {
  testedDigest,
  circuitDigest,
  linesDigest,
  signedDigest,
  signedSections,
} from './digests.ts';
export {
  provingTests,
  testsInvalidatedBy,
  type LookResult,
  type ProvingTest,
  type TestState,
} from './test-results.ts';
export { holdAsk, type HoldAsk } from './hold-ask.ts';
export { type TestReading } from './read-tests.ts';
export { TEST_GROUPS, type TestGroup } from './required-test.ts';
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
export { packOf } from './pack.ts';
export { type PackPicture, type PackSection, type PackTable } from './pack-section.ts';
