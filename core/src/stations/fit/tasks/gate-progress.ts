import { byDay } from '../gates/index.ts';
import type { Gate, SessionMeans } from '../../../plan/index.ts';
import type { TaskView } from './floor-view.ts';

/** What is left behind a gate. */
export interface GateProgress {
  readonly gate: Gate;
  /** Its own tasks. */
  readonly all: number;
  readonly left: readonly TaskView[];
  /** Of these and of all that they need first. */
  readonly minutes: number;
  /** Sessions that these take, each as long as the one that is planned. */
  readonly sessions: number;
}

/** Each gate with the work that is left for it, the first to close first. */
export function gateProgress(
  views: readonly TaskView[],
  gates: readonly Gate[],
  { minutes: sessionMinutes }: Pick<SessionMeans, 'minutes'>,
): GateProgress[] {
  const byId = new Map(views.map((view) => [view.task.id, view]));
  return [...gates].sort(byDay).map((gate) => {
    const own = views.filter(({ task }) => task.gate?.id === gate.id);
    const left = own.filter(({ state }) => state !== 'done');
    const first = new Set<TaskView>();
    const gather = (view: TaskView | undefined): void => {
      if (!view || view.state === 'done' || first.has(view)) return;
      first.add(view);
      view.task.needs.forEach((id) => gather(byId.get(id)));
    };
    left.forEach(gather);
    const minutes = [...first].reduce((sum, view) => sum + view.minutes, 0);
    return { gate, all: own.length, left, minutes, sessions: Math.ceil(minutes / sessionMinutes) };
  });
}
