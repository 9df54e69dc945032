import { withRound, withoutRound } from '../../testing/records.ts';
import {
  applyEdit,
  freshFluid,
  NO_FILLING,
  NO_PROVING,
  type HoldTest,
  type StopTest,
  type PedalReading,
  type Plan,
  type Proving,
} from '../../plan/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { poured } from '../../testing/poured.ts';
import { gasEnergyJ } from '../../physics/proof-tests/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { quantitiesIn, shownUnits } from '../../lib/units/index.ts';
import {
  airCeilingMPa,
  circuitDigest,
  comparePlans,
  expectedStopM,
  holdAsk,
  stopAdvice,
  besideReference,
  judgeCurve,
  judgeHold,
  provingTests,
  testsInvalidatedBy,
} from './index.ts';

/** What of the minimiser is used; it has no types of its own. */
type Minimise = (
  of: (x: number[]) => number,
  from: number[],
  how: object,
) => { readonly x: number[] };
const { nelderMead } = jest.requireActual<{ nelderMead: Minimise }>('fmin');

const gannet = demo('gannet');
const AT = '2026-03-02T09:00:00Z';
const proved = (patch: Partial<Proving>, of: Plan = gannet): Plan => ({
  ...of,
  proving: { ...NO_PROVING, ...patch },
});
const hold = (patch: Partial<HoldTest> = {}): HoldTest => ({
  id: 'hold-1',
  at: AT,
  circuitId: 'circuit-1',
  wantedMPa: 7,
  startMPa: 7,
  endMPa: 6.98,
  startC: 18,
  endC: 18,
  minutes: 5,
  sigmaMPa: 0.02,
  rests: '',
  ...patch,
});

