import { fluidIn, replay, reservoirParts } from '../fill/index.ts';
import { floorView, torqueOf, type TaskView } from '../fit/tasks/index.ts';
import type { Floor, Plan, SignOff } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { provingTests, type ProvingTest } from './test-results.ts';
import { signedDigest } from './digests.ts';

/** Something that stands in the way of signing. */
export interface OpenPoint {
  readonly key: string;
  readonly text: string;
  /** The station where it is closed. */
  readonly station: string;
  /** Nobody may sign over it, not even for a move at walking pace. */
  readonly never: boolean;
}
/** What a rule found, as far as it stands in the way. */
export interface FoundSnag {
  readonly key: string;
  readonly rule: string;
  readonly level: 'stop' | 'caution' | 'note';
  readonly station: string;
  readonly where: string;
  readonly text: string;
}
/** A guess that a verdict rests on, by the rules that say so. */
const GUESSES = new Set([
  'guess-unmeasured',
  'figures-guessed',
  'thread-trusted',
  'thread-unknown',
  'cut-unsure',
]);
/** A place no longer counts once its line is fitted and looked at; its thread and its figures still do. */
const PLACE_GUESSES = new Set(['guess-unmeasured', 'cut-unsure']);
/**
 * Stops that another point repeats, one that nobody may sign over either: a hold and a leak by their test. An earlier
 * signature that is void is no obstacle to a new one.
 */
const STOPS_REPEATED = new Set(['hold-missing', 'leak-open', 'changed-since-proved']);

type Points = readonly OpenPoint[];
const point = (key: string, text: string, station: string, never = false): OpenPoint => ({
  key,
  text,
  station,
  never,
});
const counted = (count: number, one: string, many: string): string =>
  `${count} ${count === 1 ? one : many}`;

function snagPoints(snags: readonly FoundSnag[], isFitted: boolean): Points {
  return snags.flatMap(({ key, rule, level, where, text, station }) => {
    if (level === 'stop' && !STOPS_REPEATED.has(rule))
      return [point(`snag:${key}`, `${where}: ${text}`, station, true)];
    return GUESSES.has(rule) && !(isFitted && PLACE_GUESSES.has(rule))
      ? [point(`guess:${key}`, `${where}: ${text}`, station)]
      : [];
  });
}

const TEST_WORDS = {
  bad: 'not good',
  void: 'no longer valid after a change',
  open: 'not done',
  locked: 'not done',
  done: '',
} as const;
/** Tests that nobody may sign over: what holds, what leaks, what grips, what parks, a firm pedal. */
const isGrave = ({ key, hold }: ProvingTest): boolean =>
  hold !== undefined ||
  key.startsWith('leak:') ||
  key.startsWith('grips:') ||
  key === 'parking' ||
  key === 'pedal-firm';
const testPoints = (tests: readonly ProvingTest[]): Points =>
  tests.flatMap((test) => {
    const word = TEST_WORDS[test.state];
    const text = `${test.name}: ${word}.${test.note ? ` ${test.note}` : ''}`;
    const never = isGrave(test) || test.state === 'bad';
    return word ? [point(`round:${test.key}`, text, 'prove', never)] : [];
  });

/** Joints and fasteners that are not tight, torques without a figure or a source, checks that are not taken. */
function taskPoints(tasks: readonly TaskView[], floor: Floor): Points {
  const loose = tasks.filter(
    ({ task, state }) => (task.joint || task.fastener) && state !== 'done',
  );
  const joints = loose.flatMap(({ task: { joint } }) => (joint ? [joint.name] : []));
  const bolts = loose.filter(({ task }) => task.fastener && !task.needs.includes('drive'));
  const bare = tasks.filter(({ task, state }) => {
    const torque = state === 'done' ? torqueOf(task, floor) : null;
    return torque?.verdict === 'no-figure' || torque?.source === '';
  });
  const looks = tasks.filter(({ task, state }) => task.kind === 'look' && state !== 'done');
  const names = `${joints.slice(0, 3).join('; ')}${joints.length > 3 ? '; …' : ''}`;
  return [
    ...(joints.length
      ? [
          point(
            'joints',
            `${counted(joints.length, 'joint is', 'joints are')} not marked tight: ${names}.`,
            'fit',
            true,
          ),
        ]
      : []),
    ...(bolts.length
      ? [
          point(
            'bolts',
            `${counted(bolts.length, 'fastener is', 'fasteners are')} not marked tight.`,
            'fit',
          ),
        ]
      : []),
    ...(bare.length
      ? [
          point(
            'sources',
            `${counted(bare.length, 'torque has', 'torques have')} no figure or no source.`,
            'fit',
          ),
        ]
      : []),
    ...(looks.length
      ? [
          point(
            'looks',
            `${counted(looks.length, 'inspection', 'inspections')} not done or failed.`,
            'fit',
          ),
        ]
      : []),
  ];
}

