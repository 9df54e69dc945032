import { withDone, withTold } from '../testing/records.ts';
import { demo } from '../testing/demo-plans.ts';
import { floorView } from '../stations/fit/tasks/index.ts';
import { preFillChecks } from '../stations/fill/index.ts';
import {
  freshFluid,
  NO_FILLING,
  type Filling,
  type FillRun,
  type ReservoirFluid,
  type Plan,
} from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const AT = '2026-03-02T09:00:00Z';
const plan = (patch: Partial<Filling>, of: Plan = gannet): Plan => ({
  ...of,
  filling: { ...NO_FILLING, ...patch },
});
const found = (of: Plan, rule: string): Snag[] => inspect(of).filter((snag) => snag.rule === rule);
const order = ['bleed-rr', 'bleed-rl', 'bleed-fr', 'bleed-fl'];
const run = (patch: Partial<FillRun> = {}): FillRun => ({
  id: 'run-1',
  work: 'brake',
  method: 'two-people',
  order,
  flushMl: [1, 1, 1, 1],
  extraAfter: null,
  parkingTimes: 0,
  strokeMl: 5,
  fullMl: 120,
  markMl: 40,
  startedAt: AT,
  log: [
    { act: 'open', at: AT },
    { act: 'stroke', at: AT },
  ],
  ...patch,
});
/** Fluid has gone in, and all was said before it but what begins so. */
const wet = (without: string, of = gannet): Plan => {
  const view = viewPlan(of);
  const said = preFillChecks(
    view.bleeding.find(({ work }) => work === 'brake')!,
    view,
    'two-people',
  )
    .filter(({ key }) => !key.startsWith(without))
    .reduce((filling, before) => withTold(filling, before, AT), of.filling);
  return plan({ ...said, runs: [run()] }, of);
};

