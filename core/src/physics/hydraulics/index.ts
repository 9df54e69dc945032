export {
  balancePointZ,
  braking,
  forcePerMPa,
  loadsN,
  locksFirst,
  pastValve,
  pressurePerN,
  pushN,
  mostHelpN,
  runOutN,
  type Braking,
} from './balance.ts';
export { BY_AXLE, type CircuitShare } from './circuits.ts';
export { clutch, type ClutchInput, type ClutchSize } from './clutch.ts';
export { combination, type Combination, type CombinationSize } from './combination.ts';
export { expectedTravelMm, type Excess } from './diagnose-expected.ts';
export {
  diagnose,
  HARD_MPA,
  squeezed,
  type DiagnoseInput,
  type Diagnosis,
  type ModelDoubt,
} from './diagnose.ts';
export { IRON, warmThrough, type Slab, type Spell, type Warmth } from './heat-through.ts';
export { heating, type Heating, type HeatInput, type HotAxle, type Rotor } from './heat.ts';
export { isEnough, withFailed, withoutBooster, type Failure } from './failure.ts';
export { DEFAULT_BALANCE, limitsFor, mostAdhesion, stoppingM, usableZ } from './limits.ts';
export {
  MOTORCYCLE_BRAKES,
  MOTORCYCLE_SOURCE,
  NO_DISTANCE,
  TRAILER_RULE,
  RULES,
  type BalanceRule,
  type FadeRule,
  type Limits,
  type ParkingLimit,
  type ResidualBrakingRule,
} from './rules.ts';
export {
  parking,
  parkingPull,
  type ParkingInput,
  type ParkingPull,
  type ParkingSize,
  type ParkingTravel,
} from './parking.ts';
export { kneeFor, proportionFor, rearLeads, shareFor } from './proportion.ts';
export { wearMl } from './reservoir.ts';
export { APPLICATIONS, RESERVE_SOURCE, reserveOf, squeezedKPa, type Reserve } from './reserve.ts';
export { boreStressMPa } from './strength.ts';
export { headMPa, RESIDUAL_MPA, residualFor, type Residual } from './residual.ts';
export { single, type SingleInput, type SingleSize } from './single.ts';
export { CAUSES, masterMmPerMl, size, sumMl, takenMl, type Cause, type Size } from './size.ts';
export { trailer, type TrailerInput, type TrailerSize } from './trailer.ts';
export * from './types.ts';
export { MASTER_BORES_MM, whatIf, type WhatIf } from './what-if.ts';
export { kneeByBalance, realBalance, type Locked, type RealBalance } from './locked.ts';
