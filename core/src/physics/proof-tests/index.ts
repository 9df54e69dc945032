export { gasEnergyJ } from './gas.ts';
export { hold, seenMPa, type Hold, type HoldInput, type HoldReading } from './hold.ts';
export {
  DEFAULT_LIMIT_ML_PER_MIN,
  leakdown,
  type Leakdown,
  type LeakdownInput,
  type LeakdownReading,
  type LeakVerdict,
} from './leakdown.ts';
export {
  ROUGH_KMH,
  scatterOf,
  stoppingDistance,
  type StoppingTest,
  type StoppingInput,
} from './stopping.ts';
export { decelLog, type DecelLog, type DecelLogInput, type DecelSample } from './decel-log.ts';
