export { runVerb } from './run.ts';
export { VERBS, type Verb } from './verbs.ts';
