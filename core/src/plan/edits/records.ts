import { InputError } from '../../lib/faults/index.ts';
import { indexOf, type Reference } from '../model/check.ts';
import {
  COLLECTIONS,
  figureAt,
  PLAN,
  recordAt,
  withAt,
  type CollectionKind,
  type Plan,
  type RecordOf,
} from '../model/index.ts';

export type Patch<T extends { readonly id: string }> = Partial<Omit<T, 'id'>>;
const pathOf = (kind: CollectionKind): string[] => COLLECTIONS[kind].split('.');
const listOf = <K extends CollectionKind>(plan: Plan, kind: K): readonly RecordOf<K>[] =>
  figureAt(plan, COLLECTIONS[kind]) as readonly RecordOf<K>[];

/** A list with one of its records changed; a record that is no longer there is an error. */
export const patched = <T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  change: (item: T) => T,
): readonly T[] => {
  if (!list.some((item) => item.id === id))
    throw new InputError(id, 'This is no longer in the plan.');
  return list.map((item) => (item.id === id ? change(item) : item));
};

export const addRecord = <K extends CollectionKind>(
  plan: Plan,
  kind: K,
  record: RecordOf<K>,
): Plan => withAt(plan, pathOf(kind), [...listOf(plan, kind), record]);
export const changeRecord = <K extends CollectionKind>(
  plan: Plan,
  kind: K,
  id: string,
  change: (item: RecordOf<K>) => RecordOf<K>,
): Plan => withAt(plan, pathOf(kind), patched(listOf(plan, kind), id, change));

/** A record taken out of the plan, with whatever else refers to it let go of it; what cannot let go is named in an error. */
export function removeRecord(plan: Plan, kind: CollectionKind, id: string): Plan {
  const list = listOf(plan, kind);
  const index = list.findIndex((item) => item.id === id);
  if (index < 0) return plan;
  const at = [...pathOf(kind), String(index)];
  const gone = new Set(
    indexOf(PLAN.fields, plan as never)
      .ids.filter(({ path }) => at.every((key, i) => String(path[i]) === key))
      .map((one) => one.id),
  );
  return detached(
    withAt(
      plan,
      pathOf(kind),
      list.filter((item) => item.id !== id),
    ),
    gone,
    plan,
  );
}

/** A plan without references to records that are gone from it: `before` still has their names. */
export function detached(plan: Plan, gone: ReadonlySet<string>, before: Plan): Plan {
  const refs = indexOf(PLAN.fields, plan as never).refs.filter((ref) => gone.has(ref.id));
  const held = refs.filter(({ then }) => then === 'holds');
  if (held.length) {
    const { id, use, to } = held[0]!;
    const users = [
      ...new Set(held.filter((ref) => ref.id === id).map((ref) => ownerName(plan, ref))),
    ];
    throw new InputError(
      id,
      `${recordAt(before, to as CollectionKind, id)?.name ?? id} ${use} ${users.join(', ')}: change that first.`,
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

/** The record that a reference stands in, by the name of the innermost one that has one. */
function ownerName(plan: Plan, { path }: Reference): string {
  for (let i = path.length; i > 0; i--) {
    const record = figureAt(plan, path.slice(0, i).join('.')) as
      { readonly name?: unknown } | null | undefined;
    if (typeof record?.name === 'string') return record.name;
  }
  return 'the plan';
}
