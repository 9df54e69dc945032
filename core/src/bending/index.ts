export {
  correct,
  guide,
  type CorrectInput,
  type Correction,
  type CorrectVerdict,
  type FoundBend,
  type Guidance,
  type RestBend,
} from './correct.ts';
export { bestRoll, goalOf, homeWith, type Goal, type Home } from './home.ts';
export { SLIP } from './made.ts';
export { oneChange, type OneChange } from './offer-up.ts';
export { bent, heldAs, ON_THE_BENCH, readingOf, type Bent, type Held, type MadeBend, type Reading } from './shape.ts';
