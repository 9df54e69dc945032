// What must be done while what closes access is still open.
export { beforeItCloses, byDay, isIn, type GateTask } from './before-it-closes.ts';
