import type { Fault } from '../../lib/faults/index.ts';

/** A plan file is at most this large; what may be in a plan keeps its file well under it. */
export const MOST_PLAN_BYTES = 32_000_000;

/** Why a plan file was refused: every fault with its place. */
export class PlanFileError extends Error {
  override readonly name = 'PlanFileError';
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((f) => (f.path ? `${f.path}: ${f.message}` : f.message)).join('\n'));
  }
}
