// What a plan's fluid is joined to. Separate entry point: kept out of the initial bundle.
export { axleOf } from './axle-of.ts';
export {
  feedsAt,
  feedsOf,
  brakesLostByLeakAt,
  reservoirsFilledFrom,
  reservoirsOf,
  type Feed,
} from './feeds.ts';
export {
  BODY_MM,
  brakePlace,
  brakesBehind,
  guessedPedal,
  isAt,
  isHand,
  pedalsOf,
  pressesThrough,
  pressingFeeds,
  serviceFeeds,
  servedBy,
  type BrakePlace,
  type PressingFeed,
} from './purpose.ts';
export { galleriesOf } from './passages.ts';
export { planNetwork } from './plan-network.ts';
