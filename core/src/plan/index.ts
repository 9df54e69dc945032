export { type ResolvedPosition } from './layout/position.ts';
export { TUBE_MATTER } from './layout/line-figures.ts';
export { fittingMm, freeMm, HARD_MPA, hoseOf, hoseVolumeMl } from './layout/hose-figures.ts';
export {
  cutAllowedMm,
  cutSigmaMm,
  cutSlopes,
  drawnBackMm,
  lineView,
  toolingOf,
  varianceOf,
  type LineView,
  type PortView,
} from './layout/line-view.ts';
export { fnv32 } from './layout/digest.ts';
export { boxOfLine, closeCrossings, type CloseCrossing } from './layout/close-crossings.ts';
export {
  keepSpace,
  lineSpace,
  pointsOf,
  sharesWith,
  type Around,
  type LineSpace,
  type SpanView,
} from './layout/space.ts';
export { LEAST_KEPT_MM, throughHoles, type ClipView, type Near } from './layout/clip-view.ts';
export { inPose, MOST_POSES, mountedOn, posedThing } from './layout/riding.ts';
export { layPlan, type LaidPlan, type PointView } from './layout/laid-plan.ts';
export { deltaOf, withDelta, type PlanDelta } from './delta.ts';
export { EDITS, applyEdit, applyEdits, type EditCall, type EditName } from './edits/index.ts';
export { freshHoseName, freshId, freshIn } from './edits/fresh-id.ts';
export { benderFor, withTube } from './edits/lines.ts';
export type { TurnAxis } from './edits/move-part.ts';
export { lineFollowed } from './edits/follow.ts';
export { changeMove, lengthenEnd, movesOf } from './edits/moves.ts';
export { newPart, newPort, NOWHERE } from './edits/new-part.ts';
export {
  laidTemplate,
  RAIL_SIDES,
  type LaidTemplate,
  type RailSide,
  type TemplateBend,
} from './edits/reshape.ts';
export { fileStem, planFileName, writePlan } from './file/write.ts';
export { MOST_PLAN_BYTES, PlanFileError } from './file/plan-file-error.ts';
export * from './model/index.ts';
export { validatePlan } from './validate.ts';
