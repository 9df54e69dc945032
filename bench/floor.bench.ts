import { floorView, planSession, tasksOf } from '../core/src/stations/fit/tasks/index.ts';
import { applyEdit } from '../core/src/plan/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { inspect } from '../core/src/inspect/index.ts';
import { bigPlan, middleMs } from './lines.ts';

/** Tasks of a plan of 300 lines: 20 ms asked, 2 ms after an edit; a session planned: 200 ms. */
export function benchFloor(): void {
  const plan = bigPlan(300);
  inspect(plan);
  const view = viewPlan(plan);
  const first = middleMs(7, () => void tasksOf({ ...view, lines: [...view.lines] }));
  const views = plan.lines
    .slice(0, 25)
    .map(({ id }, i) =>
      viewPlan(applyEdit(plan, { edit: 'changeLine', with: { id, patch: { title: `t${i}` } } })),
    );
  let i = 0;
  const after = middleMs(25, () => void tasksOf(views[i++ % 25]!));
  views.forEach((one) => tasksOf(one));
  const standing = middleMs(5, () => void floorView(views[i++ % 25]!));
  const tasks = floorView(view);
  const session = middleMs(
    5,
    () => void planSession(tasks, { minutes: 240, people: 2, lacks: [] }),
  );
  const missed = [first > 20, after > 2, session > 200].some(Boolean);
  console.log(
    `floor of 300 lines, ${tasks.length} tasks: ${first.toFixed(1)} ms (20 asked), after an edit ${after.toFixed(1)} ms (2), how each stands ${standing.toFixed(1)} ms, a session ${session.toFixed(0)} ms (200)${missed ? ' NOT MET' : ''}`,
  );
}
