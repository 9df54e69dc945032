import { NO_WHEEL_ENDS, type Plan } from '../plan/index.ts';
import { isAfterSigning } from '../stations/fit/tasks/index.ts';
import { put } from './odd-values.ts';
import { proved } from './proved.ts';

const AT = '2026-03-02T09:00:00Z';

/** A plan that is built and proved, with good readings of all that can be measured of its wheel ends, pedal and stops. */
export function measuredWhole(of: Plan): Plan {
  const calipers = of.parts.filter(({ kind, kept }) => kind === 'caliper' && !kept);
  const wheels = of.things.filter(({ shape }) => shape.kind === 'wheel');
  const felt = { at: AT, vehicle: 'this', engine: 'off', forceN: null, travelMm: 60 } as const;
  const plan = proved({
    ...of,
    wheelEnds: {
      ...NO_WHEEL_ENDS,
      calipers: calipers.map(({ id: key }) => ({
        key,
        innerGapMm: 1,
        outerGapMm: 1,
        stackMm: 0,
        moves: 'out',
        box: [],
        bolt: null,
        fittedMm: 0,
        padOverMm: 0,
        disc: 'either',
        clears: {
          discShield: true,
          caliperShield: true,
          caliperWheel: true,
          hoseWheel: true,
          hoseSuspension: true,
          sensorWire: true,
        },
      })),
      wheels: wheels.map(({ id: key }) => ({
        key,
        readings: { caliperRadiusMm: 150, caliperOutMm: 40, barrelRadiusMm: 170, spokesMm: 60 },
        spacerMm: 0,
        stacked: false,
        studs: { count: 5, dMm: 12, pitchMm: 1.5, lengthMm: 40, flangeMm: 15 },
        hand: 'right',
      })),
      hubs: [
        {
          id: 'hub-w',
          name: 'Left hub',
          kind: 'adjustable',
          school: 'end-play',
          endPlayMm: 0.05,
          sheetMm: null,
          newLock: true,
        },
      ],
      play: { coldMm: 1.5, hotMm: 1.5, valveHolds: true },
    },
  });
  return {
    ...plan,
    proving: {
      ...plan.proving,
      pedal: [
        { ...felt, id: 'felt-1', hot: false, pumps: false, sinks: false },
        { ...felt, id: 'felt-2', hot: true, pumps: false, sinks: false },
      ],
      stops: [
        {
          id: 'stop-1',
          at: AT,
          when: 'after',
          fromKmh: 50,
          distanceM: 15,
          locked: 'none',
          valveTurns: 0,
        },
      ],
    },
  };
}

/** What the plan schedules for after the signature, or nobody must do. */
const isLater = (task: string): boolean => isAfterSigning(task) || task === 'air-test';

type Bad = number | string | boolean | null | ((now: unknown) => unknown);
/**
 * What is bad of a field: by its place, `[]` for every record of a list. A reading is bad where a fabricator would not
 * let the vehicle go with it. Common practice.
 */
export const BAD_READINGS: Readonly<Record<string, Bad>> = {
  'floor.tight[]': (said) => {
    const { key, nm } = said as { key: string; nm: number };
    return isLater(key) ? said : { ...(said as object), nm: 0.2 * nm };
  },
  'floor.tight[].opened': true,
  'floor.looks[].good': false,
  'floor.done[].task': (task) => (isLater(task as string) ? task : 'task-that-is-gone'),
  'wheelEnds.calipers[].clears.discShield': false,
  'wheelEnds.calipers[].clears.caliperShield': false,
  'wheelEnds.calipers[].clears.caliperWheel': false,
  'wheelEnds.calipers[].clears.hoseWheel': false,
  'wheelEnds.calipers[].clears.hoseSuspension': false,
  'wheelEnds.calipers[].clears.sensorWire': false,
  'wheelEnds.calipers[].padOverMm': 3,
  'wheelEnds.calipers[].innerGapMm': 4,
  'wheelEnds.wheels[].readings.barrelRadiusMm': 150.5,
  'wheelEnds.wheels[].readings.spokesMm': 40.5,
  'wheelEnds.wheels[].spacerMm': 20,
  'wheelEnds.wheels[]': (wheel) => ({ ...(wheel as object), spacerMm: 5, stacked: true }),
  'wheelEnds.wheels[].studs.lengthMm': 20,
  'wheelEnds.hubs[].endPlayMm': 0.5,
  'wheelEnds.hubs[].newLock': false,
  'wheelEnds.play.coldMm': 0,
  'wheelEnds.play.hotMm': 0,
  'wheelEnds.play.valveHolds': false,
  'proving.holds[].startMPa': 0.5,
  'proving.holds[].endMPa': 0.1,
  'proving.holds[].minutes': 1,
  'proving.holds[].rests': 'otherwise',
  'proving.rounds[].good': false,
  'proving.rounds[].rests': 'otherwise',
  'proving.pedal.1.sinks': true,
  'proving.pedal.1.travelMm': 120,
  'proving.pedal.1.pumps': true,
  'proving.stops[].distanceM': 60,
  'proving.stops[].locked': 'rear',
};

/** Every way to turn one reading of a plan into a bad one: where, and the plan with it. */
export function withBadReadings(plan: Plan): { readonly where: string; readonly plan: Plan }[] {
  const placesOf = (value: unknown, keys: readonly string[]): string[][] => {
    const [key, ...rest] = keys;
    if (key === undefined) return [[]];
    if (key !== '[]') {
      const next = (value as Record<string, unknown> | null | undefined)?.[key];
      return next === undefined || next === null
        ? []
        : placesOf(next, rest).map((tail) => [key, ...tail]);
    }
    return (value as unknown[]).flatMap((item, i) =>
      placesOf(item, rest).map((tail) => [String(i), ...tail]),
    );
  };
  const at = (value: unknown, keys: readonly string[]): unknown =>
    keys.reduce((held, key) => (held as Record<string, unknown>)[key], value);
  return Object.entries(BAD_READINGS).flatMap(([path, to]) =>
    placesOf(plan, path.replaceAll('[]', '.[]').split('.')).flatMap((keys) => {
      const now = at(plan, keys);
      const bad = typeof to === 'function' ? to(now) : to;
      return bad === now ? [] : [{ where: keys.join('.'), plan: put(plan, keys, bad) }];
    }),
  );
}
