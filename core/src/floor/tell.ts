import { freshIn, type Floor, type LookTaken, type PutOff, type Temporary } from '../plan/index.ts';
import type { Task } from './tasks.ts';

/** A task done: whatever was said of it before gives way. */
export const withDone = (floor: Floor, { id, stamp }: Pick<Task, 'id' | 'stamp'>, at: string, by = '', minutes: number | null = null): Floor => ({
  ...floor,
  done: [...floor.done.filter(({ task }) => task !== id), { task: id, at, by, minutes, stamp }],
  later: floor.later.filter(({ task }) => task !== id),
  looks: floor.looks.filter(({ task }) => task !== id),
}); // prettier-ignore

/** A joint that was tightened, with what the wrench said; it is done and shut. */
export const withTight = (floor: Floor, task: Pick<Task, 'id' | 'stamp'>, nm: number, at: string, by = ''): Floor => {
  const done = withDone(floor, task, at, by);
  return { ...done, tight: [...done.tight.filter(({ key }) => key !== task.id), { key: task.id, nm, at, opened: false }] };
};
/** A joint opened again: what was tightened counts no more. */
export const withOpened = (floor: Floor, id: string, at: string): Floor => {
  const was = floor.tight.find(({ key }) => key === id);
  return {
    ...floor,
    tight: [...floor.tight.filter(({ key }) => key !== id), { key: id, nm: was?.nm ?? 1, at: was?.at ?? at, opened: true }],
  };
};
export const withoutDone = (floor: Floor, id: string): Floor => ({
  ...floor,
  done: floor.done.filter(({ task }) => task !== id),
  tight: floor.tight.filter(({ key }) => key !== id),
  looks: floor.looks.filter(({ task }) => task !== id),
});
/** A look that was taken: good is done, not good stays open with what was seen. */
export const withLook = (floor: Floor, task: Pick<Task, 'id' | 'stamp'>, look: Omit<LookTaken, 'task'>): Floor => {
  const seen = withDone(floor, task, look.at);
  if (look.good) return seen;
  return { ...withoutDone(seen, task.id), looks: [...seen.looks, { task: task.id, ...look }] };
};
export const withLater = (floor: Floor, put: PutOff): Floor => ({
  ...floor,
  later: [...floor.later.filter(({ task }) => task !== put.task), put],
});
export const withoutLater = (floor: Floor, id: string): Floor => ({
  ...floor,
  later: floor.later.filter(({ task }) => task !== id),
});

export const withTemporary = (floor: Floor, held: Omit<Temporary, 'id' | 'closed'>): Floor => ({
  ...floor,
  temporary: [...floor.temporary, { id: freshIn('held', floor.temporary), ...held, closed: null }],
});
export const withClosed = (floor: Floor, id: string, on: string): Floor => ({
  ...floor,
  temporary: floor.temporary.map((one) => (one.id === id ? { ...one, closed: on } : one)),
});
export const withFound = (floor: Floor, task: string, what: string, at: string): Floor => ({
  ...floor,
  found: [...floor.found, { id: freshIn('found', floor.found), task, what, at }],
});
export const withOwn = (floor: Floor, name: string, gateId: string | null): Floor => ({
  ...floor,
  own: [...floor.own, { id: freshIn('own', floor.own), name, minutes: 15, people: 1, needs: [], gateId }],
});