describe('rules of filling: the plan in which each speaks, and the nearest in which it does not', () => {
  test('a plan in which nothing was filled has none of what filling asks', () => {
    const asked = [
      'pushrod-unlooked',
      'drums-unset',
      'pads-out',
      'bench-open',
      'joint-loose-filled',
    ];
    expect(inspect(plan({})).filter(({ rule }) => asked.includes(rule))).toEqual([]);
    // A run that was begun and in which nothing has flowed yet is none.
    expect(
      inspect(plan({ runs: [run({ log: [] })] })).filter(({ rule }) => asked.includes(rule)),
    ).toEqual([]);
  });
  test.each([
    ['pushrod-unlooked', 'play:', 'caution'],
    ['drums-unset', 'drums', 'caution'],
    ['pads-out', 'pads', 'stop'],
    ['bench-open', 'bench:', 'caution'],
    ['joint-loose-filled', 'joints:', 'stop'],
  ] as const)(
    "'%s' speaks once fluid is in and it was not said, and not once it was",
    (rule, key, level) => {
      expect(found(wet(key), rule).map((snag) => snag.level)).toEqual([level]);
      expect(found(wet('nothing'), rule)).toEqual([]);
    },
  );

  // Common practice: 10 psi, 0.07 MPa (NIST SP 811), and no fall from wheel to wheel.
  test.each([
    [[0.12, 0.12, 0.11], []],
    [[0.12, 0.05], ['caution']],
    [[0.06, 0.06], ['caution']],
    [[0.14, 0.09], ['caution']],
    [[0.05], []],
  ])("'pot-fell' of a pot at %j MPa from wheel to wheel: %j", (pots, levels) => {
    const log = pots.flatMap((potMPa): FillRun['log'] => [
      { act: 'open', at: AT },
      { act: 'pot', at: AT, potMPa },
      { act: 'close', at: AT },
      { act: 'next', at: AT },
    ]);
    const of = (method: FillRun['method']): string[] =>
      found(plan({ runs: [run({ method, log })] }), 'pot-fell').map(({ level }) => level);
    expect(of('pressure')).toEqual(levels);
    // No other method has a pot.
    expect(of('two-people')).toEqual([]);
  });

  test("'run-left' of a bleeder without fluid, of bubbles at the last look, and of a pedal that is not firm", () => {
    const bled = (out: 'clear' | 'bubbles' | 'dirty'): FillRun['log'] => [
      { act: 'open', at: AT },
      { act: 'stroke', at: AT },
      { act: 'out', at: AT, out },
      { act: 'close', at: AT },
      { act: 'next', at: AT },
    ];
    const left = (runs: FillRun[]): string[] =>
      found(plan({ runs }), 'run-left').map(({ level, place }) => `${level} ${place.id}`);
    const end = (how: string): FillRun['log'] => [
      { act: 'finish', at: AT },
      { act: 'felt', at: AT, how },
    ];
    const all = (last: 'clear' | 'bubbles' | 'dirty', how = 'firm'): FillRun =>
      run({
        log: [...order.slice(1).flatMap(() => bled('clear')), ...bled(last), end(how)[1]!],
      });
    const last = order.at(-1)!;
    expect(left([all('clear')])).toEqual([]);
    expect(left([all('bubbles')])).toEqual([`stop ${last}`]);
    expect(left([all('dirty')])).toEqual([`caution ${last}`]);
    expect(left([all('clear', 'sinks')])).toEqual(['stop gannet']);
    expect(left([all('clear', 'soft')])).toEqual(['caution gannet']);
    // Finished after the first wheel: the others were never bled.
    expect(left([run({ log: [...bled('clear'), ...end('firm')] })])).toEqual(
      order.slice(1).map((id) => `stop ${id}`),
    );
    // The wheel with bubbles bled again by itself.
    const again = run({
      id: 'run-2',
      order: [last],
      flushMl: [1],
      log: [...bled('clear'), end('firm')[1]!],
    });
    expect(left([all('bubbles'), again])).toEqual([]);
    // Fluid in with no run written down is asked about, for each kind of work that has one.
    expect(left([])).toEqual([]);
    const dry = { ...plan({}) };
    const done = floorView(viewPlan(dry)).find(({ task }) => task.id === 'fill')!.task;
    expect(
      found({ ...dry, floor: withDone(dry.floor, done, AT) }, 'run-left').map(
        ({ level, where }) => `${level} ${where}`,
      ),
    ).toEqual(['caution Brakes', 'caution Clutch']);
    // A run that goes on is the floor's business, until fluid is said to be in.
    expect(left([run()])).toEqual([]);
    const filled = { ...plan({ runs: [run()] }) };
    const fill = floorView(viewPlan(filled)).find(({ task }) => task.id === 'fill')!.task;
    expect(
      found({ ...filled, floor: withDone(filled.floor, fill, AT) }, 'run-left').map(
        ({ level, where }) => `${level} ${where}`,
      ),
    ).toEqual(['stop Brakes', 'caution Clutch']);
  });

  test("'order-not-sheet' where the sheet gives an order and another is gone by", () => {
    const makers = { source: 'Sheet 4', parkingTimes: 0, again: [] };
    expect(found(plan({ makers }), 'order-not-sheet')[0]!.text).toMatch(
      /Sheet 4 gives a bleeding order/,
    );
    const listed = { ...gannet, bleeding: { ...gannet.bleeding, school: 'as-listed' as const } };
    expect(found(plan({ makers }, listed), 'order-not-sheet')).toEqual([]);
    expect(found(plan({ makers, runs: [run()] }, listed), 'order-not-sheet')).toHaveLength(1);
    expect(
      found(
        plan({ makers, runs: [run({ order: gannet.bleeding.listed })] }, listed),
        'order-not-sheet',
      ),
    ).toEqual([]);
    // A run of the last bleeders of the sheet, in its order, is by the sheet.
    const rest = gannet.bleeding.listed.slice(1);
    expect(
      found(
        plan({ makers, runs: [run({ order: rest, flushMl: [1] })] }, listed),
        'order-not-sheet',
      ),
    ).toEqual([]);
    expect(found(plan({ makers: { ...makers, source: '' } }), 'order-not-sheet')).toEqual([]);
  });

  test("'reservoir-short' where one corner’s flush empties it", () => {
    const most = Math.max(
      ...viewPlan(gannet).bleeding[0]!.result!.order.map(({ flushMl }) => flushMl),
    );
    const holds = (reservoirMl: number): Plan => ({
      ...gannet,
      parts: gannet.parts.map((part) =>
        part.id === 'master' ? { ...part, figures: { ...part.figures, reservoirMl } } : part,
      ),
    });
    const brakes = (of: Plan): Snag[] =>
      found(of, 'reservoir-short').filter(({ where }) => where !== 'Clutch slave');
    expect(brakes(holds(most * 1.5 - 1))).toHaveLength(1);
    expect(brakes(holds(most * 1.5 + 1))).toEqual([]);
  });

  test("'fluid-unknown' of a part that stays and of which nobody said what it held", () => {
    const kept = (family: 'glycol' | null, isKept = true): Plan => ({
      ...gannet,
      parts: gannet.parts.map((part) =>
        part.id === 'fl' ? { ...part, family, ...(isKept ? { kept: true } : {}) } : part,
      ),
    });
    const level = (of: Plan): string[] =>
      found(of, 'fluid-unknown').map((snag) => `${snag.level} ${snag.where}`);
    expect(level(kept(null))).toEqual(['caution Front left']);
    // Filled over it, nobody drives or moves it.
    const fill = floorView(viewPlan(kept(null))).find(({ task }) => task.id === 'fill')!.task;
    expect(level({ ...kept(null), floor: withDone(gannet.floor, fill, AT) })).toEqual([
      'stop Front left',
    ]);
    expect([
      ...found(kept('glycol'), 'fluid-unknown'),
      ...found(kept(null, false), 'fluid-unknown'),
    ]).toEqual([]);
  });

  const fluid = (patch: Partial<ReservoirFluid>): Plan =>
    plan({
      fluids: [{ ...freshFluid('master', 'dot-4'), ...patch }],
    });
  test("'bottle-old' of glycol opened more than 90 days before it went in", () => {
    expect(
      found(fluid({ openedOn: '2025-11-01', filledOn: '2026-03-02' }), 'bottle-old')[0]!.text,
    ).toMatch(/opened 121 days/);
    expect(found(fluid({ openedOn: '2025-12-02', filledOn: '2026-03-02' }), 'bottle-old')).toEqual(
      [],
    );
    expect(
      found(
        fluid({ openedOn: '2025-11-01', filledOn: '2026-03-02', fluidId: 'dot-5' }),
        'bottle-old',
      ),
    ).toEqual([]);
    expect(found(fluid({ openedOn: '2025-11-01' }), 'bottle-old')).toEqual([]);
  });
  test("'fluid-due' where the day to replace it has come before anybody signed", () => {
    const on = (
      nextOn: string | null,
      today: string,
      of: Partial<Plan['proving']> = {},
    ): string[] => {
      const base = fluid({ nextOn });
      return found(
        {
          ...base,
          floor: { ...base.floor, session: { ...base.floor.session, on: today } },
          proving: { ...base.proving, ...of },
        },
        'fluid-due',
      ).map(({ level, text }) => `${level}: ${text}`);
    };
    expect(on('2026-03-02', '2026-03-02')).toEqual([
      'caution: This fluid was to be replaced by 2026-03-02. Flush it, and enter the new date.',
    ]);
    expect([...on('2026-03-03', '2026-03-02'), ...on(null, '2026-03-02')]).toEqual([]);
    // After a signature the follow-up says it.
    const signed = [
      { at: AT, by: 'AB', as: 'builder', scope: 'road', rests: 'x', exceptions: [] },
    ] as const;
    expect(on('2026-03-02', '2026-03-02', { signed })).toEqual([]);
  });
  test("'fluid-wet' by the least wet boiling point of the regulation", () => {
    // 49 CFR 571.116 (from memory): DOT 4 boils wet from 155 °C.
    expect(found(fluid({ boilC: 154 }), 'fluid-wet').map(({ level }) => level)).toEqual(['stop']);
    expect(found(fluid({ boilC: 165 }), 'fluid-wet').map(({ level }) => level)).toEqual([
      'caution',
    ]);
    expect(found(fluid({ boilC: 171 }), 'fluid-wet')).toEqual([]);
    expect(found(fluid({ hotC: 149 }), 'fluid-wet').map(({ level }) => level)).toEqual(['caution']);
    expect(found(fluid({ hotC: 160 }), 'fluid-wet').map(({ level }) => level)).toEqual(['stop']);
    expect([
      ...found(fluid({ hotC: 149, boilC: 230 }), 'fluid-wet'),
      ...found(fluid({ hotC: 149, fluidId: 'mineral' }), 'fluid-wet'),
    ]).toEqual([]);
  });
  test("'fluid-sources' where cap, plate, sheet or what came out name another fluid, until a reason is entered", () => {
    const words = (patch: object): string[] =>
      found(fluid(patch), 'fluid-sources').map(({ level, text }) => `${level}: ${text}`);
    expect(words({ capId: 'dot-3' })).toEqual([
      'caution: DOT 4 is chosen, but the cap says DOT 3. Check the part’s sheet, then choose again or enter why.',
    ]);
    expect(words({ sheetId: 'dot-4', wasId: 'dot-3' })[0]).toMatch(
      /the sheet says DOT 4, what came out is DOT 3/,
    );
    expect(words({ capId: 'dot-3', why: 'new seals, sheet of 2026' })).toEqual([]);
    expect(words({ capId: 'dot-4', sheetId: 'dot-4' })).toEqual([]);
    // A fluid of another make came out, and no source asks for it.
    expect(words({ wasId: 'dot-3' })).toEqual([]);
  });
  test("'fluid-change' until every seal is renewed and the lines are flushed", () => {
    expect(
      found(fluid({ wasId: 'dot-4', fluidId: 'dot-5' }), 'fluid-change').map(({ level }) => level),
    ).toEqual(['stop']);
    expect(
      found(
        fluid({ wasId: 'dot-4', fluidId: 'dot-5', seals: true, flushed: true }),
        'fluid-change',
      ),
    ).toEqual([]);
    expect(found(fluid({ wasId: 'dot-4', fluidId: 'dot-5' }), 'fluid-change')[0]!).toMatchObject({
      where: 'Tandem master',
      text: expect.stringMatching(
        /^DOT 4 was used before, and DOT 5 silicone is to go in\. First/,
      ) as string,
    });
    expect(found(fluid({ wasId: 'dot-3' }), 'fluid-change')).toEqual([]);
    expect(
      found(fluid({ wasId: 'mineral', seals: true, flushed: true }), 'fluid-change')[0]!.text,
    ).toMatch(/Never change to or from mineral oil, unless the sheet of every part allows both/);
  });

  test("'air-stays' where fluid is slower than air climbs over a hump", () => {
    // The clutch line in 1/4 in tube over a hump; its reservoir's level 20 mm over the bleeder: gravity moves it some 8 mm/s, and air climbs about 60.
    const humped = (levelMm: number, topMm = 760): Plan => ({
      ...gannet,
      lines: gannet.lines.map((line) =>
        line.id === 'line-c1'
          ? {
              ...line,
              cornersMm: line.cornersMm.map((at, i) =>
                i === 2 ? ([at[0], at[1], topMm] as const) : at,
              ),
            }
          : line,
      ),
      parts: gannet.parts.map((part) =>
        part.id === 'clutch-master' ? { ...part, figures: { ...part.figures, levelMm } } : part,
      ),
    });
    expect(
      found(plan({ method: 'gravity' }, humped(470)), 'air-stays').map(({ where, level }) => [
        where,
        level,
      ]),
    ).toEqual([['C1', 'caution']]);
    // As slow, along a line that only falls.
    const flat = { ...humped(470), lines: gannet.lines };
    expect(found(plan({ method: 'gravity' }, flat), 'air-stays')).toEqual([]);
    expect(found(plan({ method: 'gravity' }, humped(900)), 'air-stays')).toEqual([]);
    expect(found(plan({ method: 'two-people' }, humped(470)), 'air-stays')).toEqual([]);
    expect(found(plan({ method: 'gravity' }, gannet), 'air-stays')).toEqual([]);
  });
});
