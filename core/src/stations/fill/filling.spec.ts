import { withRun, withTold, withSection } from '../../testing/records.ts';
import {
  freshFluid,
  NO_FILLING,
  writePlan,
  type Filling,
  type FillRun,
  type Plan,
  type RunEvent,
} from '../../plan/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { viewPlan, type BleedView, type PlanView } from '../../plan/results/index.ts';
import { poured } from '../../testing/poured.ts';
import { demo } from '../../testing/demo-plans.ts';
import {
  BleedDrill,
  bleederNotes,
  circuitNotes,
  drillVehicle,
  airNetworkOf,
  airNow,
  preFillChecks,
  beginRun,
  changeSteps,
  instructionOf,
  allConfirmed,
  methodOf,
  methodsFor,
  predictSchools,
  replay,
  reservoirOf,
  runNow,
  turnsOf,
  lastFluidUse,
  withEvent,
  withoutLast,
} from './index.ts';
import { seeded } from '../../lib/random/index.ts';
import { pipeMl } from '../../physics/air/index.ts';

const gannet = demo('gannet');
const START = '2026-03-02T09:00:00Z';
const two = (value: number): string => String(value).padStart(2, '0');
const at = (seconds: number): string =>
  `2026-03-02T${two(9 + Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}Z`;
const brakes = (view: PlanView): BleedView => view.bleeding.find(({ work }) => work === 'brake')!;
const filled = (plan: Plan, patch: Partial<Filling>): Plan => ({
  ...plan,
  filling: { ...NO_FILLING, ...patch },
});
const begin = (plan: Plan): FillRun => {
  const view = viewPlan(plan);
  return beginRun(brakes(view), view, START)!;
};
/** A run with some acts, a second apart; what cannot be throws. */
const told = (run: FillRun, ...acts: (RunEvent['act'] | Omit<RunEvent, 'at'>)[]): FillRun =>
  acts.reduce(
    (now, act, i) =>
      withEvent(now, {
        at: at(run.log.length + i + 1),
        ...(typeof act === 'string' ? { act } : act),
      }),
    run,
  );
const state = (run: FillRun) => replay(run).state;
const small = (patch: Partial<FillRun> = {}): FillRun => ({
  id: 'run-1',
  work: 'brake',
  method: 'two-people',
  order: ['a', 'b'],
  flushMl: [10, 10],
  extraAfter: null,
  parkingTimes: 0,
  strokeMl: 5,
  fullMl: 60,
  markMl: 20,
  startedAt: START,
  log: [],
  ...patch,
});

describe('the network as air sees it', () => {
  it('holds what the plan holds in its lines and tees', () => {
    const view = viewPlan(gannet);
    const work = brakes(view);
    const network = airNetworkOf(work, view)!;
    const lines = view.lines
      .filter(({ line }) => work.net!.pipes.some(({ id }) => id === line.id))
      .reduce((sum, { volumeMl }) => sum + volumeMl, 0);
    // Two tees of 1 mL are counted to the pipes that leave them.
    expect(network.pipes.reduce((sum, pipe) => sum + pipeMl(pipe), 0)).toBeCloseTo(lines + 2, 1);
    expect(network.bleeders.map(({ id }) => id).sort()).toEqual([
      'bleed-fl',
      'bleed-fr',
      'bleed-rl',
      'bleed-rr',
    ]);
    // Tandem of 22.225 mm, 42 − 1.5 mm, shared by two chambers: π/4·22.225²·40.5/2 = 7.86 mL.
    expect(network.outlets.map(({ strokeMl }) => strokeMl)).toEqual([
      expect.closeTo(7.856, 2),
      expect.closeTo(7.856, 2),
    ]);
  });
  it('every demo has a network for every kind of work, and is bled by the simulation', () => {
    for (const plan of [gannet, demo('wheatear'), demo('dunlin')]) {
      const view = viewPlan(plan);
      for (const work of view.bleeding) {
        const network = airNetworkOf(work, view)!;
        const [one] = predictSchools({
          network,
          method: methodOf(NO_FILLING, plan, network).id,
          fluidId: 'dot-4',
          share: 1,
          orders: [{ school: 'farthest-first', order: work.result!.order.map(({ id }) => id) }],
        });
        expect([plan.name, work.work, one!.clear]).toEqual([plan.name, work.work, true]);
        expect(one!.ml).toBeGreaterThan(5);
      }
    }
  });
});

