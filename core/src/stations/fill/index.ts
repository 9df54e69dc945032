export { airNetworkOf, placeName, strokeOf } from './air-of.ts';
export { preFillChecks, allConfirmed, partsOf, type PreFillCheck } from './pre-fill.ts';
export { beginRun, reservoirOf, turnsOf, USED_SHARE } from './begin.ts';
export { BOTTLE_DAYS, changeSteps, fluidOfWork, sourcesThatDiffer } from './fluids.ts';
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
  nextState,
  replay,
  STALL_TRIES,
  initialState,
  withEvent,
  withoutLast,
  type RunState,
  POT_LEAST_MPA,
  potLowAt,
} from './run.ts';
export { runNow, lastFluidUse, type FluidUse, type RunFluidUse } from './fluid-use.ts';
export {
  BleedDrill,
  DRILL_ACTS,
  drillVehicle,
  type DrillAct,
  type DrillScore,
  type DrillVehicle,
} from './drill.ts';
export { bleederNotes, circuitNotes } from './bleeder-notes.ts';
export { instructionOf, type Instruction } from './instructions.ts';
