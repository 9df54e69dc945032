export {
  arcMm,
  bendTable,
  cornersOf,
  tangentMm,
  type Bend,
  type BendInput,
  type BendTable,
} from './bend.ts';
export {
  dialFor,
  formedRadiusMm,
  seenSpringback,
  springback,
  type Bender,
  type SeenBend,
  type SeenSpringback,
  type Springback,
  type TestBend,
} from './bender.ts';
export { formedRadii, makeCard, type Card, type CardBend, type CardInput } from './card.ts';
export { centerLine, polyline, validateCenterLine, type Piece } from './center-line.ts';
export { type EndRoom, type EndTooling, type EndClearance } from './end-room.ts';
export { offset, type Offset, type OffsetInput } from './offset.ts';
export { unbend, type UnbendInput } from './unbend.ts';
