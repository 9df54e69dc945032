export { centerLinesCsv, csvRows, readCenterLinesCsv, tableCsv, type NamedLine } from './csv.ts';
export {
  bracketFlat,
  bracketsDxf,
  flatViewsDxf,
  holeRim,
  platesDxf,
  type BracketFlat,
  type PlateFlat,
  type DrawnLine,
} from './dxf.ts';
export { metalMm3, tubesStep, type StepTube } from './step.ts';
export { readTubesStep } from './step-read.ts';
export {
  likelyColumns,
  PRESSURE_UNITS,
  readingsOf,
  readLoggerFile,
  TRAVEL_UNITS,
  type ColumnChoice,
  type LoggerFile,
  type ReadingsRead,
} from './readings-csv.ts';
export {
  likelySlowing,
  SLOWING_UNITS,
  slowingOf,
  TIME_UNITS,
  type SlowingChoice,
  type SlowingRead,
} from './decel-csv.ts';
