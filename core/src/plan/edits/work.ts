import type {
  Deviation,
  Inspection,
  Plan,
  SessionMeans,
  TemporaryFix,
  Tightening,
} from '../model/index.ts';
import { freshId } from './fresh-id.ts';
import { addRecord, putRecord, removeRecord } from './records.ts';

/** The task that work is recorded of, and the digest of what it is done to. */
export interface OfTask {
  readonly task: string;
  readonly stamp: string;
}
/** When work was done, and by whom and in how many minutes where that is recorded. */
export interface Done {
  readonly at: string;
  readonly by?: string;
  readonly minutes?: number | null;
}

/** A task done: what was recorded of it before is replaced. */
function withWorkDone(
  plan: Plan,
  { task, stamp, at, by = '', minutes = null }: OfTask & Done,
): Plan {
  const cleared = removeRecord(removeRecord(plan, 'putOff', task), 'inspection', task);
  return putRecord(cleared, 'workDone', { task, at, by, minutes, stamp });
}
/** A task as if nothing had been recorded of it; one put off stays put off. */
const withoutWork = (plan: Plan, task: string): Plan =>
  (['workDone', 'tightening', 'inspection'] as const).reduce(
    (now, kind) => removeRecord(now, kind, task),
    plan,
  );

/** Edits that record the work of the floor. */
export const WORK_EDITS = {
  recordWorkDone: (plan: Plan, done: OfTask & Done): Plan => withWorkDone(plan, done),
  /** A joint or a fastener tightened, with the wrench's figure; of a joint opened before, whether its washers were new. */
  recordTorque: (
    plan: Plan,
    {
      nm,
      washers,
      ...done
    }: OfTask & Done & { readonly nm: number; readonly washers?: Tightening['washers'] },
  ): Plan =>
    putRecord(withWorkDone(plan, done), 'tightening', {
      key: done.task,
      nm,
      at: done.at,
      opened: false,
      ...(washers ? { washers } : {}),
    }),
  /** A joint opened again: its torque counts no more. */
  recordOpened: (
    plan: Plan,
    { task, at }: { readonly task: string; readonly at: string },
  ): Plan => {
    const was = plan.floor.tight.find(({ key }) => key === task);
    return putRecord(plan, 'tightening', {
      key: task,
      nm: was?.nm ?? 1,
      at: was?.at ?? at,
      opened: true,
    });
  },
  /** An inspection: good is done; not good stays open with its observation. */
  recordInspection: (plan: Plan, { task, stamp, good, note, at }: OfTask & Inspection): Plan =>
    good
      ? withWorkDone(plan, { task, stamp, at })
      : putRecord(withoutWork(removeRecord(plan, 'putOff', task), task), 'inspection', {
          task,
          good,
          note,
          at,
        }),
  clearWork: (plan: Plan, { task }: { readonly task: string }): Plan => withoutWork(plan, task),
  recordDeviation: (plan: Plan, deviation: Omit<Deviation, 'id'>): Plan =>
    addRecord(plan, 'deviation', { id: freshId(plan, 'found'), ...deviation }),
  /** A task of the user's own, with figures to begin with. */
  beginOwnTask: (
    plan: Plan,
    { name, gateId }: { readonly name: string; readonly gateId: string | null },
  ): Plan =>
    addRecord(plan, 'ownTask', {
      id: freshId(plan, 'own'),
      name,
      minutes: 15,
      people: 1,
      needs: [],
      gateId,
    }),
  /** Something that holds until what belongs there is fitted. */
  beginTemporaryFix: (plan: Plan, fix: Omit<TemporaryFix, 'id' | 'closed'>): Plan =>
    addRecord(plan, 'temporaryFix', { id: freshId(plan, 'held'), ...fix, closed: null }),
  /** A fastener that follows from no part of the plan. */
  addFastener: (plan: Plan, { name }: { readonly name: string }): Plan => {
    const keys = new Set(plan.floor.wanted.map(({ key }) => key));
    let n = 1;
    while (keys.has(`fastener-${n}`)) n++;
    return putRecord(plan, 'wantedTorque', {
      key: `fastener-${n}`,
      name,
      nm: null,
      source: '',
      state: 'dry',
      fastener: 'new',
    });
  },
  /** A task or a fastener of the user's own deleted with all that was recorded of it; nothing waits for it any more. */
  removeOwnWork: (plan: Plan, { task }: { readonly task: string }): Plan => {
    const cleared = removeRecord(withoutWork(plan, task), 'putOff', task);
    const own = cleared.floor.own
      .filter(({ id }) => `own:${id}` !== task)
      .map((one) =>
        one.needs.includes(task)
          ? { ...one, needs: one.needs.filter((need) => need !== task) }
          : one,
      );
    return removeRecord({ ...cleared, floor: { ...cleared.floor, own } }, 'wantedTorque', task);
  },
  /** Time, people and what is missing for a session; with a day it begins anew, and what is checked each session is checked again. */
  changeSession: (plan: Plan, { patch }: { readonly patch: Partial<SessionMeans> }): Plan => ({
    ...plan,
    floor: { ...plan.floor, session: { ...plan.floor.session, ...patch } },
  }),
  /** What comes off the vehicle before anything new goes on. */
  setComesOff: (plan: Plan, { to }: { readonly to: readonly string[] }): Plan => ({
    ...plan,
    comesOff: to,
  }),
} as const;