describe('methods', () => {
  const lacks = (people: number, tools: Filling['tools'], plan = gannet): Record<string, string> =>
    Object.fromEntries(
      methodsFor({ people, tools }, plan, airNetworkOf(brakes(viewPlan(plan)), viewPlan(plan))).map(
        ({ method, lacks: what }) => [method.id, what],
      ),
    );
  it('say what they lack', () => {
    const alone = lacks(1, ['hose and jar', 'pressure pot']);
    expect(alone['two-people']).toBe('needs 2 people');
    expect(alone['pressure']).toBe('needs cap adapter');
    expect(alone['actuator']).toBe('no actuator');
    expect(lacks(2, ['hose and jar'])['two-people']).toBe('');
    expect(lacks(2, ['vacuum pump', 'hose and jar'], poured(gannet, 'dot-5'))['vacuum']).toBe(
      'silicone foams under vacuum',
    );
  });
  it('one is picked by people, tools and the vehicle', () => {
    const picked = (plan: Plan, people: number, tools: Filling['tools']) =>
      methodOf({ method: null, people, tools }, plan, null).id;
    expect(picked(gannet, 2, ['hose and jar'])).toBe('two-people');
    expect(picked(gannet, 1, ['hose and jar', 'one-way bleeder'])).toBe('one-way');
    expect(picked(gannet, 1, ['hose and jar', 'pressure pot', 'cap adapter'])).toBe('pressure');
    expect(picked(demo('dunlin'), 2, ['hose and jar'])).toBe('actuator');
  });
});

describe('what goes before', () => {
  it('locks the first pump until each is said, and again once what it was said of is otherwise', () => {
    const view = viewPlan(gannet);
    const gates = preFillChecks(brakes(view), view, 'two-people');
    expect(gates.map(({ key }) => key)).toEqual(
      expect.arrayContaining([
        'covered',
        'joints:brake',
        'play:master',
        'drums',
        'pads',
        'bleeders:brake',
        'bench:master',
        'cap:brake',
        'fluid:brake',
        'later',
      ]),
    );
    expect(allConfirmed(gates)).toBe(false);
    const said = gates.reduce((filling, gate) => withTold(filling, gate, START), NO_FILLING);
    const open = (plan: Plan, method: Filling['method'] = 'two-people') =>
      preFillChecks(brakes(viewPlan(plan)), viewPlan(plan), method!)
        .filter(({ done }) => !done)
        .map(({ key }) => key);
    // Gannet has spare ports and open ends of none: what is left cannot be said here.
    const left = open(filled(gannet, said));
    expect(left.filter((key) => key !== 'ends')).toEqual([]);
    expect(open(poured(filled(gannet, said), 'dot-5.1'))).toContain('fluid:brake');
    expect(open(filled(gannet, said), 'pressure')).toContain('cap:brake');
    // Another fluid in its own reservoir asks for another bottle.
    expect(open(filled(gannet, { ...said, fluids: [freshFluid('master', 'dot-5.1')] }))).toContain(
      'fluid:brake',
    );
    expect(
      open(filled(gannet, { ...said, fluids: [freshFluid('clutch-master', 'dot-5.1')] })),
    ).not.toContain('fluid:brake');
    expect(open(filled(gannet, { ...said, when: 'later' }))).toContain('later');
  });
  it('takes the free play from what Fit measured, of the brakes alone', () => {
    const played = (coldMm: number): Plan => ({
      ...gannet,
      wheelEnds: { ...gannet.wheelEnds, play: { coldMm, hotMm: null, valveHolds: null } },
    });
    const at = (plan: Plan, key: string) => {
      const view = viewPlan(plan);
      const work = view.bleeding.find(
        ({ work }) => work === (key === 'play:master' ? 'brake' : 'clutch'),
      )!;
      const { done, known } = preFillChecks(work, view, 'two-people').find(
        (one) => one.key === key,
      )!;
      return { done, known };
    };
    expect(at(played(2), 'play:master')).toEqual({ done: true, known: true });
    expect(at(played(0), 'play:master')).toEqual({ done: false, known: true });
    expect(at(gannet, 'play:master')).toEqual({ done: false, known: false });
    expect(at(played(2), 'play:clutch-master')).toEqual({ done: false, known: false });
  });
});

