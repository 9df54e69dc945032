export { cableFit, CABLE_OVER_MM, type CableFault, type CableReadings } from './cable.ts';
export {
  END_PLAY_MM,
  hubFault,
  HUB_KINDS,
  HUB_SCHOOLS,
  HUB_TABLE,
  type HubFault,
  type HubKind,
  type HubSchool,
} from './hub.ts';
export { loadVerdict, PROOF_LOAD, type LoadReadings, type LoadVerdict } from './proof-load.ts';
export {
  boltThrough,
  shims,
  STACK_TOLERANCE_MM,
  wantedStackMm,
  type BoltFault,
  type Shims,
  type ShimsInput,
  type ShimsResult,
  type StackBolt,
} from './shims.ts';
export {
  NUT_SEATS,
  threadLeft,
  THREAD_IN_DIAMETERS,
  wheelOver,
  WHEEL_GAP_MM,
  type Studs,
  type WheelFitted,
  type WheelReadings,
} from './wheel.ts';
export {
  BREAKER_NEAR_MM,
  supplyFit,
  WIRE_SIZES,
  wireSizeName,
  type SupplyRun,
  type WireSize,
} from './wire-size.ts';
export {
  TEST_WORDS,
  wireVerdict,
  WIRE_JOBS,
  WIRE_NAMES,
  WIRE_TESTS,
  WIRE_VOLTS,
  type WireJob,
  type WireTest,
} from './wires.ts';
