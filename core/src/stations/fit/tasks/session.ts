import type { SessionMeans } from '../../../plan/index.ts';
import type { TaskView } from './floor-view.ts';
import type { Task } from './task.ts';

/** What of a task a session is planned by. */
export interface Plannable extends Pick<TaskView, 'state' | 'minutes'> {
  readonly task: Pick<Task, 'id' | 'needs' | 'waits' | 'people' | 'tools' | 'gate'>;
}

/** What a session is worth: waiting tasks it frees, the day of the nearest gate it serves, its minutes. */
export interface SessionValue {
  readonly freed: number;
  readonly gateOn: string;
  readonly minutes: number;
}
export interface Session<T extends Plannable> extends SessionValue {
  /** Tasks in an order in which each comes after what it needs. */
  readonly tasks: readonly T[];
  /** What fits into the rest of the time besides, and frees nothing yet. */
  readonly besides: readonly T[];
}

/** So many tasks that may be done in a session are tried in every choice. */
const EXACT_MOST = 15;
const NO_DAY = '9999-99-99';

/** More freed, then the nearer gate, then fewer minutes. */
export const isBetter = (a: SessionValue, b: SessionValue): boolean =>
  a.freed !== b.freed
    ? a.freed > b.freed
    : a.gateOn !== b.gateOn
      ? a.gateOn < b.gateOn
      : a.minutes < b.minutes;

/** Tasks that are open and that these people with these tools could do once what they need is done. */
function possible<T extends Plannable>(views: readonly T[], { people, lacks }: SessionMeans): T[] {
  const able = new Set(
    views
      .filter(
        ({ task, state }) =>
          state !== 'done' &&
          state !== 'later' &&
          !task.waits &&
          task.people <= people &&
          !task.tools.some((tool) => lacks.includes(tool)),
      )
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
export function valueOf(views: readonly Plannable[], chosen: ReadonlySet<string>): SessionValue {
  const done = new Set(
    views
      .filter(({ state, task }) => state === 'done' || chosen.has(task.id))
      .map(({ task }) => task.id),
  );
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
export function inOrder<T extends Plannable>(
  views: readonly T[],
  chosen: ReadonlySet<string>,
): T[] {
  const own = new Map(
    views.flatMap((view) => (chosen.has(view.task.id) ? [[view.task.id, view] as const] : [])),
  );
  const placed = new Map<string, T>();
  const begun = new Set<string>();
  const place = (view: T): void => {
    if (begun.has(view.task.id)) return;
    begun.add(view.task.id);
    for (const id of view.task.needs) if (own.has(id)) place(own.get(id)!);
    placed.set(view.task.id, view);
  };
  own.forEach(place);
  return [...placed.values()];
}

/** Every choice of a few tasks that is closed under what they need and fits the time. */
function best(
  views: readonly Plannable[],
  able: readonly Plannable[],
  minutes: number,
): Set<string> {
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
function greedy(
  views: readonly Plannable[],
  able: readonly Plannable[],
  minutes: number,
): Set<string> {
  const indexOf = new Map(views.map(({ task }, i) => [task.id, i]));
  const needs = views.map(({ task }) => task.needs.map((id) => indexOf.get(id)!));
  const behind: number[][] = views.map(() => []);
  needs.forEach((list, i) => list.forEach((need) => behind[need]!.push(i)));
  const isMet = views.map(({ state }) => state === 'done');
  const isAble = views.map(() => false);
  for (const { task } of able) isAble[indexOf.get(task.id)!] = true;
  const waits = views.map(({ task, state }) => state === 'waits' && !task.waits);
  /** Needs of a task that are not met; what they are comes down with each that is chosen. */
  const unmet = needs.map((list) => list.filter((need) => !isMet[need]).length);
  const chosen = new Set<number>();
  // Marks of the set that is looked at: no list is cleared between two.
  let turn = 0;
  const [begunIn, gatheredIn, countedIn, counted] = [0, 0, 0, 0].map(
    () => new Int32Array(views.length),
  ) as [Int32Array, Int32Array, Int32Array, Int32Array];
  let budget = 0;
  /** Gathers what a task still needs, itself included; false where it cannot be had within the minutes, or comes round to itself. */
  const gather = (i: number, into: number[]): boolean => {
    if (isMet[i] || gatheredIn[i] === turn) return true;
    if (!isAble[i] || begunIn[i] === turn || (budget -= views[i]!.minutes) < -1e-9) return false;
    begunIn[i] = turn;
    for (const need of needs[i]!) if (!gather(need, into)) return false;
    gatheredIn[i] = turn;
    into.push(i);
    return true;
  };
  /** What doing these frees: others whose needs are then all met; less those of these that were free before. */
  const gainOf = (set: readonly number[]): number => {
    let gain = 0;
    for (const i of set) {
      if (waits[i] && unmet[i] === 0) gain--;
      for (const t of behind[i]!) {
        if (!waits[t] || gatheredIn[t] === turn) continue;
        counted[t] = countedIn[t] === turn ? counted[t]! + 1 : 1;
        countedIn[t] = turn;
        if (counted[t] === unmet[t]) gain++;
      }
    }
    return gain;
  };
  for (let left = minutes; ;) {
    let pick: { set: number[]; gain: number; cost: number } | null = null;
    for (let i = 0; i < views.length; i++) {
      if (!waits[i] || chosen.has(i)) continue;
      turn++;
      budget = left;
      const set: number[] = [];
      if (!needs[i]!.every((need) => gather(need, set)) || !set.length) continue;
      const cost = left - budget;
      const gain = gainOf(set);
      if (gain > 0 && (!pick || gain / cost > pick.gain / pick.cost)) pick = { set, gain, cost };
    }
    if (!pick) return new Set([...chosen].map((i) => views[i]!.task.id));
    for (const i of pick.set) {
      chosen.add(i);
      isMet[i] = true;
      for (const t of behind[i]!) unmet[t]!--;
    }
    left -= pick.cost;
  }
}

/**
 * A session within some minutes, for some people, without some tools: the most waiting tasks freed,
 * then the nearest gate, then fewer minutes; every choice is tried where there are few, else what is
 * missing for a waiting task is added whole. Nothing is in it whose needs are not done or in it.
 */
export function planSession<T extends Plannable>(
  views: readonly T[],
  means: SessionMeans,
): Session<T> {
  const able = possible(views, means);
  const chosen =
    able.length <= EXACT_MOST
      ? best(views, able, means.minutes)
      : greedy(views, able, means.minutes);
  const value = valueOf(views, chosen);
  const rest: T[] = [];
  const taken = new Set(chosen);
  const done = new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
  let left = means.minutes - value.minutes;
  for (const view of [...able].sort((a, b) =>
    (a.task.gate?.on ?? NO_DAY).localeCompare(b.task.gate?.on ?? NO_DAY),
  )) {
    if (
      taken.has(view.task.id) ||
      view.minutes > left ||
      !view.task.needs.every((id) => done.has(id) || taken.has(id))
    )
      continue;
    rest.push(view);
    taken.add(view.task.id);
    left -= view.minutes;
  }
  return { ...value, tasks: inOrder(views, chosen), besides: rest };
}
