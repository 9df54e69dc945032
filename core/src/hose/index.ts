export { hose, findLength, judge, worstOf, HOSE_VERDICTS } from './sweep.ts';
export type { HoseFind, HoseInput, HoseResult, HoseState, HoseVerdict, Judged, StateResult } from './sweep.ts';
export { hoseShape, POINTS, type Clamp, type Shape } from './shape.ts';
export type { Settled } from './rod.ts';
export { mover, posesOf, RIDE, swingDeg, type Motion, type NamedPose, type Placed, type Pose } from './travel.ts';
export { freeTurnDeg } from './twist.ts';
