import type { TaskView } from './floor-view.ts';

/** Tasks that a task of the user's own may wait for: all but itself and what already waits for it. */
export function possiblePrerequisites(views: readonly TaskView[], id: string): TaskView[] {
  const behind = new Set([id]);
  for (let grew = true; grew;) {
    grew = false;
    for (const { task } of views)
      if (!behind.has(task.id) && task.needs.some((need) => behind.has(need))) {
        behind.add(task.id);
        grew = true;
      }
  }
  return views.filter(({ task }) => !behind.has(task.id));
}
