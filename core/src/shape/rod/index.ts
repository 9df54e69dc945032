export { hose, findLength, judge, TAUT, worstOf } from './sweep.ts';
export type {
  HoseFind,
  HoseInput,
  HoseResult,
  HoseState,
  HoseVerdict,
  Judged,
  StateResult,
} from './sweep.ts';
export { hoseShape, POINTS, type Clamp, type Shape } from './shape.ts';
export type { Settled } from './rod.ts';
export {
  kingpinAxis,
  kingpinLean,
  mover,
  partOf,
  posesOf,
  STILL,
  RIDE,
  swingDeg,
  type Motion,
  type NamedPose,
  type Pose,
} from './travel.ts';
export { turnAlong, twisted } from './twisted.ts';
