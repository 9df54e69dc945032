import {
  freshIn,
  type Floor,
  type LookTaken,
  type OwnTask,
  type PutOff,
  type Temporary,
  type Tightened,
  type Wanted,
} from '../../../plan/index.ts';
import type { Task } from './task.ts';

/** A task done: whatever was said of it before gives way. */
export const withDone = (
  floor: Floor,
  { id, stamp }: Pick<Task, 'id' | 'stamp'>,
  at: string,
  by = '',
  minutes: number | null = null,
): Floor => ({
  ...floor,
  done: [...floor.done.filter(({ task }) => task !== id), { task: id, at, by, minutes, stamp }],
  later: floor.later.filter(({ task }) => task !== id),
  looks: floor.looks.filter(({ task }) => task !== id),
});

/** A joint or a fastener that was tightened, with what the wrench said, and of one opened before whether its washers were new. */
export const withTight = (
  floor: Floor,
  task: Pick<Task, 'id' | 'stamp'>,
  nm: number,
  at: string,
  by = '',
  washers?: Tightened['washers'],
): Floor => {
  const done = withDone(floor, task, at, by);
  return {
    ...done,
    tight: [
      ...done.tight.filter(({ key }) => key !== task.id),
      { key: task.id, nm, at, opened: false, ...(washers ? { washers } : {}) },
    ],
  };
};
/** What a fastener is to be tightened to; one with a name of its own follows from no part. */
export const withWanted = (floor: Floor, wanted: Wanted): Floor => ({
  ...floor,
  wanted: [...floor.wanted.filter(({ key }) => key !== wanted.key), wanted],
});
/** A fastener that the plan knows nothing of. */
export const withFastener = (floor: Floor, name: string): Floor => {
  const keys = floor.wanted.map(({ key }) => ({ id: key }));
  return withWanted(floor, {
    key: freshIn('fastener', keys),
    name,
    nm: null,
    source: '',
    state: 'dry',
    fastener: 'new',
  });
};
/** A joint opened again: what was tightened counts no more. */
export const withOpened = (floor: Floor, id: string, at: string): Floor => {
  const was = floor.tight.find(({ key }) => key === id);
  return {
    ...floor,
    tight: [
      ...floor.tight.filter(({ key }) => key !== id),
      { key: id, nm: was?.nm ?? 1, at: was?.at ?? at, opened: true },
    ],
  };
};
export const withoutDone = (floor: Floor, id: string): Floor => ({
  ...floor,
  done: floor.done.filter(({ task }) => task !== id),
  tight: floor.tight.filter(({ key }) => key !== id),
  looks: floor.looks.filter(({ task }) => task !== id),
});
/** A look that was taken: good is done, not good stays open with what was seen. */
export const withLook = (
  floor: Floor,
  task: Pick<Task, 'id' | 'stamp'>,
  look: Omit<LookTaken, 'task'>,
): Floor => {
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
  own: [
    ...floor.own,
    { id: freshIn('own', floor.own), name, minutes: 15, people: 1, needs: [], gateId },
  ],
});
export const withOwnChanged = (
  floor: Floor,
  id: string,
  patch: Partial<Omit<OwnTask, 'id'>>,
): Floor => ({
  ...floor,
  own: floor.own.map((own) => (own.id === id ? { ...own, ...patch } : own)),
});
/** Takes a task or a fastener of the user's own away, with all that was told of it; nothing waits for it any more. */
export const withoutOwn = (floor: Floor, task: string): Floor => ({
  ...withoutLater(withoutDone(floor, task), task),
  own: floor.own
    .filter(({ id }) => `own:${id}` !== task)
    .map((own) =>
      own.needs.includes(task) ? { ...own, needs: own.needs.filter((need) => need !== task) } : own,
    ),
  wanted: floor.wanted.filter(({ key }) => key !== task),
});
/** A session begun on a day: what is looked at anew in each is looked at again. */
export const withSession = (floor: Floor, on: string): Floor => ({
  ...floor,
  session: { ...floor.session, on },
});
