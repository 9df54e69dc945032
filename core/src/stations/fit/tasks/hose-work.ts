import { derive } from '../../../lib/derive/index.ts';
import { firstEnd, type Turning } from '../../../trade/ends/index.ts';
import { ENDS, hoseJoint, type End } from '../../join/index.ts';
import {
  tightenKey,
  type Hose,
  type HoseEnd,
  type LaidPlan,
  type PortView,
  type Ref,
} from '../../../plan/index.ts';
import { hoseFittingById } from '../../../trade/stock/index.ts';
import { isFitted } from './part-work.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';

/** An end behind a bracket is set free of twist before its clip goes in. */
function turningOf({ fittingId, through }: HoseEnd): Turning {
  const fitting = hoseFittingById(fittingId)!;
  return fitting.kind === 'banjo' ? 'banjo' : fitting.swivels || through ? 'swivel' : 'fixed';
}

/** What is done to a hose: hung by its fixed end, its other end led there without twist, looked at through its travel, tightened, tugged. */
const hoseWork = derive(
  'work on a hose',
  (hose: Hose, ports: ReadonlyMap<string, PortView>, ground: TaskContext) => [
    hose,
    ground,
    ports.get(hose.ends.a.portId ?? ''),
    ports.get(hose.ends.b.portId ?? ''),
  ],
  (hose, ground, a, b): readonly Task[] => {
    const { id, name, ends } = hose;
    const place: Ref = { kind: 'hose', id };
    const stamp = stampOf(
      hose.stockId,
      hose.orderMm,
      ends.a.portId,
      ends.b.portId,
      ends.a.fittingId,
      ends.b.fittingId,
    );
    const atMm = [a?.fixed.atMm ?? ends.a.atMm, b?.fixed.atMm ?? ends.b.atMm];
    const parts = [a, b].flatMap((port) =>
      port && isFitted(port.part) ? [`part:${port.part.id}`] : [],
    );
    const { first } = firstEnd(turningOf(ends.a), turningOf(ends.b));
    const [early, late] = first === 'b' ? (['b', 'a'] as const) : (['a', 'b'] as const);
    const at = new Map([a, b].flatMap((port) => (port ? [[port.port.id, port] as const] : [])));
    const joints = [early, late].flatMap((end) => hoseJoint(hose, end, at) ?? []);
    const up = (end: string): string => end.toUpperCase();
    const task = (
      said: Omit<Parameters<typeof taskOf>[0], 'place'> & Partial<Pick<Task, 'place'>>,
      end?: End,
    ): Task => taskOf({ place, stamp, ...said }, ground, end ? [atMm[ENDS.indexOf(end)]] : atMm);
    const dryBreaks = ENDS.filter(
      (end) => hoseFittingById(ends[end].fittingId)!.kind === 'dry-break',
    );
    return [
      task({
        id: `hose:${id}`,
        kind: 'hose',
        name: `Fit ${name} loosely at end ${up(early)}`,
        how: `Free both ends before turning the hose: end ${up(early)} first, by hand, new washers.`,
        needs: [...ground.before, ...parts],
        wants: [`hose:${id}`],
        minutes: 10,
      }),
      task({
        id: `join:${id}:${late}`,
        kind: 'join',
        name: `${name}, end ${up(late)}: route without twist`,
        how: `Keep the stripe straight, then start end ${up(late)} by hand. Never turn the fitting by the hose. To turn it, undo end ${up(early)} first.`,
        needs: [`hose:${id}`],
      }),
      task({
        id: `look:hose:${id}`,
        kind: 'look',
        name: `${name}: check at lock, droop and bump`,
        how: 'Good: bends in the middle, not at the fittings; two fingers clear of wheel, spring and exhaust; never taut; no twist.',
        needs: [`join:${id}:${late}`],
        people: 2,
      }),
      ...joints.map((joint, i) =>
        task(
          {
            id: tightenKey(id, joint.end),
            kind: 'tighten',
            name: `${joint.name}: tighten`,
            how: 'Hold the hose still, tighten once, mark the joint.',
            place: joint.place,
            needs: [`look:hose:${id}`, ...(i ? [tightenKey(id, joints[0]!.end)] : [])],
            joint,
          },
          joint.end,
        ),
      ),
      ...dryBreaks.map((end) =>
        task(
          {
            id: `look:tug:${id}:${end}`,
            kind: 'look',
            name: `${name}, end ${up(end)}: push home and tug`,
            how: 'Good: the sleeve snaps over, both halves turn, and a hard tug does not part them.',
            needs: [`look:hose:${id}`],
          },
          end,
        ),
      ),
    ];
  },
  2,
);

/** Of all hoses: none is looked at while no hose and no part changes. */
export const hosesWork = derive(
  'work on hoses',
  ({ plan, ports }: Pick<LaidPlan, 'plan' | 'ports'>, ground: TaskContext) =>
    [plan.hoses, ports, ground] as const,
  (hoses, ports, ground): readonly Task[] => hoses.flatMap((hose) => hoseWork(hose, ports, ground)),
);
