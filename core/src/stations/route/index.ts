export { hoseView, type HoseView } from './hose-view.ts';
export {
  clampAt,
  placeEnd,
  sweep,
  type EndPlace,
  type HoseNear,
  type HoseState,
} from './hose-sweep.ts';
export {
  equalLength,
  atLength,
  lengthsOf,
  ORDER_STEP_MM,
  rubs,
  shortestOf,
  type EqualLength,
  type Lengths,
  type LengthVerdict,
  type Progress,
} from './lengths.ts';
export { bracketPlaces, type BracketPlace } from './bracket.ts';
export { envelopeOfHose, volumeOf } from './envelope.ts';
export { hoseOrder } from './order.ts';
export { slideAlong, slideTo } from './slide.ts';
