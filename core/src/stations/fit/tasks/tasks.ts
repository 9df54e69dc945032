import { derive } from '../../../lib/derive/index.ts';
import { listView, type ListRow } from '../../make/buying/index.ts';
import {
  fluidIn,
  fluidIsIn,
  isFinished,
  reservoirParts,
  type Gate,
  type Plan,
  type Ref,
} from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import { fluidById } from '../../../trade/stock/index.ts';
import { cornerWork } from './corner-work.ts';
import { hosesWork } from './hose-work.ts';
import { lineWork } from './line-work.ts';
import { partsWork } from './part-work.ts';
import { wheelsWork } from './wheel-work.ts';
import { stripTasks } from './strip.ts';
import { taskContext, taskOf, type TaskContext, type Task } from './task.ts';

/** A thing that is ordered, wrong or missing stands in the way; one of which nothing was said does not. */
function notHere(rows: ReadonlyMap<string, ListRow>, key: string): string | null {
  const row = rows.get(key);
  if (!row || row.toBuy <= 0) return null;
  const { state, due } = row.order;
  if (state === 'ordered') return `${row.item.name} is ordered${due ? `, due ${due}` : ''}`;
  if (state === 'wrong' || state === 'missing' || state === 'sent-back')
    return `${row.item.name} ${state === 'missing' ? 'is missing' : 'came wrong'}`;
  return null;
}

const stripOf = derive(
  'what comes off',
  (plan: Pick<Plan, 'id' | 'gates' | 'comesOff' | 'floor'>) => [
    plan.gates,
    plan.id,
    plan.comesOff,
    plan.floor.session.on,
  ],
  (gates, id, comesOff, on): { readonly tasks: readonly Task[]; readonly ground: TaskContext } => {
    const { tasks, bare } = stripTasks({ id, comesOff: comesOff ?? [], on: on ?? '' });
    return { tasks, ground: taskContext(bare, gates) };
  },
);

/** A booster that the new master stands on: its nuts at the bulkhead, where the vehicle is built anew or it was taken off. */
function boosterWork(
  { id, sizing, parts, comesOff = [] }: Pick<Plan, 'id' | 'sizing' | 'parts' | 'comesOff'>,
  ground: TaskContext,
): Task[] {
  const isNew = !comesOff.length || comesOff.some((name) => /booster|pushrod/i.test(name));
  const master = parts.find(({ kind, kept }) => kind === 'master' && !kept);
  if (!sizing?.booster || !isNew || !master) return [];
  const place: Ref = { kind: 'plan', id };
  return [
    taskOf(
      {
        id: 'booster',
        kind: 'tighten',
        name: 'Booster: nuts at the bulkhead',
        how: 'Tighten evenly. Set pushrod free play before the master cylinder goes on.',
        place,
        needs: ground.before,
        fastener: { key: 'booster', what: 'Nuts', count: 4, place, againKm: null },
      },
      ground,
    ),
  ];
}

/** The user's own tasks, and the fasteners that follow from no part of the plan. */
function ownTasks(
  { id, gates, floor }: Pick<Plan, 'id' | 'gates' | 'floor'>,
  ground: TaskContext,
): Task[] {
  const place: Ref = { kind: 'plan', id };
  const gateOf = (gateId: string | null): Gate | null =>
    gates.find((one) => one.id === gateId) ?? null;
  return [
    ...floor.own.map((own) =>
      taskOf(
        {
          id: `own:${own.id}`,
          kind: 'own',
          name: own.name,
          how: 'Your own task.',
          place,
          needs: own.needs,
          minutes: own.minutes,
          people: own.people,
          gate: gateOf(own.gateId),
        },
        ground,
      ),
    ),
    ...floor.wanted.flatMap(({ key, name, count = 1 }) =>
      name
        ? [
            taskOf(
              {
                id: key,
                kind: 'tighten',
                name,
                how: 'Start all by hand, tighten in turn, then mark.',
                place,
                fastener: { key, what: name, count, place, againKm: null },
              },
              ground,
            ),
          ]
        : [],
    ),
  ];
}

const isAfterFluid = ({ needs }: Task): boolean =>
  needs.includes('fill') || needs.includes('drive');
/** Work that has to be done before fluid goes in. */
const CLOSES = new Set<Task['kind']>(['tighten', 'look', 'bracket', 'paint', 'plug', 'own']);
/** Of some work: what fluid waits for, what tags wait for, what the first drive waits for. */
const waitedFor = derive(
  'what waits for work',
  (work: readonly Task[]) => [work],
  (work) => {
    const ids = (of: readonly Task[]): string[] => of.map(({ id }) => id);
    return {
      fill: ids(work.filter((task) => CLOSES.has(task.kind) && !isAfterFluid(task))),
      label: ids(work.filter(({ kind }) => kind === 'run')),
      drive: ids(work.filter((task) => task.kind === 'tighten' && task.needs.includes('fill'))),
    };
  },
);