describe('the run', () => {
  it('open, down, shut and up: no pedal comes up with the bleeder open', () => {
    const down = told(small(), 'open', 'stroke');
    expect(state(down)).toMatchObject({
      phase: 'down',
      reservoirMl: 55,
      corners: [{ strokes: 1, ml: 5 }, {}],
    });
    expect(() => told(down, 'stroke')).toThrow(
      'Close the bleeder and let the pedal up before the next stroke',
    );
    expect(() => told(down, 'next')).toThrow('Close the bleeder first');
    expect(() => told(small(), 'stroke')).toThrow('Open the bleeder first');
    expect(
      state(told(down, 'close', 'open', 'stroke', 'close', { act: 'out', out: 'clear' }, 'next')),
    ).toMatchObject({
      step: 1,
      phase: 'ready',
      open: [],
    });
  });
  it('a one-way bleeder stays open over strokes', () => {
    expect(
      state(told(small({ method: 'one-way' }), 'open', 'stroke', 'stroke', 'stroke')).corners[0],
    ).toMatchObject({
      strokes: 3,
      ml: 15,
    });
  });
  it('never goes on at the mark unwarned, whatever order of taps', () => {
    const low = told(
      small({ method: 'one-way' }),
      'open',
      ...Array.from({ length: 8 }, () => 'stroke' as const),
    );
    expect(state(low)).toMatchObject({ phase: 'low', reservoirMl: 20 });
    expect(() => told(low, 'stroke')).toThrow('The reservoir is at the mark');
    expect(() => told(low, 'next')).toThrow();
    expect(state(told(low, 'top-up'))).toMatchObject({ phase: 'open', reservoirMl: 60 });
    expect(state(told(low, { act: 'level', ml: 35 }))).toMatchObject({
      phase: 'open',
      reservoirMl: 35,
    });
    expect(state(told(low, { act: 'level', ml: 10 })).phase).toBe('low');
  });
  it('no two bleeders stand open, but by gravity', () => {
    expect(() => told(small({ method: 'one-way' }), 'open', 'next')).toThrow(
      'Close the bleeder first',
    );
    expect(state(told(small({ method: 'gravity' }), 'open', 'next', 'open')).open).toEqual([
      'a',
      'b',
    ]);
  });
  it('a pot is vented before its cap is opened', () => {
    const low = told(small({ method: 'pressure' }), 'open', { act: 'read', ml: 40 });
    expect(() => told(low, 'top-up')).toThrow('Vent the pot first');
    expect(() => told(low, 'vent')).toThrow('Close the bleeder first');
    expect(state(told(low, 'close', 'vent', 'top-up'))).toMatchObject({
      phase: 'ready',
      reservoirMl: 60,
    });
  });
  it('a bleeder that gives nothing: each cause in its turn, then on', () => {
    let run = told(small(), 'open', 'stroke', 'stall');
    const titles: string[] = [];
    for (const how of ['back-fill', 'tap', 'port', 'piston']) {
      titles.push(instructionOf(run, state(run), () => 'Rear left').title);
      run = told(run, { act: 'tried', how });
    }
    expect(titles.map((title) => title.split(' ')[0])).toEqual(['Push', 'Tap', 'Close', 'Stuck']);
    expect(instructionOf(run, state(run), () => '').title).toBe(
      'Leave this wheel and find the cause',
    );
    expect(state(told(run, 'resume')).phase).toBe('down');
  });
  it('pause stops the clock, and is not possible with a bleeder open', () => {
    expect(() => told(small(), 'open', 'pause')).toThrow('Close the bleeder first');
    const run = told(small(), 'pause');
    const later = withEvent(run, { act: 'resume', at: at(4000) });
    expect(state(later).seconds).toBe(1);
  });
  it('extra steps of a maker’s sheet, and the rears again', () => {
    const plan = filled(
      { ...gannet, bleeding: { ...gannet.bleeding, school: 'as-listed' } },
      { makers: { source: 'Sheet 4', parkingTimes: 5, again: ['bleed-rr', 'bleed-rl'] } },
    );
    const run = begin(plan);
    // Common practice, for one left-hand-drive car: FL, FR, RR, RL, the parking brake five times, the rears again.
    expect(run.order).toEqual([
      'bleed-fl',
      'bleed-fr',
      'bleed-rr',
      'bleed-rl',
      'bleed-rr',
      'bleed-rl',
    ]);
    const through = told(
      small({ order: ['a', 'b', 'a'], flushMl: [0, 0, 0], extraAfter: 2, parkingTimes: 5 }),
      'next',
      'next',
    );
    expect(instructionOf(through, state(through), () => '').title).toMatch('on and off, 5 times');
    expect(() => told(through, 'open')).toThrow();
    expect(state(told(through, 'extra', 'next')).phase).toBe('done');
    expect(turnsOf(brakes(viewPlan(gannet)), NO_FILLING, gannet)).toMatchObject({
      extraAfter: null,
      parkingTimes: 0,
    });
  });
  it('is the same after its log is read again, and a mis-tap is taken back', () => {
    const run = told(small(), 'open', 'stroke', 'close', { act: 'out', out: 'bubbles' });
    const again = JSON.parse(JSON.stringify(run)) as FillRun;
    expect(replay(again)).toEqual(replay(run));
    expect(state(withoutLast(run))).toMatchObject({ corners: [{ out: null }, {}] });
    // A log that could not be is passed over and counted.
    expect(
      replay({
        ...run,
        log: [
          { act: 'stroke', at: at(1) },
          { act: 'open', at: at(2) },
        ],
      }),
    ).toMatchObject({ refused: 1, state: { phase: 'open' } });
  });
  it('whatever is tapped, the reservoir is not used under its mark and one bleeder at most is open', () => {
    const acts = [
      'open',
      'stroke',
      'close',
      'top-up',
      'next',
      'pause',
      'resume',
      'stall',
      'tried',
      'level',
    ] as const;
    for (const first of acts)
      for (const second of acts)
        for (const third of acts) {
          let run = small({ method: 'one-way', fullMl: 25, markMl: 20 });
          for (const act of [first, second, third, second, first, third]) {
            const was = state(run);
            try {
              run = told(run, act);
            } catch {
              expect(state(run)).toEqual(was);
              continue;
            }
            if (act === 'stroke') expect(was.reservoirMl).toBeGreaterThan(20);
            expect(state(run).open.length).toBeLessThanOrEqual(1);
          }
        }
  });
  it('what it took is kept for the next time', () => {
    const run = told(small({ order: ['a'], flushMl: [0] }), 'open', 'stroke', 'close', 'next', {
      act: 'felt',
      how: 'firm',
    });
    const [used] = lastFluidUse({ runs: [run] });
    expect(used).toMatchObject({
      ml: 5,
      felt: 'firm',
      corners: [{ portId: 'a', strokes: 1, ml: 5 }],
    });
    expect(runNow({ runs: [small(), run] })).toBe(run);
    expect(runNow({ runs: [] })).toBeNull();
  });
});