function fluidPoints(plan: Plan): Points {
  const unknown = reservoirParts(plan.parts).filter(
    (part) => part.kept && part.family === null && !fluidIn(plan, part.id).wasId,
  );
  const felt = plan.filling.runs.map((run) => replay(run).state.felt).at(-1);
  const soft =
    felt === null
      ? 'The last bleeding run is not finished.'
      : `After the last bleed the pedal was recorded as ${felt === 'sinks' ? 'sinking' : felt}.`;
  return [
    ...(unknown.length
      ? [
          point(
            'fluid',
            `The fluid is not recorded for ${unknown.map(({ name }) => name).join(', ')}.`,
            'fill',
            true,
          ),
        ]
      : []),
    ...(felt !== undefined && felt !== 'firm' ? [point('felt', soft, 'fill')] : []),
  ];
}

/** All that stands in the way of signing, in the order in which it is worth closing: each once. */
export function openPoints(view: PlanView, snags: readonly FoundSnag[]): OpenPoint[] {
  const { plan, lines } = view;
  const tasks = floorView(view);
  const isFitted =
    tasks.length > 0 &&
    tasks
      .filter(({ task }) => task.kind === 'run' || task.kind === 'look')
      .every(({ state }) => state === 'done');
  const nothing = 'Nothing to sign for: the plan has no lines and no hoses.';
  const noParking = 'The plan has no parking brake, and none is tested.';
  return [
    ...(lines.length || plan.hoses.length ? [] : [point('nothing', nothing, 'route', true)]),
    ...snagPoints(snags, isFitted),
    ...testPoints(provingTests(view)),
    ...(!plan.parking && plan.sizing && plan.sizing.category !== 'competition'
      ? [point('no-parking', noParking, 'size', true)]
      : []),
    ...taskPoints(tasks, plan.floor),
    ...plan.floor.temporary
      .filter(({ closed }) => closed === null)
      .map(({ id, what, by }) =>
        point(`held:${id}`, `${what} has a temporary fix (${by.replace('-', ' ')}).`, 'fit'),
      ),
    ...lines
      .filter(({ line: { ends } }) => !ends.a.portId || !ends.b.portId)
      .map(({ line }) => point(`end:${line.id}`, `${line.name} has an open end.`, 'route', true)),
    ...fluidPoints(plan),
  ];
}

export interface MaySign {
  readonly may: boolean;
  readonly why: string;
}
/** Whether it may be signed: for the road with nothing open; for a move at walking pace on closed ground with every exception named and none of the gravest. */
export function maySign(
  scope: SignOff['scope'],
  points: readonly OpenPoint[],
  exceptions: readonly string[],
): MaySign {
  const never = points.filter((point) => point.never);
  if (scope === 'road')
    return points.length
      ? {
          may: false,
          why: `${points.length} open ${points.length === 1 ? 'point' : 'points'} before it can go on the road.`,
        }
      : { may: true, why: '' };
  if (never.length)
    return {
      may: false,
      why: `Not even for moving: ${never[0]!.text}${never.length > 1 ? ` And ${never.length - 1} more.` : ''}`,
    };
  const unnamed = points.filter(({ key }) => !exceptions.includes(key));
  return unnamed.length
    ? {
        may: false,
        why: `${unnamed.length} open ${unnamed.length === 1 ? 'point is' : 'points are'} not named as an exception.`,
      }
    : { may: true, why: '' };
}
/** Where the newest signature still stands: nothing of the plan is otherwise since. */
export function latestSignature(
  view: PlanView,
): { readonly sign: SignOff; readonly stands: boolean } | null {
  const sign = view.plan.proving.signed.at(-1);
  return sign ? { sign, stands: sign.rests === signedDigest(view) } : null;
}
/** What comes before a signature, by what the vehicle is. Common practice; local rules first. */
export const localRules = (category: string | undefined): string =>
  category === 'aircraft'
    ? 'Light aircraft: the change needs approval first, and an authorized inspector signs for it. This sheet is a record, not an approval.'
    : category === 'trailer'
      ? 'Trailer: breakaway, parking brake and lamps are included. Local rules decide who inspects.'
      : category === 'competition'
        ? 'Competition: the event’s scrutineer decides, whatever this sheet says.'
        : 'Local rules decide who may inspect a modified brake system. This sheet is a record, not an approval.';
/** What falls due once it is signed for the road. Common practice; the makers' sheets come first. */
export const followUpChecks = (view: PlanView): string[] => [
  'After 50 km: tighten the wheel nuts again, cold. Check every joint. Check pushrod play hot.',
  'After 500 km: check every joint, the reservoir level, clips and hoses.',
  ...(view.plan.parts.some(({ kind }) => kind === 'wheel-cylinder')
    ? ['After bedding in: adjust the drums again.']
    : []),
  `Replace fluid by the bottle’s sheet${view.plan.filling.fluids
    .flatMap(({ nextOn }) => nextOn ?? [])
    .map((day) => `, ${day}`)
    .join('')}; glycol every two years at the latest.`,
  ...(view.plan.hoses.length
    ? ['Check hoses every year. Replace them by the maker’s age limit.']
    : []),
];
