import { HUB_TABLE, loadVerdict } from '../../../physics/wheel-ends/index.ts';
import { NO_WHEEL_ENDS, type Plan, type Ref } from '../../../plan/index.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';

/** What is done to cables, hubs, wires and what is loaded, as they were measured. */
export function cornerWork(
  { id, wheelEnds: corners, parts }: Pick<Plan, 'id' | 'wheelEnds' | 'parts'>,
  ground: TaskContext,
): Task[] {
  const { cables, hubs, wires, loads } = corners ?? NO_WHEEL_ENDS;
  const place: Ref = { kind: 'plan', id };
  const actuator = parts.find(({ kind, kept }) => kind === 'actuator' && !kept);
  return [
    ...cables.flatMap((cable) => [
      taskOf(
        {
          id: `cable:${cable.id}`,
          kind: 'part',
          name: `Lead ${cable.name}`,
          how: 'In its stops and guides, no bend tighter than its maker allows, clear of exhaust and wheel; hooked in once shoes or pads are set.',
          place,
          needs: ground.before,
          minutes: 20,
          stamp: stampOf(cable.wayMm, cable.outerMm),
        },
        ground,
      ),
      taskOf(
        {
          id: `look:cable:${cable.id}`,
          kind: 'look',
          name: `${cable.name}: twenty pulls, then its slack`,
          how: 'Good: it holds in the middle of its travel, and each wheel turns free at once when it is let go.',
          place,
          needs: [`cable:${cable.id}`],
        },
        ground,
      ),
    ]),
    ...hubs.map((hub) =>
      taskOf(
        {
          id: `hub:${hub.id}`,
          kind: 'tighten',
          name: `${hub.name}: nut`,
          how: `${HUB_TABLE.find(({ school }) => school === hub.school)!.how} A new pin or tab.`,
          place,
          needs: ground.before,
          fastener: { key: `hub:${hub.id}`, what: 'Hub nut', count: 1, place, againKm: null },
        },
        ground,
      ),
    ),
    ...(wires.length
      ? [
          taskOf(
            {
              id: 'wires',
              kind: 'join',
              name: 'Wires joined, the positive last',
              how: 'Earth first; each by its function as in the table; then read at rest, half, full and with the pin out.',
              place,
              needs: actuator ? [`part:${actuator.id}`] : ground.before,
              minutes: 10 * wires.length,
            },
            ground,
          ),
        ]
      : []),
    ...loads.map((load) =>
      taskOf(
        {
          id: `look:load:${load.id}`,
          kind: 'look',
          name: `${load.name}: held under ${load.wantedN} N`,
          how: 'Good: ten seconds, no crack, and its mark where it was. Nobody’s face in line with it.',
          place,
          needs: ground.before,
          minutes: 15,
          waits:
            loadVerdict(load, load.wantedN) === 'held'
              ? null
              : 'Its readings are not good or not all there: see Loads',
        },
        ground,
      ),
    ),
  ];
}
