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
export {
  bent,
  heldAs,
  ON_THE_BENCH,
  readingOf,
  type Bent,
  type Clr,
  type Held,
  type MadeBend,
  type Reading,
} from './shape.ts';
export { dieSolid, usualSolids, type BenchSolids, type Standing } from './bench-solids.ts';
export {
  bendOrder,
  inTheWay,
  sequenceOf,
  type BendOrder,
  type Hit,
  type OrderedBend,
  type OrderInput,
  type Start,
} from './order.ts';
export { pose, type PosedRod, type TubeBend, type TubeInBender } from './pose.ts';
export { apartMm, offMm, touches, type Rod, type Solid } from './solids.ts';
