export { bestHooks, predictedSigmaMm, type Choice, type Hook } from './choose.ts';
export {
  DEFAULT_TAPE_SIGMA_MM,
  survey,
  type Axis,
  type Offset,
  type Side,
  type Survey,
  type SurveyInput,
  type Tape,
} from './survey.ts';
export { placedMarks } from './place-frame.ts';
export { CORNERS, slips, SPANS, square, type Corner, type Slip, type Span, type Square, type SquareInput } from './square.ts';
