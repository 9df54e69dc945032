export { inOrder, isBetter, planSession, valueOf, type Session, type SessionValue } from './session.ts';
export { doneIn, floorOf, floorView, tasksOf, undone, type Task, type TaskKind, type TaskState, type TaskView } from './tasks.ts';
export {
  boltTorqueNm, NUT_FACTOR, PROOF_MPA, stressAreaMm2, torqueOf, verdictOf, WRENCH_SHARE, type BoltTorque, type TorqueView,
} from './torque.ts'; // prettier-ignore
export {
  withClosed,
  withDone,
  withFound,
  withLater,
  withLook,
  withOpened,
  withOwn,
  withoutDone,
  withoutLater,
  withTemporary,
  withTight,
} from './tell.ts';
