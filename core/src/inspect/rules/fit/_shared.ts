import { wholeView } from '../../rule-kit/whole-view.ts';
import { floorView, TASK_READS, type TaskView } from '../../../stations/fit/tasks/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What of a plan its tasks rest on. */
export const FLOOR_READS = TASK_READS;
type Read = Reading<(typeof FLOOR_READS)[number]>;
/** Tasks, or none while no work has been recorded. */
export const told = (view: Read): readonly TaskView[] =>
  view.plan.floor ? floorView(wholeView(view)) : [];
export const doneIds = (views: readonly TaskView[]): ReadonlySet<string> =>
  new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
