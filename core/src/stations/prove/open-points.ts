import { fluidIn, replay, reservoirParts } from '../fill/index.ts';
import { floorView, torqueOf } from '../fit/tasks/index.ts';
import type { SignOff } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { provingTests } from './test-results.ts';
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
  readonly level: 'stop' | 'mind' | 'note';
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

/** All that stands in the way of signing, in the order in which it is worth closing: each once. */
export function openPoints(view: PlanView, snags: readonly FoundSnag[]): OpenPoint[] {
  const { plan } = view;
  const floor = plan.floor;
  const tasks = floorView(view);
  const fitted =
    tasks.length > 0 &&
    tasks
      .filter(({ task }) => task.kind === 'run' || task.kind === 'look')
      .every(({ state }) => state === 'done');
  const rounds = provingTests(view);
  const points: OpenPoint[] = [];
  const add = (key: string, text: string, station: string, never = false): void =>
    void points.push({ key, text, station, never });
  if (!view.lines.length && !plan.hoses.length)
    add(
      'nothing',
      'There is nothing to sign for: no line and no hose is in the plan.',
      'route',
      true,
    );
  for (const snag of snags) {
    if (snag.level === 'stop' && !STOPS_REPEATED.has(snag.rule))
      add(`snag:${snag.key}`, `${snag.where}: ${snag.text}`, snag.station, true);
    else if (GUESSES.has(snag.rule) && !(fitted && PLACE_GUESSES.has(snag.rule)))
      add(`guess:${snag.key}`, `${snag.where}: ${snag.text}`, snag.station);
  }
  for (const round of rounds) {
    const isHold = round.hold !== undefined;
    const isGrave =
      isHold ||
      round.key.startsWith('leak:') ||
      round.key.startsWith('grips:') ||
      round.key === 'parking' ||
      round.key === 'pedal-firm';
    const word = {
      bad: 'not good',
      void: 'void since a change',
      open: 'not done',
      locked: 'not done',
      done: '',
    }[round.state];
    if (word)
      add(
        `round:${round.key}`,
        `${round.name}: ${word}.${round.note ? ` ${round.note}` : ''}`,
        'prove',
        isGrave || round.state === 'bad',
      );
  }
  if (!plan.parking && plan.sizing && plan.sizing.category !== 'competition')
    add('no-parking', 'No parking brake is set down, and none is proved.', 'size', true);
  const loose = tasks.filter(
    ({ task, state }) => (task.joint || task.fastener) && state !== 'done',
  );
  const joints = loose.filter(({ task }) => task.joint);
  if (joints.length)
    add(
      'joints',
      `${joints.length} ${joints.length === 1 ? 'joint is' : 'joints are'} not told tight: ${joints
        .slice(0, 3)
        .map(({ task }) => task.joint!.name)
        .join('; ')}${joints.length > 3 ? '; …' : ''}.`,
      'fit',
      true,
    );
  const bolts = loose.filter(({ task }) => task.fastener && !task.needs.includes('drive'));
  if (bolts.length)
    add(
      'bolts',
      `${bolts.length} ${bolts.length === 1 ? 'fastener is' : 'fasteners are'} not told tight.`,
      'fit',
    );
  const bare = tasks.filter(
    ({ task, state }) =>
      state === 'done' &&
      (torqueOf(task, floor)?.verdict === 'no-figure' || torqueOf(task, floor)?.source === ''),
  );
  if (bare.length)
    add(
      'sources',
      `${bare.length} ${bare.length === 1 ? 'torque has' : 'torques have'} no figure or no source.`,
      'fit',
    );
  const looks = tasks.filter(({ task, state }) => task.kind === 'look' && state !== 'done');
  if (looks.length)
    add(
      'looks',
      `${looks.length} ${looks.length === 1 ? 'look is' : 'looks are'} not taken or not good.`,
      'fit',
    );
  for (const one of floor.temporary.filter(({ closed }) => closed === null))
    add(
      `held:${one.id}`,
      `${one.what} is held by something temporary (${one.by.replace('-', ' ')}).`,
      'fit',
    );
  for (const { line } of view.lines)
    if (!line.ends.a.portId || !line.ends.b.portId)
      add(`end:${line.id}`, `${line.name} has an open end.`, 'route', true);
  const unknown = reservoirParts(plan.parts).filter(
    (part) => part.kept && part.family === null && !fluidIn(plan, part.id).wasId,
  );
  if (unknown.length)
    add(
      'fluid',
      `Nobody said what fluid is in ${unknown.map(({ name }) => name).join(', ')}.`,
      'fill',
      true,
    );
  const soft = plan.filling.runs.map((run) => replay(run).state.felt).at(-1);
  if (soft !== undefined && soft !== 'firm')
    add(
      'felt',
      soft === null
        ? 'The last run at the bleeders is not finished.'
        : `After the last run at the bleeders the pedal was told ${soft === 'sinks' ? 'sinking' : soft}.`,
      'fill',
    );
  return points;
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
          why: `${points.length} open ${points.length === 1 ? 'point stands' : 'points stand'} in the way of the road.`,
        }
      : { may: true, why: '' };
  if (never.length)
    return {
      may: false,
      why: `Not even for a move: ${never[0]!.text}${never.length > 1 ? ` And ${never.length - 1} more.` : ''}`,
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
    ? 'Light aircraft: the change is approved first, and an inspector who may signs for it. This sheet is no approval.'
    : category === 'trailer'
      ? 'Trailer: breakaway, parking brake and lamps are part of it; local rules say who inspects.'
      : category === 'competition'
        ? 'Competition: the event’s scrutineer looks, whatever stands here.'
        : 'Local rules say who may inspect a changed brake system. This sheet is a record, not an approval.';
/** What falls due once it is signed for the road. Common practice; the makers' sheets come first. */
export const followUpChecks = (view: PlanView): string[] => [
  'After 50 km: wheel nuts again, cold; every joint looked at; pushrod play hot.',
  'After 500 km: every joint looked at, reservoir level, clips and hoses.',
  ...(view.plan.parts.some(({ kind }) => kind === 'wheel-cylinder')
    ? ['After bedding: drums adjusted again.']
    : []),
  `Fluid renewed by its bottle’s sheet${view.plan.filling.fluids
    .flatMap(({ nextOn }) => nextOn ?? [])
    .map((day) => `, ${day}`)
    .join('')}; glycol every two years at the latest.`,
  ...(view.plan.hoses.length ? ['Hoses looked at every year, renewed by their maker’s age.'] : []),
];