/** As stiff as the front of Gannet, and held at 7 MPa: 0.35 MPa may be lost. */
const SHUT = { wantedMPa: 7, stiffnessMPaPerK: 0.25, stiffnessSigmaMPaPerK: 0.1 };
describe('a hydraulic hold', () => {
  it('holds, falls, is too low, or cannot tell', () => {
    const verdict = (patch: Partial<HoldTest>): string => judgeHold(hold(patch), SHUT).verdict;
    expect(verdict({})).toBe('held');
    // 0.35 MPa less and more than two sigma of both readings and of the thermometer: 2·√2·√(0.02² + (0.25·0.05)²) = 0.067.
    expect([6.72, 6.71].map((endMPa) => verdict({ endMPa }))).toEqual(['held', 'cannot-tell']);
    expect([6.59, 6.58].map((endMPa) => verdict({ endMPa }))).toEqual(['cannot-tell', 'fell']);
    expect(verdict({ startMPa: 6.7, endMPa: 6.7 })).toBe('low');
    expect(verdict({ minutes: 4 })).toBe('cannot-tell');
    expect(verdict({ sigmaMPa: 0.12 })).toBe('cannot-tell');
  });
  it('a fall while it warms is a larger one, unless what holds the pedal is alive', () => {
    const verdict = (patch: Partial<HoldTest>): string => judgeHold(hold(patch), SHUT).verdict;
    // 0.4 MPa less, and 0.25 MPa that 1 °C should have added, known to 0.1.
    expect(verdict({ endMPa: 6.6, endC: 19 })).toBe('fell');
    expect(verdict({ endMPa: 6.6 })).toBe('cannot-tell');
    expect(verdict({ endMPa: 6.75, endC: 19, pedal: 'live' })).toBe('held');
    // Colder by 1 °C: that explains it.
    expect(verdict({ endMPa: 6.75, endC: 17 })).toBe('held');
    expect(verdict({ endMPa: 7.5, endC: 20 })).toBe('cannot-tell');
  });
  it('is described in the units that are shown', () => {
    const psi = quantitiesIn(shownUnits('inch'));
    expect(judgeHold(hold({ endMPa: 6 }), SHUT).words).toMatch(/^Pressure fell by 1 MPa;/);
    // 1 MPa is 145 psi (NIST SP 811), said to the tens that two places of a megapascal tell.
    expect(judgeHold(hold({ endMPa: 6 }), SHUT, psi).words).toMatch(/^Pressure fell by 145 psi;/);
    expect(judgeHold(hold({ startMPa: 6 }), SHUT, psi).words).toMatch(
      /^Held at 870 psi, but 1015 psi required/,
    );
  });
  it('is at the planned pressure, and once at what the foot of the rule makes: no rating lowers it', () => {
    const ask = (of: Plan) => holdAsk(of.circuits[0]!, viewPlan(of));
    const { pedal, master } = gannet.sizing!;
    const bore = (master as { boreMm: number }).boreMm;
    // By hand: 500 N · ratio · efficiency ÷ π/4·bore².
    expect(ask(gannet).mostMPa).toBeCloseTo(
      (500 * pedal.ratio * pedal.efficiency) / ((Math.PI / 4) * bore ** 2),
      1,
    );
    expect(ask(gannet).wantedMPa).toBeCloseTo(
      (480 * pedal.ratio * pedal.efficiency) / ((Math.PI / 4) * bore ** 2),
      1,
    );
    // A booster works as it does on the road.
    const boosted: Plan = {
      ...gannet,
      sizing: { ...gannet.sizing!, booster: { gain: 3, vacuumKPa: 70, diaphragmMm2: 40_000 } },
    };
    expect(ask(boosted).mostMPa).toBeGreaterThan(1.8 * ask(gannet).mostMPa!);
    const rated = {
      ...gannet,
      parts: gannet.parts.map((part) =>
        part.id === 'fl' ? { ...part, figures: { ratingMPa: 3 } } : part,
      ),
    };
    expect({ ...ask(rated), rated: null }).toEqual({ ...ask(gannet), rated: null });
    // It is said how soon what bears least is passed by warming: at once where it is passed already.
    expect(ask(rated).rated).toEqual({ mpa: 3, name: 'Front left' });
    const how = (plan: Plan): string =>
      provingTests(viewPlan(plan)).find(({ hold: one }) => one)!.how;
    expect(how(rated)).toMatch(/0 °C warmer, it passes the 3 MPa that Front left holds\./);
    // (15 − 6.9) / 0.243 by hand.
    expect(how(gannet)).toMatch(/33 °C warmer, it passes the 15 MPa that Tandem master holds\./);
  });
  it('fluid shut in rises by what it expands over what gives: less than 1.4 MPa a degree, that of rigid steel', () => {
    // 7.5e-4 a degree against a bulk modulus of 1.7 GPa are 1.28 MPa (handbook values, from memory).
    for (const circuit of gannet.circuits.slice(0, 2)) {
      const { stiffnessMPaPerK } = holdAsk(circuit, viewPlan(gannet));
      expect(stiffnessMPaPerK).toBeGreaterThan(0.1);
      expect(stiffnessMPaPerK).toBeLessThan(1.28);
    }
  });
  it('gas is let in to a tenth of the working pressure at most, and never over 0.7 MPa', () => {
    expect([airCeilingMPa(5), airCeilingMPa(11)]).toEqual([0.5, 0.7]);
    // 50 mL are let in at 0.7 MPa; a liter only as far as its gas stores 50 J.
    expect(airCeilingMPa(11, 50)).toBe(0.7);
    expect(gasEnergyJ(airCeilingMPa(11, 1000), 1000)).toBeCloseTo(50, 6);
  });
});

