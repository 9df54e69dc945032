// What a plan's fluid is joined to: apart from the plan itself, since what is first shown does not ask it.
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
