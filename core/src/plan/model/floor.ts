import {
  choice,
  flag,
  id,
  list,
  name,
  nullable,
  number,
  once,
  optional,
  over,
  record,
  ref,
  note,
  text,
  time,
  day,
  oneOf,
  told,
  noted,
} from './field.ts';
import { type Field } from './field-types.ts';

/** Work that was done: which task, when, by whom, and how long it took where that was said. */
export interface WorkDone {
  readonly task: string;
  readonly at: string;
  readonly by: string;
  readonly minutes: number | null;
  /** Of what it was done to: once that is otherwise it is to be done again. */
  readonly stamp: string;
}
/** What a wrench said of a joint or a fastener. */
export interface Tightening {
  readonly key: string;
  readonly nm: number;
  readonly at: string;
  /** Opened since: it is tight no more. */
  readonly opened: boolean;
  /** Whether its washers were new when it was tightened again. */
  readonly washers?: 'new' | 'reused';
}
/** Property classes of metric bolts, and grades of inch ones. */
const BOLT_CLASSES = {
  '8.8': '8.8',
  '10.9': '10.9',
  '12.9': '12.9',
  'grade-2': 'inch, grade 2',
  'grade-5': 'inch, grade 5',
  'grade-8': 'inch, grade 8',
} as const;
export type BoltClass = keyof typeof BOLT_CLASSES;
/** What a fastener is to be tightened to, where it is no joint of the plan. */
export interface WantedTorque {
  readonly key: string;
  /** Of one that follows from no part of the plan: what it is. */
  readonly name?: string;
  /** How many there are, tightened together. */
  readonly count?: number;
  /** "M10", "M12x1.5", "7/16-20", as it is written on the sheet. */
  readonly thread?: string;
  readonly propertyClass?: BoltClass;
  readonly nm: number | null;
  readonly source: string;
  readonly state: 'dry' | 'oiled' | 'locked' | 'precoated';
  readonly fastener: 'new' | 'reused';
}
/** Something put off, with its day and why. */
export interface PutOff {
  readonly task: string;
  readonly until: string | null;
  readonly why: string;
}
/** Held for now by something that must come off again. */
export const HELD_BY = ['zip-tie', 'clip', 'plastic-shim', 'clamp', 'other'] as const;
export interface TemporaryFix {
  readonly id: string;
  readonly what: string;
  readonly by: (typeof HELD_BY)[number];
  /** The task at which it was done. */
  readonly task?: string;
  readonly since: string;
  readonly closed: string | null;
}
/** Found otherwise than planned: a hole that was off, a flat that was filed. */
export interface Deviation {
  readonly id: string;
  readonly task: string;
  readonly what: string;
  readonly at: string;
}
/** A task of the user's own. */
export interface OwnTask {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly people: number;
  readonly needs: readonly string[];
  readonly gateId: string | null;
}
/** A look that was taken, and whether what was seen is good. */
export interface Inspection {
  readonly task: string;
  readonly good: boolean;
  readonly note: string;
  readonly at: string;
}
/** What there is for a session. */
export interface SessionMeans {
  readonly minutes: number;
  readonly people: number;
  readonly lacks: readonly string[];
  /** The day it was begun: stands and chocks are looked at anew in each. */
  readonly on?: string;
}
/** Everything told on the floor. */
export interface Floor {
  readonly done: readonly WorkDone[];
  readonly tight: readonly Tightening[];
  readonly wanted: readonly WantedTorque[];
  readonly later: readonly PutOff[];
  readonly temporary: readonly TemporaryFix[];
  readonly found: readonly Deviation[];
  readonly own: readonly OwnTask[];
  readonly looks: readonly Inspection[];
  readonly session: SessionMeans;
}
export const NO_FLOOR: Floor = {
  done: [],
  tight: [],
  wanted: [],
  later: [],
  temporary: [],
  found: [],
  own: [],
  looks: [],
  session: { minutes: 120, people: 1, lacks: [] },
};

