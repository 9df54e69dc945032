import { derive } from '../../lib/derive/index.ts';
import type { AcceptedCaution, Plan, Ref } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { floorView, isAfterSigning, type TaskView } from '../fit/tasks/index.ts';
import { figuresDigest } from './digests.ts';
import { latestSignature, type LatestSignature } from './signature.ts';
import { followUps, NO_DAY, type FollowUpView, type Today } from './follow-ups.ts';
import { provingTests, type ProvingTest } from './test-results.ts';

/** What a rule found, as far as the sign-off reads it. */
export interface FoundSnag {
  readonly key: string;
  readonly rule: string;
  readonly level: 'stop' | 'caution' | 'note';
  readonly station: string;
  readonly place: Ref;
  readonly where: string;
  readonly text: string;
  readonly plain?: string;
  readonly repeats?: string;
}
export const ITEM_KINDS = ['blocker', 'caution', 'task', 'test'] as const;
/** One thing left before signing. A caution may be accepted by name and with a reason; nothing else may. */
export interface SignoffItem {
  readonly key: string;
  readonly kind: (typeof ITEM_KINDS)[number];
  /** The rule that found it; null for work, tests and what is recorded with them. */
  readonly rule: string | null;
  /** Where it is closed. */
  readonly station: string;
  readonly place: Ref;
  readonly where: string;
  readonly text: string;
  readonly accepted: Pick<AcceptedCaution, 'by' | 'at' | 'reason'> | null;
  /** What an acceptance of it rests on; empty where none is possible. */
  readonly figures: string;
  /** It blocks a move at walking pace too. */
  readonly grave: boolean;
}
export interface MaySign {
  readonly may: boolean;
  /** Why not; empty where it may. */
  readonly why: string;
}
/** What is left before a plan can be signed, and whether the latest signature is still valid. */
export interface Signoff {
  readonly items: readonly SignoffItem[];
  /** Names of the tasks and tests that are done and good. */
  readonly good: readonly string[];
  readonly road: MaySign;
  readonly move: MaySign;
  readonly signed: LatestSignature | null;
  readonly followUps: readonly FollowUpView[];
}

type Item = Omit<SignoffItem, 'accepted' | 'figures' | 'rule' | 'grave'> &
  Partial<Pick<SignoffItem, 'rule' | 'grave'>> & { readonly restsOn?: string };

const NAME_KEYS = new Set(['name', 'title']);
function collectNames(value: unknown, into: Set<string>): void {
  if (Array.isArray(value)) for (const one of value) collectNames(one, into);
  else if (value && typeof value === 'object')
    for (const [key, held] of Object.entries(value)) {
      if (NAME_KEYS.has(key) && typeof held === 'string' && held) into.add(held);
      else collectNames(held, into);
    }
}
/** Everything in a plan that has a name, the longest first: what is said of it stays the same under another. */
const namesOf = derive(
  'names in a plan',
  ({ parts, lines, hoses, circuits, things, points, gates, floor }: Plan) =>
    [parts, lines, hoses, circuits, things, points, gates, floor.own] as const,
  (...held): readonly string[] => {
    const names = new Set<string>();
    collectNames(held, names);
    return [...names].sort((a, b) => b.length - a.length);
  },
);
/** What a text says in figures, without the names in it. */
const withoutNames = (plan: Plan, text: string): string =>
  namesOf(plan).reduce((rest, name) => rest.replaceAll(name, '·'), text);

/** Of snags: every stop and every caution, but those that a task or a test says already. */
const snagItems = (snags: readonly FoundSnag[], said: ReadonlySet<string>): Item[] =>
  snags
    .filter(({ level, repeats }) => level !== 'note' && !said.has(repeats ?? ''))
    .map(({ key, rule, level, station, place, where, text, plain }) => ({
      key: `snag:${key}`,
      kind: level === 'stop' ? 'blocker' : 'caution',
      rule,
      station,
      place,
      where,
      text,
      restsOn: plain ?? text,
    }));

const TEST_WORDS = {
  bad: 'Not good.',
  void: 'No longer valid after a change.',
  open: 'Not done.',
  locked: 'Not done.',
} as const;
/** Tests without which nobody moves it: what holds, what leaks, what grips, what parks, a pedal that does not sink. */
const isGraveTest = ({ key, hold }: ProvingTest): boolean =>
  hold !== undefined ||
  key.startsWith('leak:') ||
  key.startsWith('grips:') ||
  key === 'parking' ||
  key === 'pedal-firm';
