import { shownUnits } from '../lib/units/index.ts';
import { applyEdit, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { floorView } from '../stations/fit/tasks/index.ts';
import { listView } from '../stations/make/buying/index.ts';
import { provingTests } from '../stations/prove/index.ts';
import { demo } from './demo-plans.ts';
import { proved } from './proved.ts';
import { richPlan } from './rich-plan.ts';
import { acceptAll, sign } from './signed.ts';

/** The rich plan with what is recorded in it recorded of tasks, tests and items that it really has. */
function recorded(): Plan {
  const plan = richPlan();
  const { floor, proving, buying, wheelEnds } = plan;
  const tasks = floorView(viewPlan(plan)).map(({ task }) => task);
  const id = (is: (task: (typeof tasks)[number]) => boolean): string => tasks.find(is)!.id;
  const tight = id(({ joint }) => joint !== undefined);
  const bolts = id(({ fastener }) => fastener !== undefined);
  const test = provingTests(viewPlan(plan)).find(({ hold, looks }) => !hold && !looks.length)!;
  const item = listView(viewPlan(plan)).rows[0]!.item.key;
  return {
    ...plan,
    ownUnits: shownUnits('metric'),
    floor: {
      ...floor,
      done: [...floor.done, { ...floor.done[0]!, task: tight }, { ...floor.done[0]!, task: bolts }],
      tight: [tight, bolts].map((key) => ({ ...floor.tight[0]!, key, opened: false })),
      wanted: [{ ...floor.wanted[0]!, key: bolts }],
      later: [{ ...floor.later[0]!, task: id(({ kind }) => kind === 'part') }],
      looks: [{ ...floor.looks[0]!, task: id(({ kind }) => kind === 'look'), good: false }],
      temporary: [{ ...floor.temporary[0]!, closed: null }],
    },
    proving: {
      ...proving,
      rounds: [{ ...proving.rounds[0]!, key: test.key }],
      stops: [3, 4].map((valveTurns, i) => ({
        ...proving.stops[0]!,
        id: `stop-${i}`,
        when: 'after' as const,
        locked: 'front' as const,
        valveTurns,
        fromKmh: 50,
        distanceM: 15,
        mfddMs2: 6.8,
        lockedAtMs2: 6,
        grip: 0.7,
        laden: true,
        changed: '',
      })),
      pedal: [false, true, true].map((hot, i) => ({
        ...proving.pedal[0]!,
        id: `pedal-${i}`,
        vehicle: i < 2 ? ('this' as const) : ('reference' as const),
        engine: 'off' as const,
        hot,
      })),
    },
    buying: {
      ...buying,
      orders: [{ ...buying.orders[0]!, key: item, state: 'ordered' }],
      kits: buying.kits.map((kit) => ({ ...kit, brings: [{ key: item, count: 1 }] })),
    },
    wheelEnds,
  };
}

/** Signed for the road with its cautions taken on, looked at once since, and then changed. */
const followed = (plan: Plan): Plan =>
  (
    [
      {
        edit: 'recordFollowUp',
        with: { followUp: { key: 'joints', at: '2026-03-09T09:00:00Z', good: true, note: 'dry' } },
      },
      { edit: 'setComesOff', with: { to: ['Old hose'] } },
    ] as const
  ).reduce(applyEdit, sign(acceptAll(plan)));

/** Plans that between them hold every kind of figure, with work, tests and orders recorded. */
export const workedPlans = (): Plan[] => [
  recorded(),
  richPlan(),
  ...['wheatear', 'dunlin'].map((name) => followed(proved(demo(name)))),
];
