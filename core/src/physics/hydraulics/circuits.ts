import { AXLES, type Axles, type SizeInput } from './types.ts';

/** A circuit by what it presses: the share of each axle's two brakes. */
export interface CircuitShare {
  readonly name: string;
  readonly share: Axles<number>;
}
/** One circuit an axle. */
export const BY_AXLE: readonly CircuitShare[] = [
  { name: 'Front circuit', share: { front: 1, rear: 0 } },
  { name: 'Rear circuit', share: { front: 0, rear: 1 } },
];
/** What a circuit takes of what both axles take, mL. */
export const circuitMl = ({ share }: CircuitShare, ml: Axles<number>): number =>
  AXLES.reduce((sum, axle) => sum + share[axle] * ml[axle], 0);

type Twin = Extract<SizeInput['master'], { kind: 'twin' }>;
/**
 * Bore of the master on a bar that a circuit hangs on. A circuit of both axles says not which one that
 * is: then the smaller, which strokes further.
 */
export function twinBoreMm({ frontBoreMm, rearBoreMm }: Twin, { share }: CircuitShare): number {
  if (share.rear === 0) return frontBoreMm;
  return share.front === 0 ? rearBoreMm : Math.min(frontBoreMm, rearBoreMm);
}
/** Share of the bar's push that its master is given; the greater of both, which carries its stroke further to the pedal, where the circuit says not which. */
export function twinShare({ frontShare }: Twin, { share }: CircuitShare): number {
  if (share.rear === 0) return frontShare;
  return share.front === 0 ? 1 - frontShare : Math.max(frontShare, 1 - frontShare);
}