const testPlace = (plan: Plan, { key, hold }: ProvingTest): Ref => {
  const id = hold?.circuitId ?? key.slice(key.indexOf(':') + 1);
  return plan.circuits.some((circuit) => circuit.id === id)
    ? { kind: 'circuit', id }
    : { kind: 'plan', id: plan.id };
};
/** What is left of a test: of one that is read, what its readings say. */
const testText = ({
  state,
  note,
  reading,
}: ProvingTest & { readonly state: keyof typeof TEST_WORDS }): string =>
  reading && state !== 'bad' ? note : `${TEST_WORDS[state]}${note ? ` ${note}` : ''}`;
const testItems = (plan: Plan, tests: readonly ProvingTest[]): Item[] =>
  tests.flatMap((test): Item[] => {
    const item = {
      key: `test:${test.key}`,
      station: test.reading?.screen?.split('/')[0] ?? 'prove',
      place: testPlace(plan, test),
      where: test.name,
    };
    if (test.state !== 'done')
      return [
        {
          ...item,
          kind: 'test',
          text: testText({ ...test, state: test.state }),
          grave: isGraveTest(test) || test.state === 'bad',
        },
      ];
    return test.note && !test.hold && !test.reading
      ? [
          {
            ...item,
            key: `remark:${test.key}`,
            kind: 'caution',
            text: test.note,
            restsOn: test.note,
          },
        ]
      : [];
  });

/** Work that may stay undone with a reason: nothing holds fluid or a wheel by it. */
const MAY_STAY = new Set<TaskView['task']['kind']>(['own', 'label', 'paint', 'clean']);
function taskItems(plan: Plan, tasks: readonly TaskView[]): Item[] {
  const bad = new Map(
    plan.floor.looks.filter(({ good }) => !good).map((look) => [look.task, look.note]),
  );
  const putOff = new Map(plan.floor.later.map((one) => [one.task, one]));
  return tasks.flatMap(({ task, state, why }): Item[] => {
    if (state === 'done' || isAfterSigning(task.id)) return [];
    const later = putOff.get(task.id);
    const item = {
      key: `task:${task.id}`,
      station: 'fit',
      place: task.place,
      where: task.name,
      grave:
        task.joint !== undefined ||
        (task.fastener?.againKm ?? null) !== null ||
        task.kind === 'fill',
    };
    if (later && MAY_STAY.has(task.kind))
      return [
        {
          ...item,
          key: `later:${task.id}`,
          kind: 'caution',
          text: `Put off${later.until ? ` until ${later.until}` : ''}${later.why ? `: ${later.why}` : '.'}`,
          restsOn: JSON.stringify([task.id, later.until, later.why]),
        },
      ];
    const found = bad.get(task.id);
    return [
      {
        ...item,
        kind: 'task',
        text:
          found === undefined
            ? `Not done.${why ? ` ${why}` : ''}`
            : `Not good${found ? `: ${found}` : '.'}`,
      },
    ];
  });
}
/** Work that turned out otherwise than planned: whoever signs says that it may stay so. */
const deviationItems = (plan: Plan, tasks: readonly TaskView[]): Item[] => {
  const byId = new Map(tasks.map(({ task }) => [task.id, task]));
  return plan.floor.found.map(({ id, task: of, what }): Item => {
    const task = byId.get(of);
    return {
      key: `found:${id}`,
      kind: 'caution',
      station: 'fit',
      place: task?.place ?? { kind: 'plan', id: plan.id },
      where: task?.name ?? 'Work that is no longer planned',
      text: `Not as planned: ${what}`,
      restsOn: what,
    };
  });
};
const nothingItem = ({ plan, lines }: PlanView): Item[] =>
  lines.length || plan.hoses.length
    ? []
    : [
        {
          key: 'nothing',
          kind: 'blocker',
          station: 'route',
          place: { kind: 'plan', id: plan.id },
          where: plan.name,
          text: 'There is nothing to sign for: the plan has no lines and no hoses.',
        },
      ];