describe('where the air is, and what a run leaves in a plan', () => {
  it('goes out with the strokes that are told', () => {
    const view = viewPlan(
      filled(gannet, { before: [{ key: 'bench:master', at: START, stamp: '' }] }),
    );
    const network = airNetworkOf(brakes(view), view)!;
    let run = begin(view.plan);
    const first = airNow(network, run, 'dot-4').airMl;
    for (let i = 0; i < 4; i++) run = told(run, 'open', 'stroke', 'close');
    // Dry lines: what a stroke sends is what leaves, 4 of 7.86 mL.
    expect(first - airNow(network, run, 'dot-4').airMl).toBeCloseTo(4 * 7.856, 1);
  });
  it('is kept in the plan file, and opens again', () => {
    const view = viewPlan(gannet);
    const run = told(begin(gannet), 'open', 'stroke', 'close');
    const plan = withSection(gannet, 'filling', withRun(NO_FILLING, run));
    expect(readPlan(writePlan(plan)).filling.runs[0]).toEqual(run);
    expect(view.plan.filling.runs).toEqual([]);
    expect(() =>
      withSection(gannet, 'filling', { ...NO_FILLING, runs: [{ ...run, order: [] }] }),
    ).toThrow();
  });
});

test('changes of fluid: seals and flushing to silicone, never to mineral oil unless both are named', () => {
  expect(changeSteps('dot-3', 'dot-5.1').steps).toEqual([]);
  expect(changeSteps('dot-4', 'dot-5')).toMatchObject({
    never: false,
    steps: [{ key: 'seals' }, { key: 'flushed' }],
  });
  expect(changeSteps('dot-4', 'mineral')).toMatchObject({
    never: true,
    steps: [{ key: 'named' }, {}, {}],
  });
});

