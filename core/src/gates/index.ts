// What must be done while what closes access is still open.
export { beforeItCloses, byDay, GATE_LOOKS, type GateTask } from './before-it-closes.ts';
