import { derive } from '../../../lib/derive/index.ts';
import {
  isBrake,
  isInline,
  type LaidPlan,
  type Part,
  type PortView,
  type Ref,
} from '../../../plan/index.ts';
import type { Vec3 } from '../../../lib/vec/index.ts';
import { mountOf } from './fasteners.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';
import { wheelCheckId } from './wheel-work.ts';

/** Those that stay on the vehicle are not fitted. */
export const isFitted = (part: Part): boolean => !part.kept;
function howOf(part: Part): string {
  if (part.kind === 'master')
    return 'Keep the ports capped until the lines are fitted. Check pushrod free play.';
  if (isBrake(part))
    return 'On the correct side, bleeder at the top, pins greased as on the sheet.';
  return isInline(part)
    ? 'Fix in the planned position. Keep the ports capped until the tubes are fitted.'
    : 'Fit loosely, ports capped.';
}

/** What is checked of a brake before its wheel goes on. */
function brakeCheck(
  { id, name, kind }: Part,
  fixed: string,
  place: Ref,
  at: readonly (Vec3 | undefined)[],
  ground: TaskContext,
): Task {
  const isCaliper = kind === 'caliper';
  return taskOf(
    {
      place,
      stamp: stampOf(at, kind),
      id: wheelCheckId(id),
      kind: 'look',
      name: `${name}: ${isCaliper ? 'disc direction and free rotation' : 'wheel turns freely'}`,
      how: `Good: ${isCaliper ? 'vanes throw air outward when rolling forward, pads the right way around, ' : ''}nothing rubs or catches through a full turn.`,
      needs: [fixed],
    },
    ground,
    at,
  );
}

/** What is done to a part: its faces cleaned, fitted, its bolts drawn up, its open ports plugged, looked at. */
const partWork = derive(
  'work on a part',
  (part: Part, ports: readonly (PortView | undefined)[], ground: TaskContext) => [
    part,
    ground,
    ...ports,
  ],
  (part, ground, ...ports): readonly Task[] => {
    const at = (ports as readonly (PortView | undefined)[]).map((port) => port?.fixed.atMm);
    const place: Ref = part.ports[0]
      ? { kind: 'port', id: part.ports[0].id }
      : { kind: 'part', id: part.id };
    const stamp = stampOf(at, part.kind);
    const { id, name } = part;
    const tasks: Task[] = [];
    const add = (
      said: Omit<Parameters<typeof taskOf>[0], 'place'> & Partial<Pick<Task, 'place'>>,
    ): void => void tasks.push(taskOf({ place, stamp, ...said }, ground, at));
    const brake = isBrake(part);
    if (brake)
      add({
        id: `clean:${id}`,
        kind: 'clean',
        name: `${name}: clean the faces`,
        how: `Hub and ${part.kind === 'caliper' ? 'flange faces to bare metal; wash the oil off a new disc and check runout' : 'backing plate clean, its pads greased; wash the oil off a new drum'}; remove paint wherever metal meets metal.`,
        needs: ground.before,
        stamp: '',
      });
    add({
      id: `part:${id}`,
      kind: 'part',
      name: `Fit ${name}`,
      how: howOf(part),
      needs: brake ? [`clean:${id}`] : ground.before,
      wants: [`part:${id}`],
    });
    const fitted = [`part:${id}`];
    const mount = mountOf(part.kind, `bolts:${id}`, place);
    if (mount)
      add({
        id: mount.key,
        kind: 'tighten',
        name: `${name}: ${mount.what.toLowerCase()}`,
        how: 'Start all by hand, tighten in turn, then mark.',
        needs: fitted,
        fastener: mount,
        stamp: stampOf(part.kind, mount.key),
      });
    for (const port of part.ports.filter(({ role }) => role === 'spare'))
      add({
        id: `plug:${port.id}`,
        kind: 'plug',
        name: `Plug ${name}, ${port.name}`,
        how: 'This port is open. Fit a plug with the right thread and seat, tight. Tape or a rubber cap does not hold pressure.',
        place: { kind: 'port', id: port.id },
        needs: fitted,
        stamp: '',
      });
    if (part.kind === 'dry-break')
      add({
        id: `look:tug:${id}`,
        kind: 'look',
        name: `${name}: push home and tug`,
        how: 'Good: the sleeve snaps over, both halves turn, and a hard tug does not part them.',
        needs: fitted,
      });
    if (part.ports.some(({ role }) => role === 'bleeder'))
      add({
        id: `look:part:${id}`,
        kind: 'look',
        name: `${name}: correct side, bleeder at the top`,
        how: 'Good: the bleeder is at the highest point of the cavity.',
        needs: fitted,
      });
    if (brake) tasks.push(brakeCheck(part, mount?.key ?? `part:${id}`, place, at, ground));
    return tasks;
  },
  2,
);

/** Of all parts: none is looked at while no part changes. */
export const partsWork = derive(
  'work on parts',
  ({ plan, ports }: Pick<LaidPlan, 'plan' | 'ports'>, ground: TaskContext) =>
    [plan.parts, ports, ground] as const,
  (parts, ports, ground): readonly Task[] =>
    parts.filter(isFitted).flatMap((part) =>
      partWork(
        part,
        part.ports.map(({ id }) => ports.get(id)),
        ground,
      ),
    ),
);
