import { wholeView } from '../../rule-kit/whole-view.ts';
import { floorView, TASK_READS, type TaskView } from '../../../stations/fit/tasks/index.ts';
import { derive } from '../../../lib/derive/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What of a plan its tasks rest on. */
export const FLOOR_READS = TASK_READS;
type Read = Reading<(typeof FLOOR_READS)[number]>;
/** The tasks of a plan, with their recorded state. */
export const told = (view: Read): readonly TaskView[] => floorView(wholeView(view));
export const doneIds = (views: readonly TaskView[]): ReadonlySet<string> =>
  new Set(views.filter(({ state }) => state === 'done').map(({ task }) => task.id));

const NONE: ReadonlySet<string> = new Set();
const linesOf = derive(
  'lines that lie on the vehicle',
  (views: readonly TaskView[]) => [views],
  (views): ReadonlySet<string> =>
    new Set(
      views
        .filter(({ task, state }) => task.kind === 'run' && state === 'done')
        .map(({ task }) => task.place.id),
    ),
);
/** Lines that are fitted, by id: where their ends are was seen. One that was changed since is not. */
export const fittedLines = (view: Read): ReadonlySet<string> =>
  view.plan.floor.done.length ? linesOf(told(view)) : NONE;
