import type { Filling, FillRun, Plan } from '../model/index.ts';
import { addRecord, changeRecord } from './records.ts';

/** What filling has one of: everything but its lists. */
export type FillSettings = Omit<Filling, 'before' | 'fluids' | 'runs'>;

/** Edits of how fluid goes in, and of the runs at the bleeders. */
export const FILL_EDITS = {
  changeFilling: (plan: Plan, { patch }: { readonly patch: Partial<FillSettings> }): Plan => ({
    ...plan,
    filling: { ...plan.filling, ...patch },
  }),
  /** A run begun, or one with more recorded of it. */
  recordFillRun: (plan: Plan, { run }: { readonly run: FillRun }): Plan =>
    plan.filling.runs.some(({ id }) => id === run.id)
      ? changeRecord(plan, 'fillRun', run.id, () => run)
      : addRecord(plan, 'fillRun', run),
} as const;
