export { DEFAULT_TAPE_SIGMA_MM, survey, type Side, type Survey, type SurveyInput, type Tape } from './survey.ts';