describe('what proofs rest on', () => {
  const view = viewPlan(gannet);
  const front = gannet.circuits[0]!;
  const edits: [string, Plan, boolean][] = [
    ['a name', { ...gannet, name: 'Other' }, false],
    ['a note', { ...gannet, notes: 'x' }, false],
    [
      'a corner of a line',
      applyEdit(gannet, {
        edit: 'changeLine',
        with: {
          id: 'line-f1',
          patch: {
            cornersMm: gannet.lines[0]!.cornersMm.map((at, i) =>
              i ? at : ([at[0], at[1], at[2] + 12] as const),
            ),
          },
        },
      }),
      true,
    ],
    ['the fluid', poured(gannet, 'dot-5.1'), true],
  ];
  it.each(edits)('%s', (_what, other, changes) => {
    expect(circuitDigest(front, viewPlan(other)) !== circuitDigest(front, view)).toBe(changes);
  });
  it('an edit that touches a circuit makes its proofs void, leaves the others, and says so before', () => {
    const rests = (id: string): string =>
      circuitDigest(
        gannet.circuits.find((circuit) => circuit.id === id)!,
        view,
      );
    const plan = proved({
      holds: ['circuit-1', 'circuit-2'].map((circuitId) => ({
        ...hold(),
        id: `hold-${circuitId}`,
        circuitId,
        startMPa: 15,
        endMPa: 15,
        rests: rests(circuitId),
      })),
    });
    const state = (of: Plan) =>
      provingTests(viewPlan(of))
        .filter(({ hold: is }) => is)
        .map(({ state }) => state);
    expect(state(plan).slice(0, 2)).toEqual(['done', 'done']);
    const bent = applyEdit(plan, {
      edit: 'changeLine',
      with: {
        id: 'line-f1',
        patch: {
          cornersMm: plan.lines[0]!.cornersMm.map((at, i) =>
            i ? at : ([at[0], at[1], at[2] + 12] as const),
          ),
        },
      },
    });
    expect(state(bent).slice(0, 2)).toEqual(['void', 'done']);
    expect(testsInvalidatedBy(viewPlan(plan), viewPlan(bent))).toEqual([
      expect.stringMatching(/^Front brakes/),
    ]);
    expect(testsInvalidatedBy(viewPlan(plan), viewPlan({ ...plan, name: 'Other' }))).toEqual([]);
    // Another fluid in the reservoir of the brakes undoes both; in the clutch's own it undoes neither.
    const filled = (part: string): Plan => ({
      ...plan,
      filling: { ...NO_FILLING, fluids: [freshFluid(part, 'dot-5.1')] },
    });
    expect(state(filled('master')).slice(0, 2)).toEqual(['void', 'void']);
    expect(state(filled('clutch-master')).slice(0, 2)).toEqual(['done', 'done']);
  });
});

describe('rounds', () => {
  it('come in order, locked by what goes before', () => {
    const rounds = provingTests(viewPlan(gannet));
    const state = Object.fromEntries(rounds.map(({ key, state: is }) => [key, is]));
    expect(state).toMatchObject({
      'low:circuit-1': 'open',
      'hold:circuit-1': 'locked',
      'leak:circuit-1': 'locked',
      'grips:circuit-1': 'locked',
      lamps: 'open',
      walking: 'locked',
    });
    expect(new Set(rounds.map(({ key }) => key)).size).toBe(rounds.length);
  });
  it('leaks are looked for place by place: good once all are dry, not good with one that is wet', () => {
    const leak = (of: Plan) =>
      provingTests(viewPlan(of)).find(({ key }) => key === 'leak:circuit-1')!;
    const { looks, rests } = leak(gannet);
    const front = gannet.lines.filter(({ circuitId }) => circuitId === 'circuit-1').length;
    const hosed = gannet.hoses.filter(({ circuitId }) => circuitId === 'circuit-1').length;
    // Both ends of each line, one or both of each hose, a bleeder for each of two calipers.
    expect(looks.length).toBeGreaterThanOrEqual(2 * front + hosed + 2);
    expect(looks.map(({ name }) => name)).toContain('Front left, bleeder');
    expect(new Set(looks.map(({ key }) => key)).size).toBe(looks.length);
    const told = (keys: readonly string[], good = true, from: Plan = gannet): Plan => ({
      ...from,
      proving: keys.reduce(
        (so, key) => withRound(so, { key, rests }, good, '', '2026-03-02'),
        from.proving,
      ),
    });
    const all = told(looks.map(({ key }) => key));
    expect(leak(all).state).toBe('done');
    expect(leak(told(looks.slice(1).map(({ key }) => key))).note).toBe(
      `${looks.length - 1} of ${looks.length}: dry.`,
    );
    expect(leak(told([looks[3]!.key], false, all))).toMatchObject({
      state: 'bad',
      note: looks[3]!.name,
    });
    // Told for a circuit that is otherwise since, they are void.
    expect(leak(poured(all, 'dot-5.1')).state).toBe('void');
    expect(withoutRound(all.proving, 'leak:circuit-1').rounds).toEqual([]);
  });
  it('a booster asks for each circuit with the engine running too; hot comes after the first drive', () => {
    const booster = { gain: 4, vacuumKPa: 60, diaphragmMm2: 40_000 };
    const keys = (has: boolean): string[] =>
      provingTests(
        viewPlan({ ...gannet, sizing: { ...gannet.sizing!, booster: has ? booster : null } }),
      ).map(({ key }) => key);
    expect(keys(true)).toEqual(
      expect.arrayContaining(['grips:circuit-1', 'running:circuit-1', 'hot:circuit-1']),
    );
    expect(keys(false)).not.toContain('running:circuit-1');
    expect(provingTests(viewPlan(gannet)).find(({ key }) => key === 'hot:circuit-1')).toMatchObject(
      {
        state: 'locked',
        after: 'Stops at walking pace',
      },
    );
  });
  it('name the pressure of a hold in the unit that is chosen', () => {
    const name = (plan: Plan): string =>
      provingTests(viewPlan(plan)).find(({ hold: one }) => one)!.name;
    // 8 MPa is 1160 psi (0.0068948 MPa a psi, NIST SP 811).
    expect([name(gannet), name({ ...gannet, units: 'inch' })]).toEqual([
      'Front brakes: hold at 6.9 MPa',
      'Front brakes: hold at 1000 psi',
    ]);
  });
  it('of a trailer ask for breakaway and wires, of a clutch alone for no pedal of the brakes', () => {
    const keys = (plan: Plan): string[] => provingTests(viewPlan(plan)).map(({ key }) => key);
    expect(keys(demo('dunlin'))).toEqual(expect.arrayContaining(['breakaway', 'wires']));
    expect(keys(demo('dunlin'))).not.toContain('pedal-firm');
    expect(keys({ ...gannet, lines: [], parts: [] })).not.toContain('hold:circuit-1');
  });
});

