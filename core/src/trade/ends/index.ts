export { AdapterGraph, halfKey } from './adapter-graph.ts';
export {
  adapt,
  joinOf,
  plugsFor,
  STOCK,
  type Adapted,
  type AdaptInput,
  type Chain,
  type Join,
} from './adapt.ts';
export { touch, type Contact, type Touch } from './contact.ts';
export { section, type Section } from './section.ts';
export { type Piece, type XR } from './section-pieces.ts';
export { endFor, halfOfNut, jointBetween, jointsOf, type EndChoice, type Joint } from './choose.ts';
export { firstEnd, turningOf, type Turning } from './fitting-order.ts';
export { END_FOR, seatFrom, type SeatAnswers, type SeatFound, type SeatGuess } from './seat.ts';
export { consumablesOf, guidanceFor, likelyTorqueNm, type Consumable } from './consumables.ts';
export { drillQuestion, drillReasons, type DrillQuestion, type DrillReasons } from './drill.ts';
