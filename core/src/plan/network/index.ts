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
export { galleriesOf } from './passages.ts';
export { planNetwork } from './plan-network.ts';
