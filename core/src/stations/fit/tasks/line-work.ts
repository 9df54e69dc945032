import { derive } from '../../../lib/derive/index.ts';
import { firstEnd, turningOf } from '../../../trade/ends/index.ts';
import { ENDS, lineJoint, type End } from '../../join/index.ts';
import { isMade } from '../../make/making/index.ts';
import { lineSpace, type LaidPlan, type LineView, type Ref } from '../../../plan/index.ts';
import { isFitted } from './part-work.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';

/** What is done to a line: brackets and clips, paint, run, started at both ends, looked at, tightened, clips pulled down, looked at again. */
export const lineWork = derive(
  'work on a line',
  (
    view: LineView,
    { plan: { things, clipSettings: holding }, obstacles }: Pick<LaidPlan, 'plan' | 'obstacles'>,
    ground: TaskContext,
  ) => [view, things, holding, ground, obstacles] as const,
  (view, things, holding, ground, _obstacles): readonly Task[] => {
    const {
      line: { id, name, ends, origin },
      ports,
      nodesMm,
      nuts,
    } = view;
    if (origin === 'kept') return [];
    const place: Ref = { kind: 'line', id };
    const space = lineSpace({ things, clipSettings: holding }, view);
    const points = space?.points ?? nodesMm;
    const clips = space?.clips ?? [];
    const clipped = clips.map(({ pointMm }) => pointMm);
    const stamp = stampOf(
      nodesMm,
      view.line.clipsMm,
      view.line.tubeId,
      ends.a.portId,
      ends.b.portId,
      ends.a.nutId,
      ends.b.nutId,
    );
    const tasks: Task[] = [];
    const add = (
      said: Omit<Parameters<typeof taskOf>[0], 'place'> & Partial<Pick<Task, 'place'>>,
      at: Parameters<typeof taskOf>[2],
    ): void => void tasks.push(taskOf({ place, stamp, ...said }, ground, at));
    const count = `${clips.length} ${clips.length === 1 ? 'clip' : 'clips'}`;
    const welded = clips.some(({ bracket }) => bracket);
    if (clips.length)
      add(
        {
          id: `bracket:${id}`,
          kind: 'bracket',
          name: `${name}: ${count}${welded ? ' and brackets' : ''} placed`,
          how: welded
            ? 'Brackets welded before any fluid, holes drilled and deburred; clips left open.'
            : 'Holes drilled and deburred; clips left open.',
          needs: ground.before,
          minutes: 5 * clips.length,
          tools: welded ? ['welder'] : [],
        },
        clipped,
      );
    if (welded)
      add(
        {
          id: `paint:${id}`,
          kind: 'paint',
          name: `${name}: bare steel painted`,
          how: 'Brackets, welds and the edges of holes; dry before the line goes in.',
          needs: [`bracket:${id}`],
        },
        clipped,
      );
    const held = clips.length ? [`${welded ? 'paint' : 'bracket'}:${id}`] : [];
    const parts = ENDS.flatMap((end) =>
      ports[end] && isFitted(ports[end].part) ? [`part:${ports[end].part.id}`] : [],
    );
    add(
      {
        id: `run:${id}`,
        kind: 'run',
        name: `Run ${name} loosely`,
        how: 'Caps on, its tag on, eased in without bending it anew; clips closed but not pulled down.',
        needs: [...ground.before, ...held, ...parts],
        wants: origin === 'bought' ? [`line:${id}`] : [],
        waits: origin === 'bought' || isMade(view) ? null : `${name} is not made`,
      },
      points,
    );
    const turn = (end: End) => {
      const half = ports[end]?.port.fitting?.half;
      return half ? turningOf(half) : 'fixed';
    };
    const joints = ENDS.map((end) => lineJoint(view, end)).filter(({ at }) => at);
    if (firstEnd(turn('a'), turn('b')).first === 'b') joints.reverse();
    const nodeAt = (end: End) => nodesMm.at(end === 'a' ? 0 : -1);
    const endName = (end: End): string => `${name}, end ${end.toUpperCase()}`;
    for (const [i, { end }] of joints.entries())
      add(
        {
          id: `join:${id}:${end}`,
          kind: 'join',
          name: `${endName(end)}: started by hand`,
          how: `All the way by hand first: what does not go by hand is crossed or of another thread.${i === 0 && joints.length > 1 ? ' This end first.' : ''}`,
          place: { ...place, node: end === 'a' ? 0 : nodesMm.length - 1 },
          needs: [`run:${id}`, ...(i ? [`join:${id}:${joints[0]!.end}`] : [])],
          wants: [`nut:${nuts[end].id}`, ...ends[end].adapters.map((one) => `adapter:${one}`)],
          tools: [nuts[end].wrench],
        },
        [nodeAt(end)],
      );
    const looked = `look:line:${id}`;
    add(
      {
        id: looked,
        kind: 'look',
        name: `${name}: finger gaps, nothing in the way of a tool`,
        how: 'Good: a finger goes round it wherever it is not clipped, 20 mm from what moves, more from what is hot; the next bolt can still be turned.',
        needs: [`run:${id}`, ...joints.map(({ end }) => `join:${id}:${end}`)],
        stamp,
      },
      points,
    );
    for (const [i, joint] of joints.entries())
      add(
        {
          id: `tighten:${id}:${joint.end}`,
          kind: 'tighten',
          name: `${endName(joint.end)}: tighten`,
          how: 'Hold the part, not the tube; once, with a flare wrench; mark it.',
          place: joint.place,
          needs: [looked, ...(i ? [`tighten:${id}:${joints[0]!.end}`] : [])],
          tools: [nuts[joint.end].wrench],
          joint,
        },
        [nodeAt(joint.end)],
      );
    const tight = joints.map(({ end }) => `tighten:${id}:${end}`);
    if (clips.length)
      add(
        {
          id: `clips:${id}`,
          kind: 'bracket',
          name: `${name}: ${count} pulled down`,
          how: 'Lining whole and all the way round, lock washer on; the tube is not drawn to the clip.',
          needs: tight.length ? tight : [looked],
          minutes: 2 * clips.length,
        },
        clipped,
      );
    add(
      {
        id: `look:wiggle:${id}`,
        kind: 'look',
        name: `${name}: wiggle and tug`,
        how: 'Good: nothing moves in its clips, nothing ticks, no nut turns by hand.',
        needs: clips.length ? [`clips:${id}`] : tight,
      },
      points,
    );
    return tasks;
  },
  2,
);
