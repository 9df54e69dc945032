export { aroundOf, orderInput, orderOf } from './order-of.ts';
export {
  LEAST_FURTHER_DEG,
  offeredUp,
  progressOf,
  readingsPlanned,
  runOf,
  type NextBend,
  type Progress,
  type Run,
} from './progress.ts';
export {
  doneOf,
  flareBAt,
  isMade,
  isProven,
  scraps,
  slidOn,
  workOf,
  type WorkKind,
  type WorkStep,
} from './work.ts';
export {
  cutPlans,
  stockAfter,
  TEST_PIECE_MM,
  tubeName,
  tubeWanted,
  WORTH_KEEPING_MM,
  type Cut,
  type CutPiece,
  type CutPlan,
} from './cuts.ts';
export { bendRows, type BendRow } from './rows.ts';
