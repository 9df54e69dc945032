export { type BleedView } from './bleed-view.ts';
export { isSpareBleeder, type BleedNet } from './bleed-net.ts';
export { pressureOf, type CircuitPressure } from './pressures.ts';
export { levelOf, type ResidualView } from './residual-view.ts';
export { type LoadView, type SizeView } from './size-view.ts';
export { BULK_GPA, parkingMostN } from './sheets.ts';
export {
  loadAt,
  LOADS,
  limitsOf,
  linesWith,
  plannedHoses,
  sizeInputOf,
  type LoadName,
} from './sizing.ts';
export { viewPlan, type PlanView } from './view.ts';
export { runChoices, type RunChoice } from './run-choices.ts';
