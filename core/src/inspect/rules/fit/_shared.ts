import { wholeView } from '../../rule-kit/whole-view.ts';
import { floorView, TASK_READS, type TaskView } from '../../../stations/fit/tasks/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What of a plan its tasks rest on. */
export const FLOOR_READS = TASK_READS;
type Read = Reading<(typeof FLOOR_READS)[number]>;
/** The tasks of a plan, with their recorded state. */
export const told = (view: Read): readonly TaskView[] => floorView(wholeView(view));
export const doneIds = (views: readonly TaskView[]): ReadonlySet<string> =>
  new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));