describe('a pedal beside that of a good vehicle', () => {
  const felt = (patch: Partial<PedalReading>): PedalReading => ({
    id: 'p',
    at: AT,
    vehicle: 'this',
    engine: 'off',
    hot: false,
    travelMm: 70,
    forceN: 300,
    sinks: false,
    pumps: false,
    ...patch,
  });
  const reference = felt({ vehicle: 'reference', travelMm: 58, forceN: 310 });
  it('is compared at equal force and engine state alone', () => {
    expect(besideReference([felt({}), reference])!.longerMm).toBe(12);
    for (const other of [{ forceN: 200 }, { engine: 'running' as const }, { hot: true }])
      expect(besideReference([felt(other), reference])).toBeNull();
    expect(besideReference([felt({ forceN: null }), reference])).toBeNull();
  });
});

describe('the fit of a curve', () => {
  it('comes to what a general minimiser comes to (fmin, Nelder and Mead)', () => {
    const points = [0.05, 0.12, 0.3, 0.7, 1.5, 3, 5, 7].map((p, i) => ({
      pressureMPa: p,
      travelMm:
        11 +
        2.4 * p +
        40 * (1 - 0.101325 / (0.101325 + p)) +
        [0.2, -0.3, 0.1, 0.2, -0.1, 0.3, -0.2, 0.1][i]!,
    }));
    const found = judgeCurve({ ratio: 6, boreMm: 22.22, sigmaMm: 0.3, points })!;
    const squares = ([t0, c, a]: number[]): number =>
      points.reduce(
        (sum, { pressureMPa: p, travelMm }) =>
          sum + (travelMm - t0! - c! * p - a! * (1 - 0.101325 / (0.101325 + p))) ** 2,
        0,
      );
    const { x } = nelderMead(squares, [10, 1, 30], {
      maxIterations: 20_000,
      minErrorDelta: 1e-14,
      minTolerance: 1e-12,
    });
    expect([found.t0Mm, found.flexMmPerMPa]).toEqual([
      expect.closeTo(x[0]!, 3),
      expect.closeTo(x[1]!, 4),
    ]);
    expect(found.airMl).toBeCloseTo((x[2]! / 6) * ((Math.PI / 4) * 22.22 ** 2) * 1e-3, 4);
  });
});

