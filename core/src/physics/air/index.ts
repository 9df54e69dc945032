export {
  bondOf,
  climbMmS,
  driftMmS,
  extremesOf,
  G_M_S2,
  GLYCOL_FLUID,
  headMPa,
  HOLDS_BELOW,
  pressedMl,
  type AirFluid,
} from './drift.ts';
export {
  lengthMm,
  pipeMl,
  wayTo,
  type AirBleeder,
  type AirNetwork,
  type AirOutlet,
  type AirPipe,
  type Leg,
  type Way,
} from './network.ts';
export { AirSim, type CameOut, type LeftOpen } from './sim.ts';
export {
  goOnce,
  PORTION_ML,
  POT_MPA,
  SEEN_ML,
  simulateBleed,
  VACUUM_MPA,
  WAYS_TO_BLEED,
  type Bled,
  type BledCorner,
  type BleedRun,
  type WayToBleed,
} from './bleeding.ts';
