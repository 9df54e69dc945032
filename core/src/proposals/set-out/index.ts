// A whole plan from what a user knows of his vehicle: said in sentences, the rest guessed.
export {
  answered,
  CHOICES,
  checkAnswer,
  checkAnswers,
  defaultsFor,
  NUMBERS,
  sentencesFor,
  VEHICLES,
  type Answers,
  type Ask,
  type NumberAsk,
  type Said,
  type Vehicle,
} from './answers.ts';
export { dimensionsOf, type Dimensions } from './dimensions.ts';
export { leadAll, setOut, sketchOut, sumsOf, type SetOut, type SetOutSums } from './set-out.ts';
export { tyreOf, type Tyre } from './tyre.ts';
