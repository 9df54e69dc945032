export {
  DEFAULT_TAPE_SIGMA_MM,
  survey,
  type Offset,
  type Side,
  type Survey,
  type SurveyInput,
  type Tape,
} from './survey.ts';
export { type Axis } from './fit.ts';
export { CORNERS, SPANS, type Corner, type Span } from './frame-marks.ts';
export { invert, type Sym3 } from './linear.ts';
