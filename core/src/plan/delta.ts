import type { Plan } from './model/index.ts';

type Json = Readonly<Record<string, unknown>>;
type Item = { readonly id: string };
const isList = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) &&
  value.every((item: unknown) => typeof (item as Item | null)?.id === 'string');

/** What became of one field of a plan: records by id that are new or changed, with the order of all; or the field as a whole. */
type Change =
  | { readonly key: string; readonly ids: readonly string[]; readonly put: readonly Item[] }
  | { readonly key: string; readonly value: unknown };
/** What an edit did, small enough to be handed to a worker at every key. */
export type PlanDelta = readonly Change[];

/** What turns one state of a plan into another; records that both share are not in it. */
export function deltaOf(before: Plan, after: Plan): PlanDelta {
  const [was, is]: [Json, Json] = [{ ...before }, { ...after }];
  return Object.keys({ ...was, ...is }).flatMap((key): Change[] => {
    const [from, to] = [was[key], is[key]];
    if (Object.is(from, to)) return [];
    if (!isList(from) || !isList(to)) return [{ key, value: to }];
    const had = new Set(from);
    return [{ key, ids: to.map(({ id }) => id), put: to.filter((item) => !had.has(item)) }];
  });
}

/** The plan after a change. What did not change stays the very same, down into changed records, so that what was computed for it still holds. */
export function withDelta(before: Plan, delta: PlanDelta): Plan {
  const after = { ...before } as Record<string, unknown>;
  for (const change of delta) {
    const from = after[change.key];
    if ('value' in change) after[change.key] = sharing(from, change.value);
    else {
      const known = new Map((from as readonly Item[]).map((item) => [item.id, item]));
      for (const item of change.put) known.set(item.id, sharing(known.get(item.id), item) as Item);
      after[change.key] = change.ids.map((id) => known.get(id)!);
    }
  }
  return after as unknown as Plan;
}

/** A value with whatever of it is the same as before taken from there. */
export function sharing(before: unknown, after: unknown): unknown {
  if (
    Object.is(before, after) ||
    typeof before !== 'object' ||
    typeof after !== 'object' ||
    !before ||
    !after
  )
    return after;
  if (Array.isArray(before) !== Array.isArray(after)) return after;
  const [from, to] = [before as Record<string, unknown>, after as Record<string, unknown>];
  const keys = Object.keys(to);
  const shared = Object.fromEntries(keys.map((key) => [key, sharing(from[key], to[key])]));
  const same =
    keys.length === Object.keys(from).length &&
    keys.every((key) => Object.is(shared[key], from[key]));
  return same ? before : Array.isArray(after) ? keys.map((key) => shared[key]) : shared;
}