describe('two plans compared', () => {
  it('in words, by station: how far a line grew, what is void', () => {
    const view = viewPlan(gannet);
    const rests = circuitDigest(gannet.circuits[0]!, view);
    const was = proved({ holds: [{ ...hold(), startMPa: 15, endMPa: 15, rests }] });
    const bent = applyEdit(was, {
      edit: 'changeLine',
      with: {
        id: 'line-f1',
        patch: {
          cornersMm: was.lines[0]!.cornersMm.map((at, i) =>
            i ? at : ([at[0], at[1], at[2] + 40] as const),
          ),
        },
      },
    });
    const words = comparePlans(viewPlan(was), viewPlan(bent)).map(
      ({ station, where, text }) => `${station} ${where}: ${text}`,
    );
    expect(words).toEqual([
      expect.stringMatching(
        /^route F1: 1 place moved; \d+ mm (longer|shorter); must be cut again$/,
      ),
      expect.stringMatching(/^prove Front.*: void$/),
    ]);
    expect(comparePlans(viewPlan(was), viewPlan({ ...was, changedAt: AT }))).toEqual([]);
    const places = (from: Plan, to: Plan): string[] =>
      comparePlans(viewPlan(from), viewPlan(to)).map(({ station, where }) => `${station} ${where}`);
    const wheatear = demo('wheatear');
    const hoses = wheatear.hoses.map((hose, i) => (i ? hose : { ...hose, orderMm: 777 }));
    expect(places(wheatear, { ...wheatear, hoses })).toEqual([`route ${hoses[0]!.name}`]);
    const { making, buying, bench, lines } = gannet;
    expect(places(gannet, { ...gannet, making: { ...making, stock: [] } })).toEqual([
      'make Stock and brackets',
    ]);
    expect(places(gannet, { ...gannet, buying: { ...buying, own: [] } })).toEqual([
      'make Shopping list',
    ]);
    expect(places(gannet, { ...gannet, bench: { ...bench, trimMm: 5 } })).toEqual(
      expect.arrayContaining(['make Bench']),
    );
    const clipped = lines.map((line, i) => (i ? line : { ...line, clipsMm: [1] }));
    expect(places(gannet, { ...gannet, lines: clipped })).toEqual([`route ${lines[0]!.name}`]);
    expect(
      comparePlans(
        viewPlan(gannet),
        viewPlan({ ...gannet, parts: gannet.parts.filter(({ id }) => id !== 'rear-tee') }),
      ).map(({ where }) => where),
    ).toContain('Rear tee');
  });
});

describe('what to do after a stop', () => {
  const stop = (locked: StopTest['locked'], valveTurns: number | null = 2): StopTest => ({
    id: 'stop-1',
    at: AT,
    when: 'after',
    fromKmh: 50,
    distanceM: 14,
    locked,
    valveTurns,
  });
  const valve = (kneeMPa: number, slope = 0.35): Plan => ({
    ...gannet,
    sizing: { ...gannet.sizing!, rearValve: { kneeMPa, slope } },
  });
  const said = (of: Plan, ...is: Parameters<typeof stop>): string =>
    stopAdvice(stop(...is), viewPlan(of));
  it('never gives the rear more past the knee that Size allows', () => {
    const allowed = viewPlan(valve(1)).size!.kneeFor(0.35)!;
    const perTurn = gannet.sizing!.kneePerTurnMPa!;
    expect(said(valve(allowed - 1.1 * perTurn), 'front')).toMatch(/one turn more stays under it/);
    expect(said(valve(allowed - 0.9 * perTurn), 'front')).toMatch(/give the rear no more/);
    expect(said(valve(allowed + 1), 'front')).toMatch(/give the rear no more/);
    // No knee of this slope will do.
    expect(said(gannet, 'front')).toMatch(/give the rear no more/);
    const unknown = valve(allowed - 1);
    expect(
      said({ ...unknown, sizing: { ...unknown.sizing!, kneePerTurnMPa: null } }, 'front'),
    ).toMatch(/Enter what a turn moves it/);
  });
  it('takes the rear back by as many turns as Size asks, one at least', () => {
    const allowed = viewPlan(valve(1)).size!.kneeFor(0.35)!;
    const perTurn = gannet.sizing!.kneePerTurnMPa!;
    expect(said(valve(allowed + 2.5 * perTurn), 'rear', 5)).toMatch(/by 3 turns, to 2,/);
    expect(said(valve(allowed - 1), 'rear', 5)).toMatch(/by one turn, to 4,/);
    expect(said({ ...gannet, sizing: null }, 'rear')).toMatch(/Do not drive it/);
    expect(said(gannet, 'none')).toBe('');
  });
  it('is held against what Size expects: v²/2zg and the build-up', () => {
    const { usableZ, limits } = viewPlan(gannet).size!.empty;
    const v = 50 / 3.6;
    expect(expectedStopM(stop('none'), viewPlan(gannet))).toBeCloseTo(
      v * limits!.buildUpS + (v * v) / (2 * usableZ * 9.80665),
      6,
    );
    expect(expectedStopM(stop('none'), viewPlan({ ...gannet, sizing: null }))).toBeNull();
  });
});