/** What is done once for the whole vehicle: tags, fluid, the first drive. */
function wholeTasks(
  { plan: { id, floor, filling, parts }, bleeding }: PlanView,
  work: readonly (readonly Task[])[],
  ground: TaskContext,
): Task[] {
  const place: Ref = { kind: 'plan', id };
  const caps = reservoirParts(parts).map(
    (part) => `${part.name} “${fluidById(fluidIn({ filling }, part.id).fluidId)!.name} only”`,
  );
  const waits = work.map(waitedFor);
  // Gas is for dry lines alone, and nobody must: once fluid goes in it is asked no more.
  const isDry = !fluidIsIn({ floor, filling });
  const bled = bleeding.filter(({ bleeders }) => bleeders.length);
  return [
    ...(isDry
      ? [
          taskOf(
            {
              id: 'air-test',
              kind: 'own',
              name: 'Air test of dry lines (optional)',
              how: 'A joint that lets go under gas becomes a projectile: stand behind a shield. Bare lines only, plugged at both ends, dry gas. The pressure limit is in Prove. The hydraulic hold test follows in any case. Put this task off, or mark it done.',
              place,
              needs: waits.flatMap(({ label }) => label),
              minutes: 45,
            },
            ground,
          ),
        ]
      : []),
    taskOf(
      {
        id: 'label',
        kind: 'label',
        name: 'Tag the lines, label every cap',
        how: `Tag each line at both ends, and number the bleeders in order. Label each cap: ${caps.join(', ') || 'its fluid'}.`,
        place,
        needs: waits.flatMap(({ label }) => label),
      },
      ground,
    ),
    taskOf(
      {
        id: 'fill',
        kind: 'fill',
        name: 'Fill with fluid',
        how: 'Only when every joint is tight and checked, and all welding and painting is done. Never let the master cylinder run dry.',
        place,
        needs: waits.flatMap(({ fill }) => fill),
        isKnown: bled.length > 0 && bled.every(({ work: of }) => isFinished(filling, of)),
      },
      ground,
    ),
    taskOf(
      {
        id: 'drive',
        kind: 'drive',
        name: 'Drive the first 50 km',
        how: 'Only after tests and sign-off. Drive gently, and stop to feel each hub for heat.',
        place,
        needs: ['fill', ...waits.flatMap(({ drive }) => drive)],
      },
      ground,
    ),
  ];
}

/** The tasks with what holds each of them up on the list, and without needs that are none of theirs. */
function settled(all: readonly Task[], view: PlanView): Task[] {
  const ids = new Set(all.map(({ id }) => id));
  const rows = new Map(
    (view.plan.buying.orders.length ? listView(view).rows : []).map((row) => [row.item.key, row]),
  );
  return all.map((task) => {
    const needs = task.needs.filter((id) => ids.has(id));
    const missing = task.wants.map((key) => notHere(rows, key)).find(Boolean) ?? null;
    return needs.length === task.needs.length && !missing
      ? task
      : { ...task, needs, waits: task.waits ?? missing };
  });
}

/** Sections of a plan that the work on the floor rests on. */
const PLAN_KEYS = [
  'floor',
  'wheelEnds',
  'parts',
  'hoses',
  'things',
  'clipSettings',
  'gates',
  'comesOff',
  'sizing',
  'singles',
  'buying',
  'making',
  'bleeding',
  'bench',
  'filling',
] as const satisfies readonly (keyof Plan)[];
/** What the work on the floor rests on: whoever asks for it reads these. */
export const TASK_READS = [
  'lines',
  'ports',
  'obstacles',
  'bleeding',
  ...PLAN_KEYS.map((key) => `plan.${key}` as const),
] as const;

/** All work on the floor: what comes off, what goes on, loose first, then looked at, then tight, and only then fluid. */
export const tasksOf = derive(
  'tasks of the floor',
  ({ lines, ports, obstacles, bleeding, plan }: PlanView) => [
    lines,
    ports,
    obstacles,
    bleeding,
    plan.id,
    plan.units,
    ...PLAN_KEYS.map((key) => plan[key]),
  ],
  (lines, ports, obstacles, bleeding, id, units, ...values): readonly Task[] => {
    const keyed = Object.fromEntries(PLAN_KEYS.map((key, i) => [key, values[i]]));
    const plan = { ...keyed, id, units } as Plan;
    const view = { lines, ports, obstacles, bleeding, plan } as PlanView;
    const { tasks: strip, ground } = stripOf(plan);
    const own = ownTasks(plan, ground);
    const work = [
      partsWork(view, ground),
      wheelsWork(view, ground),
      ...lines.map((line) => lineWork(line, view, ground)),
      hosesWork(view, ground),
      cornerWork(plan, ground),
      boosterWork(plan, ground),
      own,
    ];
    const hasFluid = lines.length > 0;
    const begins = hasFluid || plan.hoses.length > 0 || (plan.comesOff ?? []).length > 0;
    const all = [
      ...(begins ? strip : []),
      ...work.flat(),
      ...(hasFluid ? wholeTasks(view, work, ground) : []),
    ];
    return hasFluid && !own.length && !plan.buying.orders.length ? all : settled(all, view);
  },
);
