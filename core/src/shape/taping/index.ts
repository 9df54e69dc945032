// What is reckoned beside the survey itself: which datums to tape from, whether a frame is square and flat.
export { bestHooks, predictedSigmaMm, type Choice, type Hook } from './choose.ts';
export { placedMarks } from './place-frame.ts';
export { suspectTapes, square, type Slip, type Square } from './square.ts';
export { type SquareInput } from './square-fit.ts';
