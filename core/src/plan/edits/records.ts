import { InputError } from '../../lib/faults/index.ts';
import { indexOf } from '../model/check.ts';
import { type Reference } from '../model/references.ts';
import {
  figureAt,
  keyOf,
  PLAN,
  recordAt,
  withAt,
  type Plan,
  type RecordOf,
} from '../model/index.ts';
import { COLLECTIONS, type CollectionKind } from '../model/record-kind.ts';

export type Patch<T> = Partial<Omit<T, 'id'>>;
type Keyed = Readonly<Record<string, unknown>>;
const pathOf = (kind: CollectionKind): string[] => COLLECTIONS[kind].split('.');
const listOf = <K extends CollectionKind>(plan: Plan, kind: K): readonly RecordOf<K>[] =>
  figureAt(plan, COLLECTIONS[kind]) as readonly RecordOf<K>[];
const has =
  (kind: CollectionKind, id: string) =>
  (record: unknown): boolean =>
    (record as Keyed)[keyOf(kind)] === id;

/** A list with one of its records changed; a record that is no longer there is an error. */
export const patched = <T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  change: (item: T) => T,
): readonly T[] => {
  if (!list.some((item) => item.id === id)) throw noLonger(id);
  return list.map((item) => (item.id === id ? change(item) : item));
};
const noLonger = (id: string): InputError =>
  new InputError(id, 'This record is no longer in the plan.');

export const addRecord = <K extends CollectionKind>(
  plan: Plan,
  kind: K,
  record: RecordOf<K>,
): Plan => withAt(plan, pathOf(kind), [...listOf(plan, kind), record]);
/** Adds a record in place of the one with its key, where there is one. */
export function putRecord<K extends CollectionKind>(
  plan: Plan,
  kind: K,
  record: RecordOf<K>,
): Plan {
  const isSame = has(kind, String((record as Keyed)[keyOf(kind)]));
  return withAt(plan, pathOf(kind), [...listOf(plan, kind).filter((one) => !isSame(one)), record]);
}
export function changeRecord<K extends CollectionKind>(
  plan: Plan,
  kind: K,
  id: string,
  change: (item: RecordOf<K>) => RecordOf<K>,
): Plan {
  const list = listOf(plan, kind);
  const isIt = has(kind, id);
  if (!list.some(isIt)) throw noLonger(id);
  return withAt(
    plan,
    pathOf(kind),
    list.map((item) => (isIt(item) ? change(item) : item)),
  );
}

/** A record taken out of the plan, with whatever else refers to it let go of it; what cannot let go is named in an error. */
export function removeRecord(plan: Plan, kind: CollectionKind, id: string): Plan {
  const index = listOf(plan, kind).findIndex(has(kind, id));
  return index < 0 ? plan : withoutRecord(plan, [...pathOf(kind), String(index)], plan);
}
/** A plan without the record at a place in one of its lists, and without what that leaves behind. */
function withoutRecord(plan: Plan, at: readonly string[], before: Plan): Plan {
  const gone = new Set(
    indexOf(PLAN.fields, plan)
      .ids.filter(({ path }) => at.every((key, i) => String(path[i]) === key))
      .map((one) => one.id),
  );
  const list = at.slice(0, -1);
  const rest = (figureAt(plan, list.join('.')) as readonly unknown[]).toSpliced(
    Number(at.at(-1)),
    1,
  );
  return detached(withAt(plan, list, rest), gone, before);
}

/** A plan without references to records that are gone from it: `before` still has their names. */
export function detached(plan: Plan, gone: ReadonlySet<string>, before: Plan): Plan {
  const refs = indexOf(PLAN.fields, plan).refs.filter(
    (ref) => gone.has(ref.id) && ref.then !== 'keeps',
  );
  const owned = refs.find(({ then }) => then === 'removes');
  if (owned)
    return detached(withoutRecord(plan, owned.path.slice(0, -1).map(String), before), gone, before);
  const held = refs.filter(({ then }) => then === 'holds');
  if (held.length) {
    const { id, use, to } = held[0]!;
    const users = [
      ...new Set(held.filter((ref) => ref.id === id).map((ref) => ownerName(plan, ref))),
    ];
    throw new InputError(
      id,
      `${nameIn(before, to, id)} ${use} ${users.join(', ')}: change that first.`,
    );
  }
  return refs.reduce((now, { path, then }) => {
    const keys = path.map(String);
    if (then === 'clears') return withAt(now, keys, null);
    const list = keys.slice(0, -1);
    return withAt(
      now,
      list,
      (figureAt(now, list.join('.')) as readonly string[]).filter((one) => !gone.has(one)),
    );
  }, plan);
}

/** What a record is called. */
const nameIn = (plan: Plan, kind: Reference['to'], id: string): string =>
  (recordAt(plan, kind as CollectionKind, id) as { readonly name?: string } | undefined)?.name ??
  id;

/** The record that a reference stands in, by the name of the innermost one that has one. */
function ownerName(plan: Plan, { path }: Reference): string {
  for (let i = path.length; i > 0; i--) {
    const record = figureAt(plan, path.slice(0, i).join('.')) as
      { readonly name?: unknown } | null | undefined;
    if (typeof record?.name === 'string') return record.name;
  }
  return 'the plan';
}