describe('the drill', () => {
  it('rewards the usual way, and shows what leaving the bleeder open and a dry reservoir cost', () => {
    const random = seeded(5);
    for (let k = 0; k < 4; k++) {
      const vehicle = drillVehicle(random);
      const usual = new BleedDrill(vehicle);
      for (const id of ['RR', 'RL', 'FR', 'FL'])
        for (let clear = 0, i = 0; clear < 2 && i < 80; i++) {
          if (usual.reservoirMl < 20) usual.act('top-up', id);
          clear = usual.act('stroke', id).airMl < 0.02 ? clear + 1 : 0;
        }
      const score = usual.score();
      expect(score.ranDry).toBe(false);
      expect(score.leftMl).toBeLessThanOrEqual(score.best.leftMl + 0.5);
      const dry = new BleedDrill(vehicle);
      for (let i = 0; i < 25; i++) dry.act('stroke', 'RR');
      expect(dry.score()).toMatchObject({ ranDry: true });
      const open = new BleedDrill(vehicle);
      const shut = new BleedDrill(vehicle);
      for (let i = 0; i < 10; i++) {
        open.act('stroke-open', 'RR');
        shut.act('stroke', 'RR');
      }
      expect(open.sim.airMl).toBeGreaterThan(shut.sim.airMl + 1);
      for (const drill of [usual, dry, open])
        expect(
          drill.sim.airMl + drill.sim.outMl + drill.sim.ventedMl - drill.sim.drawnMl,
        ).toBeCloseTo(drill.firstMl, 6);
    }
  });
});

/** Gannet with a second bleeder on its front left caliper, so far from the middle. */
const twoBleeders = (outMm: number): Plan => ({
  ...gannet,
  parts: gannet.parts.map((part) => {
    if (part.id !== 'fl') return part;
    const bleeder = part.ports[1]!;
    const second = {
      ...bleeder,
      id: 'bleed-fl-2',
      name: 'second bleeder',
      known: { ...bleeder.known, how: 'typed', atMm: [40, outMm, 505] },
    } as typeof bleeder;
    return { ...part, ports: [...part.ports, second] };
  }),
});
describe('two bleeders on a caliper', () => {
  const turns = (plan: Plan): [string, number][] => {
    const { order, flushMl } = begin(plan);
    return order.flatMap((id, i): [string, number][] =>
      id.startsWith('bleed-fl') ? [[id, flushMl[i]!]] : [],
    );
  };
  it('the inner one first, then the outer, and the inner once more; its cavity counts once', () => {
    expect(turns(twoBleeders(-700)).map(([id]) => id)).toEqual([
      'bleed-fl',
      'bleed-fl-2',
      'bleed-fl',
    ]);
    expect(turns(twoBleeders(-560)).map(([id]) => id)).toEqual([
      'bleed-fl-2',
      'bleed-fl',
      'bleed-fl-2',
    ]);
    const [inner, outer, again] = turns(twoBleeders(-700)).map(([, ml]) => ml);
    // 26 mL of cavity, half for each, three times; the line goes with the first.
    expect(outer).toBeCloseTo(3 * 13, 6);
    expect(inner! + outer!).toBeCloseTo(turns(gannet)[0]![1], 6);
    expect(again).toBeLessThan(inner!);
  });
  it('a maker’s order stands as it is written', () => {
    const plan = twoBleeders(-700);
    const listed = ['bleed-fl-2', 'bleed-fr', 'bleed-rl', 'bleed-rr', 'bleed-fl'];
    const makers = { source: 'Sheet', parkingTimes: 0, again: [] };
    const ordered = {
      ...plan,
      bleeding: { ...plan.bleeding, school: 'as-listed' as const, listed },
    };
    // Whether or not its sheet is named.
    for (const patch of [{ makers }, {}])
      expect(begin(filled(ordered, patch)).order).toEqual(listed);
  });
});

