import { demo } from '../testing/demo-plans.ts';
import {
  circuitDigest,
  expectedPedal,
  pedalOn,
  signedDigest,
  signedSections,
  signoff,
  type Signoff,
} from '../stations/prove/index.ts';
import {
  NO_FILLING,
  NO_PROVING,
  type HoldTest,
  type PedalReading,
  type Plan,
  type Proving,
  type StopTest,
} from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const AT = '2026-03-02T09:00:00Z';
const plan = (patch: Partial<Proving>, of: Plan = gannet): Plan => ({
  ...of,
  proving: { ...NO_PROVING, ...patch },
});
const found = (of: Plan, rule: string): Snag[] => inspect(of).filter((snag) => snag.rule === rule);
const rests = (of: Plan = gannet): string => circuitDigest(of.circuits[0]!, viewPlan(of));
const hold = (patch: Partial<HoldTest> = {}): HoldTest => ({
  id: 'h',
  at: AT,
  circuitId: 'circuit-1',
  wantedMPa: 7,
  startMPa: 15,
  endMPa: 15,
  startC: 18,
  endC: 18,
  minutes: 5,
  sigmaMPa: 0.01,
  rests: rests(),
  ...patch,
});
const stopped = (patch: Partial<StopTest> = {}): StopTest => ({
  id: 's',
  at: AT,
  when: 'after',
  fromKmh: 40,
  distanceM: 11,
  locked: 'none',
  valveTurns: 3,
  ...patch,
});

describe('follow-up-due', () => {
  const sign = {
    at: AT,
    by: 'AB',
    as: 'qualified',
    scope: 'road',
    rests: 'abc',
    exceptions: [],
  } as const;
  const due = (patch: Partial<Proving>, on?: string): string[] =>
    found(
      plan(
        { signed: [sign], ...patch },
        on
          ? { ...gannet, floor: { ...gannet.floor, session: { ...gannet.floor.session, on } } }
          : gannet,
      ),
      'follow-up-due',
    ).map(({ level, text }) => `${level}: ${text}`);

  it('says what its distance has come for, until it is recorded', () => {
    expect(due({ drivenKm: 49 })).toEqual([]);
    const at50 = due({ drivenKm: 50 });
    expect(
      at50.filter((text) => /^caution: Overdue since 50 km: Every joint dry/.test(text)),
    ).toHaveLength(1);
    const checked = { key: 'joints', at: '2026-03-09T09:00:00Z', good: true, note: '' };
    expect(due({ drivenKm: 50, followUps: [checked] })).toHaveLength(at50.length - 1);
    expect(due({ drivenKm: 50, signed: [{ ...sign, scope: 'move' }] })).toEqual([]);
    expect(
      due({ drivenKm: 50, followUps: [{ ...checked, good: false, note: 'R1 is wet' }] }),
    ).toContain(
      'stop: A follow-up check was not good: Every joint dry and tight, pushrod free play checked hot. R1 is wet',
    );
  });
  it('says what its day has come for', () => {
    expect(due({}, '2028-03-01')).not.toContainEqual(expect.stringMatching(/replace the fluid/));
    expect(due({}, '2028-03-02')).toContainEqual(
      expect.stringMatching(/^caution: Overdue since 2028-03-02: Tandem master: replace the fluid/),
    );
  });
});

