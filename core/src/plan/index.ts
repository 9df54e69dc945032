export { type BleedView } from './bleed-view.ts';
export { DEFAULT_HOLDING, defaultBench, emptyPlan, FRESH_LINE, freshEnd, plainBender } from './defaults.ts';
export { EDITS, applyEdit, benderFor, withTube, type EditCall, type EditName } from './edits.ts';
export { freshId } from './fresh-id.ts';
export { newLine } from './join.ts';
export { adapterOf } from './adapter-of.ts';
export { LAYOUTS, type Layout } from './layouts.ts';
export { isJoint, isWorker, makesPressure, newPart, newPort, NOWHERE, PART_SPECS } from './part-kinds.ts';
export { type Fixed } from './fixed.ts';
export { cutSigmaMm, drawnBackMm, lineView, toolingOf, type LineView, type PortView } from './line-view.ts';
export { changeMove, lengthenEnd, movesOf } from './moves.ts';
export { fittingMm, freeMm, hoseOf, hoseVolumeMl } from './hose-figures.ts';
export { holdLine, oneWay } from './hold-line.ts';
export { meetings, type Meeting } from './meetings.ts';
export { keepSpace, LEAST_KEPT_MM, lineSpace, obstaclesOf, sharesWith, type Around, type ClipView, type LineSpace, type Near, type SpanView } from './space.ts'; // prettier-ignore
export { MOST_PLAN_BYTES, PlanFileError, checkPlan, readPlan } from './read.ts';
export { type LoadView, type SizeView } from './size-view.ts';
export {
  loadAt, LOADS, plannedHoses, sizeInputOf, typicalBrake, typicalSizing, type Hose as HoseFigures, type Load, type LoadName, type Sizing,
} from './sizing.ts'; // prettier-ignore
export { figureAt, withFigure, type Sheet } from './figures.ts';
export { figuresOf, PART_FIGURES, type PartFigure, type PartFigures } from './part-figures.ts';
export {
  typicalClutch, typicalParking, typicalSingle, typicalTrailer, type ClutchSheet, type ParkingSheet, type SingleSheet, type TrailerSheet,
} from './sheets.ts'; // prettier-ignore
export { type ResidualView } from './residual-view.ts';
export * from './types.ts';
export { validatePlan } from './validate.ts';
export { viewPlan, type PlanView } from './view.ts';
export { laidTemplate, RAIL_SIDES, type LaidTemplate, type RailSide, type TemplateBend } from './reshape.ts';
export { snapPlace, snapsFor, type Snap, type Snapped, type Snaps } from './snap.ts';
export { planFileName, writePlan } from './write.ts';
