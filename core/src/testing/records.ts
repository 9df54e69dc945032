import { InputError } from '../lib/faults/index.ts';
import {
  EDITS,
  emptyPlan,
  validatePlan,
  type Buying,
  type EditCall,
  type Filling,
  type FillRun,
  type Floor,
  type Inspection,
  type Log,
  type LogEntry,
  type Order,
  type OwnTask,
  type Plan,
  type Proving,
  type PutOff,
  type TemporaryFix,
  type Tightening,
  type WantedTorque,
} from '../plan/index.ts';

/** A plan with one of its sections as it is given, after some edits; what no whole plan allows is not checked. */
const after = (patch: Partial<Plan>, ...calls: readonly EditCall[]): Plan =>
  calls.reduce(
    (now, call) => (EDITS[call.edit] as (plan: Plan, figures: unknown) => Plan)(now, call.with),
    { ...emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z'), ...patch },
  );
const onFloor = (floor: Floor, call: EditCall): Floor => after({ floor }, call).floor;
interface OfTask {
  readonly id: string;
  readonly stamp: string;
}

export const withDone = (
  floor: Floor,
  { id: task, stamp }: OfTask,
  at: string,
  by = '',
  minutes: number | null = null,
): Floor => onFloor(floor, { edit: 'recordWorkDone', with: { task, stamp, at, by, minutes } });
export const withTight = (
  floor: Floor,
  { id: task, stamp }: OfTask,
  nm: number,
  at: string,
  by = '',
  washers?: Tightening['washers'],
): Floor =>
  onFloor(floor, {
    edit: 'recordTorque',
    with: { task, stamp, nm, at, by, ...(washers ? { washers } : {}) },
  });
export const withWanted = (floor: Floor, wantedTorque: WantedTorque): Floor =>
  onFloor(floor, { edit: 'putWantedTorque', with: { wantedTorque } });
export const withOpened = (floor: Floor, task: string, at: string): Floor =>
  onFloor(floor, { edit: 'recordOpened', with: { task, at } });
export const withoutDone = (floor: Floor, task: string): Floor =>
  onFloor(floor, { edit: 'clearWork', with: { task } });
export const withLook = (
  floor: Floor,
  { id: task, stamp }: OfTask,
  look: Omit<Inspection, 'task'>,
): Floor => onFloor(floor, { edit: 'recordInspection', with: { task, stamp, ...look } });
export const withLater = (floor: Floor, putOff: PutOff): Floor =>
  onFloor(floor, { edit: 'putPutOff', with: { putOff } });
export const withoutLater = (floor: Floor, id: string): Floor =>
  onFloor(floor, { edit: 'removePutOff', with: { id } });
export const withTemporary = (floor: Floor, fix: Omit<TemporaryFix, 'id' | 'closed'>): Floor =>
  onFloor(floor, { edit: 'beginTemporaryFix', with: fix });
export const withClosed = (floor: Floor, id: string, closed: string): Floor =>
  onFloor(floor, { edit: 'changeTemporaryFix', with: { id, patch: { closed } } });
export const withFound = (floor: Floor, task: string, what: string, at: string): Floor =>
  onFloor(floor, { edit: 'recordDeviation', with: { task, what, at } });
export const withOwn = (floor: Floor, name: string, gateId: string | null): Floor =>
  onFloor(floor, { edit: 'beginOwnTask', with: { name, gateId } });
export const withOwnChanged = (
  floor: Floor,
  id: string,
  patch: Partial<Omit<OwnTask, 'id'>>,
): Floor => onFloor(floor, { edit: 'changeOwnTask', with: { id, patch } });
export const withoutOwn = (floor: Floor, task: string): Floor =>
  onFloor(floor, { edit: 'removeOwnWork', with: { task } });
export const withSession = (floor: Floor, on: string): Floor =>
  onFloor(floor, { edit: 'changeSession', with: { patch: { on } } });

export const withTold = (
  filling: Filling,
  { key, stamp }: { readonly key: string; readonly stamp: string },
  at: string,
): Filling =>
  after(
    { filling },
    { edit: 'putPreFillConfirmation', with: { preFillConfirmation: { key, at, stamp } } },
  ).filling;
export const withRun = (filling: Filling, fillRun: FillRun): Filling =>
  after({ filling }, { edit: 'recordFillRun', with: { run: fillRun } }).filling;
export const withOrder = (
  buying: Buying,
  key: string,
  patch: Partial<Omit<Order, 'key'>>,
): Buying => after({ buying }, { edit: 'updateOrder', with: { key, patch } }).buying;
export const withEntry = (log: Log, entry: Omit<LogEntry, 'id'>): Log =>
  after({ log }, { edit: 'recordLogEntry', with: { entry } }).log;
export const withoutEntry = (log: Log, id: string): Log =>
  after({ log }, { edit: 'removeLogEntry', with: { id } }).log;
export const withRound = (
  proving: Proving,
  { key, rests }: { readonly key: string; readonly rests: string },
  good: boolean,
  note: string,
  at: string,
): Proving =>
  after(
    { proving },
    { edit: 'putRecordedTest', with: { recordedTest: { key, at, good, note, rests } } },
  ).proving;
export const withoutRound = (proving: Proving, key: string): Proving =>
  after({ proving }, { edit: 'clearTest', with: { key } }).proving;

type Section = 'making' | 'buying' | 'floor' | 'wheelEnds' | 'log' | 'filling' | 'proving';
/** A plan with another section in place of its own. Throws InputError where it could not be saved. */
export function withSection<K extends Section>(plan: Plan, section: K, to: Plan[K]): Plan {
  const changed = { ...plan, [section]: to };
  const [fault] = validatePlan(changed);
  if (fault) throw new InputError(fault.path, fault.message);
  return changed;
}
