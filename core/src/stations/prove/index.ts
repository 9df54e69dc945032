export {
  againstBuilt,
  builtTo,
  expectedPedal,
  pedalOn,
  type HeldAgainst,
} from './expected-pedal.ts';
export {
  balanceFound,
  balanceWords,
  changeWords,
  expectedStopM,
  stopAdvice,
  type FoundBalance,
} from './stop-advice.ts';
export { comparePlans, type Difference } from './compare.ts';
export {
  causeRow,
  checkRow,
  SYMPTOMS,
  type Cause,
  type CheckRow,
  type Symptom,
} from './fault-tables.ts';
export {
  findFault,
  SAID_FROM,
  type Evidence,
  type Finding,
  type Fitted,
  type Ranked,
} from './faults.ts';
export { curveEvidence, lagEvidence } from './curve-evidence.ts';
export {
  asPressed,
  isAnotherPedal,
  judgedCurve,
  lagMm,
  pumpedShorterMm,
  validCurves,
  type JudgedCurve,
} from './curves.ts';
export { checkKey } from './check-key.ts';
export { fittedOn, recordedEvidence } from './recorded-evidence.ts';
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
  movedMlPerMm,
  readPedal,
  TRUE_FAULT_NAMES,
  trueTravelMm,
  trueVehicle,
  type BuiltTo,
  type TrueFault,
  type TrueVehicle,
} from './true-vehicle.ts';
export { seen } from './true-checks.ts';
export {
  CURVE_MPA,
  reportOnCurves,
  reportOnFinder,
  type Built,
  type CurveReport,
  type FinderReport,
} from './vehicle-report.ts';
export { packOf } from './pack.ts';
export { type PackPicture, type PackSection, type PackTable } from './pack-section.ts';
export { besideReference, type PedalBeside } from './reference-pedal.ts';
