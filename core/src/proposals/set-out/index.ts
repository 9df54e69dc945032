// A whole plan from what a user knows of his vehicle: said in sentences, the rest guessed.
export {
  CHOICES,
  defaultsFor,
  NUMBERS,
  VEHICLES,
  type Answers,
  type Ask,
  type NumberAsk,
  type Vehicle,
} from './answers.ts';
export { answered, checkAnswer, checkAnswers } from './check-answers.ts';
export { sentencesFor, type Said } from './sentences.ts';
export { dimensionsOf, type Dimensions } from './dimensions.ts';
export { leadAll, setOut, sketchOut, sumsOf, type SetOut, type SetOutSums } from './set-out.ts';
export { tyreOf, type Tyre } from './tyre.ts';
