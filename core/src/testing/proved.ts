import { withDone, withTight, withWanted, withLook, withRound } from './records.ts';
import { floorView } from '../stations/fit/tasks/index.ts';
import { NO_FLOOR, NO_PROVING, type Floor, type Plan, type Proving } from '../plan/index.ts';
import { WIRE_TESTS, WIRE_VOLTS, WIRE_JOBS } from '../physics/wheel-ends/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { provingTests } from '../stations/prove/index.ts';

/** What a gauge, a rule and a meter read on a sound vehicle. */
const withReadings = (plan: Plan, at: string): Plan => ({
  ...plan,
  wheelEnds: {
    ...plan.wheelEnds,
    play: { coldMm: 3, hotMm: 2, valveHolds: true },
    wires: plan.trailer
      ? WIRE_JOBS.map((job) => ({
          id: job,
          job,
          colour: '',
          terminal: '',
          volts: Object.fromEntries(
            WIRE_TESTS.map((test) => [test, WIRE_VOLTS[job][test]?.most ?? null]),
          ) as Plan['wheelEnds']['wires'][number]['volts'],
        }))
      : plan.wheelEnds.wires,
  },
  proving: {
    ...plan.proving,
    pedal: [
      {
        id: 'pedal-cold',
        at,
        vehicle: 'this',
        engine: 'off',
        hot: false,
        travelMm: 60,
        forceN: 300,
        sinks: false,
        pumps: false,
      },
    ],
    stops: [
      {
        id: 'stop-site',
        at,
        when: 'before',
        fromKmh: 30,
        distanceM: 6,
        locked: 'none',
        valveTurns: null,
      },
    ],
  },
});

/** A plan of which everything is told done on the floor and good in its rounds, on a day. */
export function proved(built: Plan, at = '2026-03-02T09:00:00Z'): Plan {
  const plan = withReadings(built, at);
  let floor: Floor = NO_FLOOR;
  for (const { task } of floorView(viewPlan(plan))) {
    if (task.fastener)
      floor = withWanted(floor, {
        key: task.fastener.key,
        nm: 20,
        source: 'Sheet',
        state: 'dry',
        fastener: 'new',
      });
    floor =
      task.fastener || task.joint
        ? withTight(floor, task, task.joint?.work.torqueNm ?? 20, at)
        : task.kind === 'look'
          ? withLook(floor, task, { good: true, note: '', at })
          : withDone(floor, task, at);
  }
  const fitted = { ...plan, floor };
  const rounds = provingTests(viewPlan(fitted));
  const holds = rounds.flatMap(({ hold, rests }) =>
    hold
      ? [
          {
            id: `hold-${hold.circuitId}`,
            at,
            circuitId: hold.circuitId,
            wantedMPa: hold.wantedMPa,
            startMPa: hold.wantedMPa,
            endMPa: hold.wantedMPa,
            startC: 18,
            endC: 18,
            minutes: 5,
            sigmaMPa: 0.02,
            rests,
          },
        ]
      : [],
  );
  return {
    ...fitted,
    proving: rounds
      .filter(({ hold, reading }) => !hold && !reading)
      .flatMap(({ looks, key, rests }) =>
        looks.length ? looks.map((look) => ({ key: look.key, rests })) : [{ key, rests }],
      )
      .reduce<Proving>((so, told) => withRound(so, told, true, '', at), {
        ...NO_PROVING,
        pedal: plan.proving.pedal,
        stops: plan.proving.stops,
        holds,
      }),
  };
}
