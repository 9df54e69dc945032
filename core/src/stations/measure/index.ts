// What is worth measuring first.
export {
  asTaped,
  mostValuableFirst,
  TAPED_MM,
  rankMeasurements,
  type MeasurementValue,
} from './what-to-measure.ts';
