// Reading plans, apart from the plan itself: the validator and the steps from older versions come with it.
export { mendPlan, type Mended, type MendedPlan } from './mend.ts';
export { checkPlan, readPlan } from './read.ts';