const key = name;
const minutes = number(0, 100_000);
export const TEMPORARY = record<TemporaryFix>()(
  {
    id,
    what: told('What', name),
    by: told(
      'Held by',
      oneOf(HELD_BY, {
        'zip-tie': 'a zip tie',
        clip: 'a clip',
        'plastic-shim': 'a plastic shim',
        clamp: 'a clamp',
        other: 'something else',
      }),
    ),
    task: told('Task', optional(noted(key))),
    since: told('Since', day),
    closed: told('Closed', nullable(day)),
  },
  {
    about: {
      kind: 'temporaryFix',
      prefix: 'held',
      noun: 'temporary fix',
      named: ({ what }) => what,
    },
  },
);
export const OWN_TASK = record<OwnTask>()(
  {
    id,
    name,
    minutes: told('Time needed', minutes),
    people: told('People', number(1, 20, { whole: true })),
    needs: told('Comes after', once(key, 100) as Field<readonly string[]>),
    gateId: told('Before this closes', nullable(ref('gate')), { none: 'no gate' }),
  },
  {
    about: { kind: 'ownTask', prefix: 'own', noun: 'task of your own', named: ({ name }) => name },
  },
);
export const WANTED = record<WantedTorque>()(
  {
    key: told('Fastener', key),
    name: told('Name', optional(name)),
    count: told('How many', optional(number(1, 40, { whole: true }))),
    thread: told('Thread', optional(name)),
    propertyClass: told('Class on its head', optional(choice(BOLT_CLASSES)), { none: 'not known' }),
    nm: told('Torque', nullable(over(10_000))),
    source: told('Source', text),
    state: told(
      'Threads',
      choice({
        dry: 'dry',
        oiled: 'oiled',
        locked: 'thread locker put on',
        precoated: 'precoated',
      }),
    ),
    fastener: told('New or used', choice({ new: 'new', reused: 'used before' })),
  },
  {
    about: {
      kind: 'wantedTorque',
      prefix: 'wantedTorque',
      noun: 'torque wanted',
      named: ({ key: of, name: called }) => called ?? of,
      key: 'key',
      unlisted: true,
    },
  },
);
export const SESSION_MEANS = record<SessionMeans>()({
  minutes: told('Time available', number(1, 10_000)),
  people: told('People', number(1, 20, { whole: true })),
  lacks: told('Tools not there', once(key, 200) as Field<readonly string[]>),
  on: told('Day', optional(day)),
});
const WORK_DONE = record<WorkDone>()(
  {
    task: told('Task', key),
    at: told('Time', time),
    by: told('By', noted(text)),
    minutes: told('Time taken', nullable(minutes)),
    stamp: told('Done to', text),
  },
  {
    about: {
      kind: 'workDone',
      prefix: 'workDone',
      noun: 'task done',
      named: ({ task }) => task,
      key: 'task',
      unlisted: true,
    },
  },
);
const TIGHTENING = record<Tightening>()(
  {
    key: told('Joint', key),
    nm: told('Torque', over(10_000)),
    at: told('Time', time),
    opened: told('Opened since', flag),
    washers: told('Washers', optional(choice({ new: 'new', reused: 'used before' }))),
  },
  {
    about: {
      kind: 'tightening',
      prefix: 'tightening',
      noun: 'torque recorded',
      named: ({ key: of }) => of,
      key: 'key',
      unlisted: true,
    },
  },
);
const PUT_OFF = record<PutOff>()(
  { task: told('Task', key), until: told('Until', nullable(day)), why: told('Reason', note) },
  {
    about: {
      kind: 'putOff',
      prefix: 'putOff',
      noun: 'task put off',
      named: ({ task }) => task,
      key: 'task',
      unlisted: true,
    },
  },
);
const DEVIATION = record<Deviation>()(
  { id, task: told('Task', key), what: told('What', name), at: told('Time', noted(time)) },
  { about: { kind: 'deviation', prefix: 'found', noun: 'deviation', named: ({ what }) => what } },
);
const INSPECTION = record<Inspection>()(
  {
    task: told('Task', key),
    good: told('Good', flag),
    note: told('Observation', text),
    at: told('Time', time),
  },
  {
    about: {
      kind: 'inspection',
      prefix: 'inspection',
      noun: 'inspection',
      named: ({ task }) => task,
      key: 'task',
      unlisted: true,
    },
  },
);
export const FLOOR = record<Floor>()({
  done: told('Done', list(WORK_DONE, 20_000)),
  tight: told('Torque recorded', list(TIGHTENING, 20_000)),
  wanted: told('Torque required', list(WANTED, 5000)),
  later: told('Put off', list(PUT_OFF, 5000)),
  temporary: told('Temporary fixes', list(TEMPORARY, 2000)),
  found: told('Deviations', list(DEVIATION, 5000)),
  own: told('Own tasks', list(OWN_TASK, 500)),
  looks: told('Inspections', list(INSPECTION, 5000)),
  session: told('Session', SESSION_MEANS),
});
