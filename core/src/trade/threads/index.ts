export {
  fit,
  mate,
  sealsTogether,
  threadOf,
  VERDICTS,
  type Mate,
  type MateInput,
  type MateVerdict,
} from './mate.ts';
export { bandOf, basicOf, overBasicMm, TAPER, taperReach, type Band, type Basic } from './sizes.ts';
