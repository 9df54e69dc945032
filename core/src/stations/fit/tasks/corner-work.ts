import { HUB_TABLE, loadVerdict } from '../../../physics/wheel-ends/index.ts';
import { NO_WHEEL_ENDS, type Cable, type Plan, type Ref } from '../../../plan/index.ts';
import { stampOf, taskOf, type TaskContext, type Task } from './task.ts';

type Say = (said: Omit<Parameters<typeof taskOf>[0], 'place'>) => Task;

const cableWork = (
  { id, name, wayMm, outerMm }: Cable,
  before: readonly string[],
  task: Say,
): Task[] => [
  task({
    id: `cable:${id}`,
    kind: 'part',
    name: `Route ${name}`,
    how: 'In its stops and guides, no bend tighter than the maker allows, clear of exhaust and wheel. Hook in after the shoes or pads are adjusted.',
    needs: before,
    minutes: 20,
    stamp: stampOf(wayMm, outerMm),
  }),
  task({
    id: `look:cable:${id}`,
    kind: 'look',
    name: `${name}: pull twenty times, then check slack`,
    how: 'Good: holds at mid travel, and each wheel turns freely at once on release.',
    needs: [`cable:${id}`],
  }),
];

/** What is done to cables, hubs, wires and what is loaded, as they were measured. */
export function cornerWork(
  { id, wheelEnds, parts }: Pick<Plan, 'id' | 'wheelEnds' | 'parts'>,
  ground: TaskContext,
): Task[] {
  const { cables, hubs, wires, loads } = wheelEnds ?? NO_WHEEL_ENDS;
  const place: Ref = { kind: 'plan', id };
  const actuator = parts.find(({ kind, kept }) => kind === 'actuator' && !kept);
  const needs = ground.before;
  const task: Say = (said) => taskOf({ place, ...said }, ground);
  const wiring = (): Task =>
    task({
      id: 'wires',
      kind: 'join',
      name: 'Connect wires, positive last',
      how: 'Ground first, each wire by its function in the table. Then measure at rest, half braking, full braking and with the pin pulled.',
      needs: actuator ? [`part:${actuator.id}`] : needs,
      minutes: 10 * wires.length,
    });
  return [
    ...cables.flatMap((cable) => cableWork(cable, needs, task)),
    ...hubs.map((hub) =>
      task({
        id: `hub:${hub.id}`,
        kind: 'tighten',
        name: `${hub.name}: nut`,
        how: `${HUB_TABLE.find(({ school }) => school === hub.school)!.how} Fit a new pin or tab.`,
        needs,
        fastener: { key: `hub:${hub.id}`, what: 'Hub nut', count: 1, place, againKm: null },
      }),
    ),
    ...(wires.length ? [wiring()] : []),
    ...loads.map((load) =>
      task({
        id: `look:load:${load.id}`,
        kind: 'look',
        name: `${load.name}: load test with ${load.wantedN} N`,
        how: 'Keep your face out of line: a part that breaks flies. Good: ten seconds, no crack, the mark unmoved.',
        needs,
        minutes: 15,
        waits:
          loadVerdict(load, load.wantedN) === 'held'
            ? null
            : 'Readings missing or failed: see Loads',
      }),
    ),
  ];
}
