export {
  DEFAULT_PURGE,
  bleed,
  bottleMl,
  type BleedInput,
  type BleedPlan,
  type BleedStep,
  type Bleeder,
  type Pipe,
  type School,
} from './bleed.ts';
