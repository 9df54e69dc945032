export {
  inOrder,
  isBetter,
  planSession,
  valueOf,
  type Plannable,
  type Session,
  type SessionValue,
} from './session.ts';
export {
  doneIn,
  floorView,
  newestDay,
  undoes,
  undone,
  type TaskState,
  type TaskView,
} from './floor-view.ts';
export { likelyBoltNm, starOrder, type Fastener } from './fasteners.ts';
export { gateProgress, type GateProgress } from './gate-progress.ts';
export { possiblePrerequisites } from './task-dependencies.ts';
export { stripHow } from './strip.ts';
export { isAfterSigning, type Task, type TaskKind } from './task.ts';
export { TASK_READS, tasksOf } from './tasks.ts';
export {
  boltTorqueNm,
  NUT_FACTOR,
  proofMPa,
  stressAreaMm2,
  type BoltTorque,
} from './bolt-torque.ts';
export {
  torqueOf,
  isUnusual,
  verdictOf,
  wantedOf,
  withThread,
  WRENCH_SHARE,
  type TorqueView,
} from './torque.ts';
