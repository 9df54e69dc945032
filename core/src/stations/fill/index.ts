export { airNetworkOf, placeName, strokeOf } from './air-of.ts';
export {
  beforeFill,
  fillingOf,
  isFree,
  partsOf,
  withTold,
  withoutTold,
  type Before,
} from './pre-fill.ts';
export { beginRun, reservoirOf, turnsOf, USED_SHARE, withRun, withoutRun } from './begin.ts';
export { BOTTLE_DAYS, changeSteps, fluidIn, reservoirParts } from './fluids.ts';
export {
  methodById,
  METHODS,
  methodOf,
  methodsFor,
  type Method,
  type MethodView,
} from './methods.ts';
export {
  airFluidOf,
  airNow,
  predictSchools,
  wayOfMethod,
  type AirNow,
  type Asked,
  type Predicted,
} from './predict.ts';
export {
  after,
  instructionOf,
  replay,
  STALL_TRIES,
  startOf,
  withEvent,
  withoutLast,
  type Instruction,
  type RunState,
} from './run.ts';
export { runNow, usedBefore, type Used, type UsedRun } from './fluid-use.ts';
export {
  BleedDrill,
  DRILL_ACTS,
  drillVehicle,
  type DrillAct,
  type DrillScore,
  type DrillVehicle,
} from './drill.ts';
export { differsAt, differsHere } from './bleeder-notes.ts';