test('what is different at a bleeder is said at its turn alone', () => {
  const at = (plan: Plan, portId: string): string => {
    const view = viewPlan(plan);
    return bleederNotes(brakes(view), view, portId).join(' | ');
  };
  expect(at(gannet, 'bleed-rr')).toMatch(/Fluid here is under pressure\. Open slowly, under a rag/);
  expect(at(gannet, 'bleed-fr')).toBe('');
  const low = {
    ...gannet,
    parts: gannet.parts.map((part) => ({
      ...part,
      ports: part.ports.map((port) =>
        port.id === 'bleed-fr' ? { ...port, direction: [0, 0, -1] as const } : port,
      ),
    })),
  };
  expect(at(low, 'bleed-fr')).toMatch(
    /Unbolt the caliper and hold this bleeder at the top, with a block between the pads/,
  );
  expect(at(low, 'bleed-fl')).toBe('');
  const lever = demo('wheatear');
  expect(['port-6', 'port-14'].map((id) => /lever/.test(at(lever, id)))).toEqual([false, true]);
  expect(at(gannet, 'nowhere')).toBe('');
});

test('a reservoir that two masters draw from is the one that counts for both', () => {
  const [feed] = demo('wheatear').hoses.filter(({ service }) => service === 'feed');
  const port = { ...gannet.parts[0]!.ports[0]!, role: 'feed' as const };
  const to = ['master', 'clutch-master'];
  const plan: Plan = {
    ...gannet,
    parts: [
      ...gannet.parts.map((part) =>
        to.includes(part.id)
          ? { ...part, ports: [...part.ports, { ...port, id: `${part.id}-feed`, name: 'feed' }] }
          : part,
      ),
      {
        ...gannet.parts[0]!,
        id: 'bottle',
        name: 'Bottle',
        kind: 'reservoir',
        figures: { reservoirMl: 180 },
        ports: to.map((id) => ({ ...port, id: `bottle-${id}`, name: id })),
      },
    ],
    hoses: [
      ...gannet.hoses,
      ...to.map((id) => ({
        ...feed!,
        id: `feed-${id}`,
        circuitId: gannet.circuits[0]!.id,
        ends: {
          a: { ...feed!.ends.a, portId: `bottle-${id}` },
          b: { ...feed!.ends.b, portId: `${id}-feed` },
        },
      })),
    ],
  };
  for (const filling of [{}, { fluids: [{ ...freshFluid('bottle', 'dot-5.1'), batch: 'B1' }] }]) {
    const view = viewPlan(filled(plan, filling));
    expect(view.bleeding.map(({ reservoirs }) => reservoirs.map(({ id }) => id))).toEqual([
      ['bottle'],
      ['bottle'],
    ]);
    for (const work of view.bleeding) {
      expect(reservoirOf(work)).toEqual({ ml: 180, known: true });
      const fluid = preFillChecks(work, view, 'two-people').find(({ key }) =>
        key.startsWith('fluid:'),
      )!;
      expect(fluid.name.includes('5.1')).toBe('fluids' in filling);
    }
  }
  expect(viewPlan(gannet).bleeding.map(({ reservoirs }) => reservoirs.map(({ id }) => id))).toEqual(
    [['master'], ['clutch-master']],
  );
});

test('what is different about a vehicle is said of that vehicle alone', () => {
  const words = (plan: Plan, work: 'brake' | 'clutch' = 'brake'): string => {
    const view = viewPlan(plan);
    return circuitNotes(
      view.bleeding.find((one) => one.work === work)!,
      view,
    ).join(' | ');
  };
  // Gannet's master stands under its floor, below two of its bleeders.
  expect(words(gannet)).toMatch(/The reservoir is below 2 bleeders/);
  expect(words(gannet)).not.toMatch(/metering|lever|silicone|actuator/i);
  expect(words(gannet, 'clutch')).toMatch(/quicker from below/);
  expect(words(demo('dunlin'))).toMatch(/measured from Actuator/);
  expect(words(demo('wheatear'))).toMatch(
    /Hydraulic handbrake: work the lever by hand while you bleed its circuit/,
  );
  expect(words(poured(gannet, 'dot-5'))).toMatch(/\| Silicone fluid foams/);
  // Its rear outlet has a residual valve built in; without it nothing is said of one.
  expect(words(gannet)).toMatch(
    /\| A residual pressure valve keeps R1 under pressure when you stop/,
  );
  const plain = {
    ...gannet,
    parts: gannet.parts.map((part) => ({
      ...part,
      ports: part.ports.map(({ residualMPa: _none, ...port }) => port),
    })),
  };
  expect(words(plain)).not.toMatch(/residual/i);
  const twice = twoBleeders(-700);
  expect(words(twice)).toMatch(/Front left: two bleeders on one cavity/);
});
