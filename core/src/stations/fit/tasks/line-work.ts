import { derive } from '../../../lib/derive/index.ts';
import { firstEnd, turningOf } from '../../../trade/ends/index.ts';
import { ENDS, jointsBefore, lineJoint, type End } from '../../join/index.ts';
import { isMade } from '../../make/making/index.ts';
import {
  lineSpace,
  tightenKey,
  type LaidPlan,
  type LineView,
  type Ref,
} from '../../../plan/index.ts';
import { isFitted } from './part-work.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';

type Place = Parameters<typeof taskOf>[2];
/** A task as it is said of a line, and where on it that is. */
type SaidAt = readonly [
  said: Omit<Parameters<typeof taskOf>[0], 'place'> & Partial<Pick<Task, 'place'>>,
  at: Place,
];

/** A line, its clips and its joints, the end that is tightened first before the other. */
function siteOf(view: LineView, plan: Parameters<typeof lineSpace>[0]) {
  const { line, ports, nodesMm } = view;
  const { id, name, ends } = line;
  const space = lineSpace(plan, view);
  const clips = space?.clips ?? [];
  const turn = (end: End) => {
    const half = ports[end]?.port.fitting?.half;
    return half ? turningOf(half) : 'fixed';
  };
  const joints = ENDS.map((end) => lineJoint(view, end)).filter(({ at }) => at);
  if (firstEnd(turn('a'), turn('b')).first === 'b') joints.reverse();
  const stamp = stampOf(
    nodesMm,
    line.clipsMm,
    line.tubeId,
    ends.a.portId,
    ends.b.portId,
    ends.a.nutId,
    ends.b.nutId,
  );
  return {
    view,
    id,
    name,
    joints,
    stamp,
    points: space?.points ?? nodesMm,
    clipped: clips.map(({ pointMm }) => pointMm),
    count: `${clips.length} ${clips.length === 1 ? 'clip' : 'clips'}`,
    isWelded: clips.some(({ bracket }) => bracket),
    look: `look:line:${id}`,
    nodeAt: (end: End) => nodesMm.at(end === 'a' ? 0 : -1),
    endName: (end: End) => `${name}, end ${end.toUpperCase()}`,
  };
}
type Site = ReturnType<typeof siteOf>;

/** Clips and brackets placed, and the bare steel painted. */
function clipWork({ id, name, clipped, count, isWelded }: Site, before: readonly string[]) {
  if (!clipped.length) return [];
  const placed: SaidAt = [
    {
      id: `bracket:${id}`,
      kind: 'bracket',
      name: `${name}: ${count}${isWelded ? ' and brackets' : ''} fitted`,
      how: isWelded
        ? 'Weld brackets before any fluid goes in. Never clean with a chlorinated cleaner first: welding turns it into poison gas. Grind zinc off, and take the fume away. Drill and deburr holes. Leave the clips open.'
        : 'Drill and deburr holes. Leave the clips open.',
      needs: before,
      minutes: 5 * clipped.length,
      tools: isWelded ? ['welder'] : [],
    },
    clipped,
  ];
  const painted: SaidAt = [
    {
      id: `paint:${id}`,
      kind: 'paint',
      name: `${name}: paint bare steel`,
      how: 'Brackets, welds and hole edges. Let the paint dry before the line goes in.',
      needs: [`bracket:${id}`],
    },
    clipped,
  ];
  return isWelded ? [placed, painted] : [placed];
}

/** Run loosely, once what holds it and what it leads to is there. */
function runWork({ id, name, view, points, clipped, isWelded }: Site, before: readonly string[]) {
  const { ports, line } = view;
  const held = clipped.length ? [`${isWelded ? 'paint' : 'bracket'}:${id}`] : [];
  const parts = ENDS.flatMap((end) =>
    ports[end] && isFitted(ports[end].part) ? [`part:${ports[end].part.id}`] : [],
  );
  const isBought = line.origin === 'bought';
  const run: SaidAt = [
    {
      id: `run:${id}`,
      kind: 'run',
      name: `Fit ${name} loosely`,
      how: 'Caps and tag on, eased in without re-bending. Close the clips, but do not tighten them.',
      needs: [...before, ...held, ...parts],
      wants: isBought ? [`line:${id}`] : [],
      waits: isBought || isMade(view) ? null : `${name} is not made yet`,
    },
    points,
  ];
  return run;
}