describe('rules of proving: the plan in which each speaks, and the nearest in which it does not', () => {
  test('a plan that nobody began to prove has none of them', () => {
    expect(inspect(plan({})).filter(({ station }) => station === 'prove')).toEqual([]);
  });
  test("'air-test-over' of gas over a tenth of the working pressure, and of a system that is wet", () => {
    const test = {
      id: 'a',
      at: AT,
      lineIds: ['line-f1'],
      volumeMl: 30,
      startMPa: 0.7,
      endMPa: 0.7,
      startC: 18,
      endC: 18,
      minutes: 30,
      limitMlPerMin: 0.1,
      sigmaMPa: 0.003,
      sigmaC: 0.5,
      rests: '',
    };
    expect(
      found(plan({ airTests: [{ ...test, startMPa: 0.71 }] }), 'air-test-over').map(
        ({ where }) => where,
      ),
    ).toEqual(['F1']);
    expect(found(plan({ airTests: [test] }), 'air-test-over')).toEqual([]);
    const run = {
      id: 'r',
      work: 'brake',
      method: 'two-people',
      order: ['bleed-rr'],
      flushMl: [1],
      extraAfter: null,
      parkingTimes: 0,
      strokeMl: 5,
      fullMl: 100,
      markMl: 30,
      startedAt: '2026-03-01',
      log: [
        { act: 'open', at: '2026-03-01' },
        { act: 'stroke', at: '2026-03-01' },
      ],
    } as const;
    const wet = { ...gannet, filling: { ...NO_FILLING, runs: [run] } };
    expect(found(plan({ airTests: [test] }, wet), 'air-test-over')[0]!.text).toMatch(
      /Tested with gas after filling/,
    );
    expect(
      found(plan({ airTests: [{ ...test, at: '2026-02-20' }] }, wet), 'air-test-over'),
    ).toEqual([]);
  });
  test("'hold-missing' where it was driven unheld, or it fell", () => {
    expect(found(plan({ stops: [stopped()] }), 'hold-missing').map(({ level }) => level)).toContain(
      'stop',
    );
    expect(found(plan({ holds: [hold()] }), 'hold-missing')).toEqual([]);
    expect(found(plan({ holds: [hold({ endMPa: 14 })] }), 'hold-missing')[0]!.text).toMatch(
      /fell by 1 MPa/,
    );
  });
  test("'leak-open' until it is looked at again and dry", () => {
    const look = (good: boolean): Plan =>
      plan({
        rounds: [
          {
            key: 'leak:circuit-1/line-f2.b',
            at: AT,
            good,
            note: 'a drop a minute',
            rests: rests(),
          },
        ],
      });
    expect(found(look(false), 'leak-open')[0]!.text).toMatch(
      /F2, end B at Front left: a drop a minute/,
    );
    expect(found(look(true), 'leak-open')).toEqual([]);
    // What leaked there is gone with its line.
    const without = {
      ...look(false),
      lines: look(false).lines.filter(({ id }) => id !== 'line-f2'),
    };
    expect(found(without, 'leak-open')).toEqual([]);
  });
  const felt = (patch: Partial<PedalReading>): PedalReading => ({
    id: 'p',
    at: AT,
    vehicle: 'this',
    engine: 'off',
    hot: false,
    travelMm: 60,
    forceN: 300,
    sinks: false,
    pumps: false,
    ...patch,
  });
  test("'pedal-sinks' of this vehicle, as it was felt last", () => {
    expect(found(plan({ pedal: [felt({ sinks: true })] }), 'pedal-sinks')).toHaveLength(1);
    expect([
      ...found(plan({ pedal: [felt({ sinks: true }), felt({ id: 'q' })] }), 'pedal-sinks'),
      ...found(plan({ pedal: [felt({ sinks: true, vehicle: 'reference' })] }), 'pedal-sinks'),
    ]).toEqual([]);
  });
  test("'pedal-hot' where it grows by 8 mm and more between cold and hot", () => {
    const grown = (mm: number, more: Partial<PedalReading> = {}): Snag[] =>
      found(
        plan({ pedal: [felt({}), felt({ id: 'q', hot: true, travelMm: 60 + mm, ...more })] }),
        'pedal-hot',
      );
    expect(grown(8)).toHaveLength(1);
    expect([...grown(7.9), ...grown(20, { engine: 'running' })]).toEqual([]);
  });
  test("'rear-locked' in the last stop", () => {
    expect(found(plan({ stops: [stopped({ locked: 'rear' })] }), 'rear-locked')[0]!.text).toMatch(
      /the vehicle can spin/,
    );
    expect([
      ...found(
        plan({ stops: [stopped({ locked: 'rear' }), stopped({ id: 't', locked: 'front' })] }),
        'rear-locked',
      ),
    ]).toEqual([]);
  });
  test("'changed-since-proved' of a proof on another state, and of a signature", () => {
    expect(
      found(plan({ holds: [hold({ rests: 'older' })] }), 'changed-since-proved').map(
        ({ level, place }) => [level, place.kind],
      ),
    ).toEqual([['caution', 'circuit']]);
    expect(found(plan({ holds: [hold()] }), 'changed-since-proved')).toEqual([]);
    const held = plan({ holds: [hold()] });
    const sign = (of: Plan): Plan => ({
      ...held,
      proving: {
        ...held.proving,
        signed: [
          {
            at: AT,
            by: 'AB',
            as: 'builder',
            scope: 'move',
            rests: signedDigest(viewPlan(of)),
            sections: signedSections(viewPlan(of)),
            exceptions: [],
          },
        ],
      },
    });
    expect(
      found(sign(gannet), 'changed-since-proved').map(({ level, text }) => [level, text]),
    ).toEqual([['stop', 'Signed on 2026-03-02, and no longer valid. Changed since: tests.']]);
    expect(found(sign(held), 'changed-since-proved')).toEqual([]);
  });
  // The pedal that Size calculates, read at seven pressures, with so much over it.
  const held = expectedPedal(gannet.circuits[0]!, viewPlan(gannet))!;
  const pedal = pedalOn(gannet.circuits[0]!, gannet);
  const mmPerMl = (1000 * pedal.ratio) / ((Math.PI / 4) * pedal.boreMm ** 2);
  const curve = ({ airMl = 0, flex = 0, playMm = 0 }, pumped?: true) => ({
    id: 'c',
    at: AT,
    circuitId: 'circuit-1',
    by: 'typed' as const,
    engine: 'off' as const,
    hot: false,
    ...(pumped ? { pumped } : {}),
    ...pedal,
    sigmaMm: 0.2,
    rests: '',
    points: [0, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8, 1.5, 3, 5, 7].map((p) => ({
      pressureMPa: p,
      travelMm:
        playMm +
        held.expected.t0Mm +
        (held.expected.flexMmPerMPa + flex) * p +
        held.expected.padMm * (1 - Math.exp(-p / held.expected.padMPa)) +
        airMl * mmPerMl * (1 - 0.101325 / (0.101325 + p)),
    })),
  });
  const texts = (one: ReturnType<typeof curve>, rule: string): string[] =>
    found(plan({ curves: [one] }), rule).map(({ level, text }) => `${level}: ${text}`);
  test.each([
    ['air', { airMl: 4 }, { airMl: 0.2 }, /^caution: .* mL of air .*Bleed again/],
    ['flex', { flex: 8 }, { flex: 0.5 }, /^caution: The pedal flexes \d+ mm more/],
    ['free play', { playMm: 40 }, { playMm: 4 }, /^caution: The pedal has \d+ mm more free play/],
    ['another pedal', { flex: -5.5 }, { flex: -0.5 }, /^caution: The pedal is far firmer/],
  ])("'travel-differs' where the curve has more %s than Size", (_, over, within, says) => {
    expect(texts(curve(over), 'travel-differs')).toEqual([expect.stringMatching(says)]);
    expect(texts(curve(within), 'travel-differs')).toEqual([]);
    // A pumped pedal says nothing of it.
    expect(texts(curve(over, true), 'travel-differs')).toEqual([]);
  });
  test("'travel-differs' without a figure in Size, where the curve itself calls it air", () => {
    // π/4·22.225²/6.2 = 62.6 mm³ a mm of pedal: so much air by Boyle, 3 mm a MPa of flex, 10 mm of play.
    const bare = (airMl: number): Snag[] => {
      const points = curve({}).points.map(({ pressureMPa: p }) => ({
        pressureMPa: p,
        travelMm: 10 + 3 * p + (airMl / 0.0626) * (1 - 0.101325 / (0.101325 + p)),
      }));
      return found(
        plan({ curves: [{ ...curve({}), points }] }, { ...gannet, sizing: null }),
        'travel-differs',
      );
    };
    expect(bare(5)[0]!.text).toMatch(/shows 5(\.\d)? mL of air \(.*\)\. Bleed again/);
    expect(bare(0)).toEqual([]);
  });
  test("'port-covered' where the pedal begins sooner than it can", () => {
    expect(texts(curve({ playMm: -14 }), 'port-covered')).toEqual([
      expect.stringMatching(/^stop: The pedal curve begins 1\d mm .* sooner/),
    ]);
    expect(texts(curve({ playMm: -4 }), 'port-covered')).toEqual([]);
  });
});

