import { derive } from '../../../lib/derive/index.ts';
import { type Floor } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import type { Task, TaskKind } from './task.ts';
import { tasksOf } from './tasks.ts';

export type TaskState = 'done' | 'now' | 'later' | 'waits';
export interface TaskView {
  readonly task: Task;
  readonly state: TaskState;
  /** Why it waits, in one line; else empty. */
  readonly why: string;
  readonly minutes: number;
}

/** Whether a task is done: told so; tight, where a wrench said so and nothing was opened since; good, where it is a look; recorded at another station. */
export function doneIn(
  floor: Floor,
): (task: Pick<Task, 'id' | 'kind' | 'stamp' | 'isKnown'>) => boolean {
  const told = new Map(floor.done.map(({ task, stamp }) => [task, stamp]));
  const opened = new Set(floor.tight.filter((one) => one.opened).map(({ key }) => key));
  const bad = new Map(floor.looks.map((look) => [look.task, look.good]));
  return ({ id, kind, stamp, isKnown }) =>
    isKnown === true ||
    (told.get(id) === stamp && !opened.has(id) && !(kind === 'look' && bad.get(id) === false));
}

/** How long work of each kind took so far: the median of what was timed, else common practice. */
function minutesOf(tasks: readonly Task[], floor: Floor): (task: Task) => number {
  const kindOf = new Map(tasks.map(({ id, kind }) => [id, kind]));
  const timed = new Map<TaskKind, number[]>();
  for (const { task, minutes } of floor.done) {
    const kind = kindOf.get(task);
    if (kind && minutes !== null) timed.set(kind, [...(timed.get(kind) ?? []), minutes]);
  }
  return ({ kind, minutes }) => {
    const own = (timed.get(kind) ?? []).toSorted((a, b) => a - b);
    return kind !== 'own' && kind !== 'bracket' && own.length >= 3
      ? own[own.length >> 1]!
      : minutes;
  };
}

/** Every task with how it stands: done, possible now, put off, or waiting and for what. */
export const floorView = derive(
  'floor',
  (view: PlanView) => [tasksOf(view), view.plan.floor],
  (tasks, floor): readonly TaskView[] => {
    const isDone = doneIn(floor);
    const byId = new Map(tasks.map((task) => [task.id, task]));
    const later = new Map(floor.later.map((one) => [one.task, one]));
    const minutes = minutesOf(tasks, floor);
    return tasks.map((task): TaskView => {
      const view = { task, minutes: minutes(task) };
      if (isDone(task)) return { ...view, state: 'done', why: '' };
      if (task.waits) return { ...view, state: 'waits', why: task.waits };
      const open = task.needs.filter((id) => !isDone(byId.get(id)!));
      if (open.length)
        return {
          ...view,
          state: 'waits',
          why: `After: ${byId.get(open[0]!)!.name}${open.length > 1 ? `, and ${open.length - 1} more` : ''}`,
        };
      const off = later.get(task.id);
      return off
        ? {
            ...view,
            state: 'later',
            why: `Put off${off.until ? `, until ${off.until}` : ''}${off.why ? `: ${off.why}` : ''}`,
          }
        : { ...view, state: 'now', why: '' };
    });
  },
);

/** Work that was done to something that is otherwise now. What is done anew in each session is not undone by it. */
export function undone(
  tasks: readonly Task[],
  floor: Floor,
): { readonly task: Task; readonly at: string }[] {
  const told = new Map(floor.done.map((one) => [one.task, one]));
  return tasks.flatMap((task) => {
    const done = told.get(task.id);
    return done && done.stamp !== task.stamp && task.kind !== 'safety'
      ? [{ task, at: done.at }]
      : [];
  });
}

/** Done work that a change would undo: what it was done to is altered, or gone. */
export function undoes(was: PlanView, is: PlanView): Task[] {
  const floor = was.plan.floor;
  if (!floor.done.length) return [];
  const told = new Map(floor.done.map((one) => [one.task, one.stamp]));
  const still = new Map(tasksOf(is).map(({ id, stamp }) => [id, stamp]));
  return tasksOf(was).filter(
    ({ id, kind, stamp }) => kind !== 'safety' && told.get(id) === stamp && still.get(id) !== stamp,
  );
}

/** The newest day that anything was told on the floor; before anything was, an empty text. */
export const newestDay = ({ done, tight, looks, session }: Floor): string =>
  [...done, ...tight, ...looks]
    .reduce((newest, { at }) => (at > newest ? at : newest), session.on ?? '')
    .slice(0, 10);