/** Both ends started by hand, the one that must be first before the other. */
const startingWork = ({ id, view, joints, nodeAt, endName }: Site): SaidAt[] =>
  joints.map(({ end }, i) => [
    {
      id: `join:${id}:${end}`,
      kind: 'join',
      name: `${endName(end)}: start by hand`,
      how: `Thread all the way by hand. If it does not go by hand, it is cross-threaded or the wrong thread.${i === 0 && joints.length > 1 ? ' Start with this end.' : ''}`,
      place: { kind: 'line', id, node: end === 'a' ? 0 : view.nodesMm.length - 1 },
      needs: [`run:${id}`, ...(i ? [`join:${id}:${joints[0]!.end}`] : [])],
      wants: [
        `nut:${view.nuts[end].id}`,
        ...view.line.ends[end].adapters.map((one) => `adapter:${one}`),
      ],
      tools: [view.nuts[end].wrench],
    },
    [nodeAt(end)],
  ]);

const lookedOver = ({ id, name, joints, stamp, points, look }: Site): SaidAt => [
  {
    id: look,
    kind: 'look',
    name: `${name}: check gaps and tool access`,
    how: 'Good: a finger fits around the line between clips; 20 mm from moving parts, more from hot ones; nearby bolts can still be turned.',
    needs: [`run:${id}`, ...joints.map(({ end }) => `join:${id}:${end}`)],
    stamp,
  },
  points,
];

/** Both ends tightened once it is looked over. */
const tighteningWork = ({ id, view, joints, look, nodeAt, endName }: Site): SaidAt[] =>
  joints.flatMap((joint, i): SaidAt[] => {
    const of = tightenKey(id, joint.end);
    const first = [look, ...(i ? [tightenKey(id, joints[0]!.end)] : [])];
    const before = jointsBefore(joint);
    return [
      ...before.map((one, k): SaidAt => [
        {
          id: tightenKey(id, joint.end, k),
          kind: 'tighten',
          name: `${endName(joint.end)}: tighten the adapter, joint ${k + 1}`,
          how: 'Hold the part. Tighten once, then mark the joint.',
          place: joint.place,
          needs: k ? [tightenKey(id, joint.end, k - 1)] : first,
          joint: one,
        },
        [nodeAt(joint.end)],
      ]),
      [
        {
          id: of,
          kind: 'tighten',
          name: `${endName(joint.end)}: tighten`,
          how: `Hold the ${before.length ? 'adapter' : 'part'}, not the tube. Tighten once with a flare wrench, then mark the joint.`,
          place: joint.place,
          needs: before.length ? [tightenKey(id, joint.end, before.length - 1)] : first,
          tools: [view.nuts[joint.end].wrench],
          joint,
        },
        [nodeAt(joint.end)],
      ],
    ];
  });

/** Clips pulled down, then wiggled and tugged. */
function lastWork({ id, name, joints, clipped, count, points, look }: Site): SaidAt[] {
  const tight = joints.map(({ end }) => tightenKey(id, end));
  const pulled: SaidAt = [
    {
      id: `clips:${id}`,
      kind: 'bracket',
      name: `${name}: ${count} tightened`,
      how: 'Lining undamaged and all the way round, lock washer on. Do not pull the tube over to the clip.',
      needs: tight.length ? tight : [look],
      minutes: 2 * clipped.length,
    },
    clipped,
  ];
  const wiggled: SaidAt = [
    {
      id: `look:wiggle:${id}`,
      kind: 'look',
      name: `${name}: wiggle and tug`,
      how: 'Good: nothing moves in its clips, nothing ticks, no nut turns by hand.',
      needs: clipped.length ? [`clips:${id}`] : tight,
    },
    points,
  ];
  return clipped.length ? [pulled, wiggled] : [wiggled];
}

/** What is done to a line: brackets and clips, paint, run, started at both ends, looked at, tightened, clips pulled down, looked at again. */
export const lineWork = derive(
  'work on a line',
  (
    view: LineView,
    { plan: { things, clipSettings }, obstacles }: Pick<LaidPlan, 'plan' | 'obstacles'>,
    ground: TaskContext,
  ) => [view, things, clipSettings, ground, obstacles] as const,
  (view, things, clipSettings, ground, _obstacles): readonly Task[] => {
    if (view.line.origin === 'kept') return [];
    const site = siteOf(view, { things, clipSettings });
    const common = { place: { kind: 'line', id: site.id } as Ref, stamp: site.stamp };
    return [
      ...clipWork(site, ground.before),
      runWork(site, ground.before),
      ...startingWork(site),
      lookedOver(site),
      ...tighteningWork(site),
      ...lastWork(site),
    ].map(([said, at]) => taskOf({ ...common, ...said }, ground, at));
  },
  2,
);