describe('the sign-off counts every stop of Prove', () => {
  const result = (of: Plan): Signoff => signoff(viewPlan(of), inspect(of));
  const added = (patch: Partial<Proving>): string[] => {
    const before = new Set(result(plan({})).items.map(({ text }) => text));
    return result(plan(patch)).items.flatMap(({ grave, where, text }) =>
      grave && !before.has(text) ? [`${where}: ${text}`] : [],
    );
  };
  const felt = {
    id: 'p',
    at: AT,
    vehicle: 'this',
    engine: 'off',
    forceN: 300,
    sinks: false,
    pumps: false,
  } as const;
  const cold = { ...felt, hot: false, travelMm: 60 };
  const gas = {
    id: 'a',
    at: AT,
    lineIds: ['line-f1'],
    volumeMl: 30,
    startMPa: 0.7,
    endMPa: 0.7,
    startC: 18,
    endC: 18,
    minutes: 30,
    limitMlPerMin: 0.1,
    sigmaMPa: 0.003,
    sigmaC: 0.5,
    rests: '',
  };
  const leak = {
    key: 'leak:circuit-1/line-f2.b',
    at: AT,
    good: false,
    note: 'a drop a minute',
    rests: rests(),
  };
  it.each<[string, Partial<Proving>, Partial<Proving>, RegExp]>([
    ['air-test-over', { airTests: [{ ...gas, startMPa: 0.71 }] }, { airTests: [gas] }, /0.71 MPa/],
    [
      'leak-open',
      { rounds: [leak] },
      { rounds: [{ ...leak, good: true }] },
      /F2, end B.*a drop a minute/,
    ],
    [
      'pedal-sinks',
      { pedal: [{ ...cold, sinks: true }] },
      { pedal: [cold] },
      /sinks under a steady foot/,
    ],
    [
      'pedal-hot',
      { pedal: [cold, { ...cold, hot: true, travelMm: 68 }] },
      { pedal: [cold, { ...cold, hot: true, travelMm: 67 }] },
      /8 mm longer hot/,
    ],
    ['hold-missing', { holds: [hold({ endMPa: 14 })] }, { holds: [hold()] }, /fell by 1 MPa/],
    [
      'pedal-pumps',
      { pedal: [{ ...cold, pumps: true }] },
      { pedal: [{ ...cold, pumps: true }, cold] },
      /comes up when pumped/,
    ],
    [
      // 0.1·50 + 0.006·50² = 20 m by the rule for light vehicles.
      'stop-too-far',
      { stops: [stopped({ fromKmh: 50, distanceM: 20.1 })] },
      { stops: [stopped({ fromKmh: 50, distanceM: 19.9 })] },
      /took 20\.1 m; 20 m is the limit/,
    ],
    [
      'rear-locked',
      { stops: [stopped({ locked: 'rear' })] },
      { stops: [stopped()] },
      /rear locked first/,
    ],
  ])('%s', (_rule, worse, sound, words) => {
    expect(added(worse).filter((text) => words.test(text))).toHaveLength(1);
    expect(added(sound).filter((text) => words.test(text))).toEqual([]);
    const { road, move } = result(plan(worse));
    expect([road.may, move.may]).toEqual([false, false]);
  });
  it('a signature that is void is no obstacle to the next', () => {
    const sign = {
      at: AT,
      by: 'AB',
      as: 'builder',
      scope: 'move',
      rests: 'older',
      exceptions: [],
    } as const;
    expect(found(plan({ signed: [sign] }), 'changed-since-proved')).toHaveLength(1);
    expect(result(plan({ signed: [sign] })).items).toEqual(result(plan({})).items);
  });
});