const settled = (plan: Plan, { restsOn, ...item }: Item): SignoffItem => {
  const figures =
    item.kind === 'caution' ? figuresDigest([item.key, withoutNames(plan, restsOn ?? '')]) : '';
  const accepted =
    item.kind === 'caution'
      ? plan.proving.accepted?.find((one) => one.key === item.key && one.figures === figures)
      : undefined;
  return {
    rule: null,
    ...item,
    figures,
    grave: item.kind === 'blocker' || (item.grave ?? false),
    accepted: accepted ? { by: accepted.by, at: accepted.at, reason: accepted.reason } : null,
  };
};

const counted = (count: number, one: string, many: string): string =>
  `${count} ${count === 1 ? one : many}`;
const KIND_WORDS = {
  blocker: ['blocker', 'blockers'],
  caution: ['caution to fix or accept', 'cautions to fix or accept'],
  task: ['task left', 'tasks left'],
  test: ['test left', 'tests left'],
} as const satisfies Record<SignoffItem['kind'], readonly [string, string]>;
/** What is left, in words: "2 blockers, 11 tasks left". */
export const leftWords = (items: readonly SignoffItem[]): string =>
  ITEM_KINDS.flatMap((kind) => {
    const count = items.filter((item) => item.kind === kind && !item.accepted).length;
    const [one, many] = KIND_WORDS[kind];
    return count ? counted(count, one, many) : [];
  }).join(', ');
const NO_WHY = { may: true, why: '' } as const;
function mayRoad(items: readonly SignoffItem[], checks: readonly FollowUpView[]): MaySign {
  const bad = checks.filter(({ state }) => state === 'bad');
  const left = [
    ...(items.some(({ accepted }) => !accepted) ? [leftWords(items)] : []),
    ...(bad.length
      ? [`${counted(bad.length, 'follow-up check', 'follow-up checks')} not good`]
      : []),
  ];
  return left.length ? { may: false, why: `Not ready for the road: ${left.join(', ')}.` } : NO_WHY;
}
function mayMove(items: readonly SignoffItem[]): MaySign {
  const grave = items.filter((item) => item.grave);
  return grave.length
    ? {
        may: false,
        why: `Tow it. ${grave[0]!.where}: ${grave[0]!.text}${grave.length > 1 ? ` And ${grave.length - 1} more.` : ''}`,
      }
    : NO_WHY;
}

/** Most that a signature lists by itself. */
const LISTED = 499;
/** What a signature for a move stands beside: everything that is left, in words. */
export function exceptionsOf(items: readonly SignoffItem[]): string[] {
  const left = items.filter(({ accepted }) => !accepted);
  const words = left.slice(0, LISTED).map(({ where, text }) => `${where}: ${text}`);
  return left.length > LISTED ? [...words, `And ${left.length - LISTED} more.`] : words;
}

/**
 * What is left before a plan can be signed: the one answer for the page, the command line and the pack. `snags` are
 * those of this same plan. A signature that is no longer valid blocks nothing: a new one replaces it.
 */
export function signoff(
  view: PlanView,
  snags: readonly FoundSnag[],
  today: Today = NO_DAY,
): Signoff {
  const { plan } = view;
  const tasks = floorView(view);
  const tests = provingTests(view);
  const checks = followUps(view, today);
  const recorded = [
    ...deviationItems(plan, tasks),
    ...taskItems(plan, tasks),
    ...testItems(plan, tests),
  ];
  // What a rule repeats counts as said there, done or not.
  const said = new Set([
    ...tasks.flatMap(({ task: { id } }) => [`task:${id}`, `later:${id}`]),
    ...tests.map(({ key }) => `test:${key}`),
    ...checks.map(({ key }) => `follow-up:${key}`),
    'signature',
  ]);
  const items = [...nothingItem(view), ...snagItems(snags, said), ...recorded].map((item) =>
    settled(plan, item),
  );
  // What was accepted comes after what is still open.
  const order = ({ kind, accepted }: SignoffItem): number =>
    2 * ITEM_KINDS.indexOf(kind) + (accepted ? 1 : 0);
  return {
    items: items.sort((a, b) => order(a) - order(b)),
    good: [
      ...tasks.flatMap(({ task, state }) => (state === 'done' ? [task.name] : [])),
      ...tests.flatMap(({ name, state }) => (state === 'done' ? [name] : [])),
    ],
    road: mayRoad(items, checks),
    move: mayMove(items),
    signed: latestSignature(view, checks),
    followUps: checks,
  };
}
