import type { SessionMeans } from '../plan/index.ts';
import type { TaskView } from './tasks.ts';

/** What a session is worth: waiting tasks it frees, the day of the nearest gate it serves, its minutes. */
export interface SessionValue {
  readonly freed: number;
  readonly gateOn: string;
  readonly minutes: number;
}
export interface Session extends SessionValue {
  /** Tasks in an order in which each comes after what it needs. */
  readonly tasks: readonly TaskView[];
  /** What fits into the rest of the time besides, and frees nothing yet. */
  readonly besides: readonly TaskView[];
}

/** So many tasks that may be done in a session are tried in every choice. */
const EXACT_MOST = 15;
const NO_DAY = '9999-99-99';

/** More freed, then the nearer gate, then fewer minutes. */
export const isBetter = (a: SessionValue, b: SessionValue): boolean =>
  a.freed !== b.freed ? a.freed > b.freed : a.gateOn !== b.gateOn ? a.gateOn < b.gateOn : a.minutes < b.minutes;

/** Tasks that are open and that these people with these tools could do once what they need is done. */
function possible(views: readonly TaskView[], { people, lacks }: SessionMeans): TaskView[] {
  const able = new Set(
    views
      .filter(
        ({ task, state }) =>
          state !== 'done' &&
          state !== 'later' &&
          !task.waits &&
          task.people <= people &&
          !task.tools.some((tool) => lacks.includes(tool)),
      ) // prettier-ignore
      .map(({ task }) => task.id),
  );
  const done = new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
  // What needs something that cannot be done falls away too.
  for (let changed = true; changed;) {
    changed = false;
    for (const { task } of views)
      if (able.has(task.id) && task.needs.some((id) => !done.has(id) && !able.has(id))) {
        able.delete(task.id);
        changed = true;
      }
  }
  return views.filter(({ task }) => able.has(task.id));
}

/** What doing a set of tasks is worth. Freed is what waits for work alone, and then waits no more. */
export function valueOf(views: readonly TaskView[], chosen: ReadonlySet<string>): SessionValue {
  const done = new Set(views.filter(({ state, task }) => state === 'done' || chosen.has(task.id)).map(({ task }) => task.id));
  let [freed, gateOn, minutes] = [0, NO_DAY, 0];
  for (const { task, state, minutes: own } of views) {
    if (chosen.has(task.id)) {
      minutes += own;
      if (task.gate?.on && task.gate.on < gateOn) gateOn = task.gate.on;
    } else if (state === 'waits' && !task.waits && task.needs.every((id) => done.has(id))) freed++;
  }
  return { freed, gateOn, minutes };
}

/** The ids in an order in which each comes after what it needs; what is alike stays as it stood. */
export function inOrder(views: readonly TaskView[], chosen: ReadonlySet<string>): TaskView[] {
  const left = views.filter(({ task }) => chosen.has(task.id));
  const placed: TaskView[] = [];
  const at = new Set<string>();
  while (left.length) {
    const next = left.findIndex(({ task }) => task.needs.every((id) => !chosen.has(id) || at.has(id)));
    const [view] = left.splice(Math.max(0, next), 1);
    placed.push(view!);
    at.add(view!.task.id);
  }
  return placed;
}

/** Every choice of a few tasks that is closed under what they need and fits the time. */
function best(views: readonly TaskView[], able: readonly TaskView[], minutes: number): Set<string> {
  const done = new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
  const ordered = inOrder(views, new Set(able.map(({ task }) => task.id)));
  let found = { chosen: new Set<string>(), value: valueOf(views, new Set()) };
  const from = (i: number, chosen: Set<string>, left: number): void => {
    if (i === ordered.length) {
      const value = valueOf(views, chosen);
      if (isBetter(value, found.value)) found = { chosen: new Set(chosen), value };
      return;
    }
    const { task, minutes: own } = ordered[i]!;
    if (own <= left + 1e-9 && task.needs.every((id) => done.has(id) || chosen.has(id))) {
      chosen.add(task.id);
      from(i + 1, chosen, left - own);
      chosen.delete(task.id);
    }
    from(i + 1, chosen, left);
  };
  from(0, new Set(), minutes);
  return found.chosen;
}

/** For many tasks: what is missing for each waiting one is added whole, the most freed for its minutes first. */
function greedy(views: readonly TaskView[], able: readonly TaskView[], minutes: number): Set<string> {
  const ableIds = new Set(able.map(({ task }) => task.id));
  const byId = new Map(views.map((view) => [view.task.id, view]));
  const met = new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
  const waiting = views.filter(({ task, state }) => state === 'waits' && !task.waits);
  /** Who waits for a task. */
  const behind = new Map<string, TaskView[]>();
  for (const view of waiting) for (const id of view.task.needs) behind.set(id, [...(behind.get(id) ?? []), view]);
  const chosen = new Set<string>();
  const missing = (id: string, into: Set<string>): boolean => {
    if (met.has(id) || into.has(id)) return true;
    if (!ableIds.has(id) || !byId.get(id)!.task.needs.every((need) => missing(need, into))) return false;
    into.add(id);
    return true;
  };
  /** What doing these frees: others whose needs are then all met; less those of these that were free before. */
  const gainOf = (set: ReadonlySet<string>): number => {
    const freed = new Set<string>();
    for (const id of set)
      for (const { task } of behind.get(id) ?? [])
        if (!set.has(task.id) && task.needs.every((need) => met.has(need) || set.has(need))) freed.add(task.id);
    const before = [...set].filter(
      (id) => byId.get(id)!.state === 'waits' && byId.get(id)!.task.needs.every((need) => met.has(need)),
    );
    return freed.size - before.length;
  };
  for (let left = minutes; ;) {
    let pick: { set: Set<string>; gain: number; cost: number } | null = null;
    for (const { task } of waiting) {
      if (chosen.has(task.id)) continue;
      const set = new Set<string>();
      if (!task.needs.every((id) => missing(id, set)) || !set.size) continue;
      const cost = [...set].reduce((sum, id) => sum + byId.get(id)!.minutes, 0);
      if (cost > left + 1e-9) continue;
      const gain = gainOf(set);
      if (gain > 0 && (!pick || gain / cost > pick.gain / pick.cost)) pick = { set, gain, cost };
    }
    if (!pick) return chosen;
    for (const id of pick.set) {
      chosen.add(id);
      met.add(id);
    }
    left -= pick.cost;
  }
}

/**
 * A session within some minutes, for some people, without some tools: the most waiting tasks freed,
 * then the nearest gate, then fewer minutes; every choice is tried where there are few, else what is
 * missing for a waiting task is added whole. Nothing is in it whose needs are not done or in it.
 */
export function planSession(views: readonly TaskView[], means: SessionMeans): Session {
  const able = possible(views, means);
  const chosen = able.length <= EXACT_MOST ? best(views, able, means.minutes) : greedy(views, able, means.minutes);
  const value = valueOf(views, chosen);
  const rest: TaskView[] = [];
  const taken = new Set(chosen);
  const done = new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
  let left = means.minutes - value.minutes;
  for (const view of [...able].sort((a, b) => (a.task.gate?.on ?? NO_DAY).localeCompare(b.task.gate?.on ?? NO_DAY))) {
    if (taken.has(view.task.id) || view.minutes > left || !view.task.needs.every((id) => done.has(id) || taken.has(id))) continue;
    rest.push(view);
    taken.add(view.task.id);
    left -= view.minutes;
  }
  return { ...value, tasks: inOrder(views, chosen), besides: rest };
}
