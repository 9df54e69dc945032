import { demo } from '../testing/demo-plans.ts';
import {
  NO_WHEEL_ENDS,
  NO_FLOOR,
  NO_LOG,
  UNCHECKED,
  type Cable,
  type CaliperFit,
  type WheelEnds,
  type HubFit,
  type MakerSheet,
  type Plan,
  type ProofLoad,
  type Wire,
} from '../plan/index.ts';
import type { SupplyRun } from '../physics/wheel-ends/index.ts';
import { inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const found = (corners: Partial<WheelEnds>, rule: string): Snag[] =>
  inspect({ ...gannet, wheelEnds: { ...NO_WHEEL_ENDS, ...corners } }).filter(
    (snag) => snag.rule === rule,
  );
const fit: CaliperFit = {
  key: 'fl',
  innerGapMm: 4.2,
  outerGapMm: 2.6,
  stackMm: 1.5,
  moves: 'out',
  box: [],
  bolt: null,
  fittedMm: 2.5,
  padOverMm: null,
  disc: null,
  clears: UNCHECKED,
};
const caliper = (patch: Partial<CaliperFit>): Partial<WheelEnds> => ({
  calipers: [{ ...fit, ...patch }],
});

describe('rules of corners: the plan in which each speaks, and the nearest in which it does not', () => {
  test('a plan with nothing measured is silent', () => {
    expect(inspect({ ...gannet, wheelEnds: NO_WHEEL_ENDS, log: NO_LOG })).toEqual(inspect(gannet));
  });

  test("'disc-hand' speaks of vanes made for the other side", () => {
    expect(found(caliper({ disc: 'right' }), 'disc-hand').map(({ where }) => where)).toEqual([
      'Front left',
    ]);
    expect([
      ...found(caliper({ disc: 'left' }), 'disc-hand'),
      ...found(caliper({ disc: 'either' }), 'disc-hand'),
      ...found(caliper({ key: 'fr', disc: 'right' }), 'disc-hand'),
    ]).toEqual([]);
    expect(found(caliper({ key: 'gone', disc: 'right' }), 'disc-hand')).toEqual([]);
  });

  test("'stack-off' speaks from more than 0.25 mm off the middle", () => {
    // Wanted: 1.5 + (4.2 − 2.6)/2 = 2.3.
    expect(found(caliper({ fittedMm: 2.6 }), 'stack-off')[0]!.text).toMatch(
      /The shim stack of 2\.6 mm is 0\.3 mm off the middle of the disc: 2\.3 mm is needed/,
    );
    expect([
      ...found(caliper({ fittedMm: 2.55 }), 'stack-off'),
      ...found(caliper({ fittedMm: 9, innerGapMm: null }), 'stack-off'),
    ]).toEqual([]);
  });

  test("'stack-bolt' is a stop for a bolt that is short, on its shank, or bottoms", () => {
    const bolt = (lengthMm: number, shankMm = 0): Snag[] =>
      found(
        caliper({
          bolt: { lengthMm, gripMm: 22, washerMm: 2.5, needMm: 12, depthMm: 20, shankMm },
        }),
        'stack-bolt',
      );
    expect(
      [bolt(38), bolt(45, 28), bolt(48)].map(([snag]) => [
        snag!.level,
        /engages|shank|bottoms/.exec(snag!.text)![0],
      ]),
    ).toEqual([
      ['stop', 'engages'],
      ['stop', 'shank'],
      ['stop', 'bottoms'],
    ]);
    expect([...bolt(39), ...bolt(47, 27)]).toEqual([]);
  });

  test("'spacer-thread' is a stop where too little thread is left, and for what is stacked", () => {
    const wheel = gannet.things.find(({ shape }) => shape.kind === 'wheel')!.id;
    const studs = { count: 5, dMm: 12, pitchMm: 1.5, lengthMm: 40, flangeMm: 12 };
    const spacer = (spacerMm: number, stacked = false): Snag[] =>
      found(
        { wheels: [{ key: wheel, readings: null, spacerMm, stacked, studs, hand: 'right' }] },
        'spacer-thread',
      );
    expect(spacer(17).map(({ level }) => level)).toEqual(['stop']);
    expect(spacer(5, true)[0]!.text).toMatch(/for standing tests only/);
    expect([...spacer(16), ...spacer(0, true)]).toEqual([]);
    // Studs that are too short are so without a spacer too: 20 - 12 leaves 8 mm of the 12 required.
    const short = { ...studs, lengthMm: 20 };
    expect(
      found(
        {
          wheels: [
            {
              key: wheel,
              readings: null,
              spacerMm: 0,
              stacked: false,
              studs: short,
              hand: 'right',
            },
          ],
        },
        'spacer-thread',
      )[0]!.text,
    ).toMatch(
      /^Only 8 mm of stud is left for the nuts, and 12 mm is required\. Use longer studs\.$/,
    );
  });

  test("'pad-over' is a caution from half a millimeter over the disc, a stop from two", () => {
    const over = (padOverMm: number): string[] =>
      found(caliper({ padOverMm }), 'pad-over').map(({ level, text }) => `${level} ${text}`);
    expect([...over(0.5), ...over(-3)]).toEqual([]);
    expect(over(0.6)[0]).toMatch(/^caution The pad stands 0\.6 mm over/);
    expect(over(2.1)[0]).toMatch(/^stop The pad stands 2\.1 mm over .* wrong one/);
  });

  test("'wheel-fouls' is a stop under half of the usual 3 mm, a caution up to it", () => {
    const wheel = gannet.things.find(({ shape }) => shape.kind === 'wheel')!.id;
    // The barrel leaves 12 mm; the spokes leave 40 + spacer − caliper.
    const over = (caliperOutMm: number, spacerMm = 0): string[] =>
      found(
        {
          wheels: [
            {
              key: wheel,
              readings: { caliperRadiusMm: 150, caliperOutMm, barrelRadiusMm: 162, spokesMm: 40 },
              spacerMm,
              stacked: false,
              studs: null,
              hand: 'right',
            },
          ],
        },
        'wheel-fouls',
      ).map(({ level, text }) => `${level} ${text}`);
    expect(over(37)).toEqual([]);
    expect(over(37.1)[0]).toMatch(/^caution Only 2\.9 mm between the wheel’s spokes/);
    expect(over(38.6)[0]).toMatch(/^stop Only 1\.4 mm .* jam the wheel/);
    expect(over(41)[0]).toMatch(/^stop The wheel’s spokes meet the caliper/);
    expect(over(41, 4)).toEqual([]);
  });

  test("'shield-touches' where what lies at a caliper is recorded as not clear", () => {
    expect(
      found(caliper({ clears: { ...UNCHECKED, hoseWheel: false } }), 'shield-touches'),
    ).toMatchObject([{ level: 'stop', where: 'Front left' }]);
    expect([
      ...found(caliper({ clears: { ...UNCHECKED, hoseWheel: true } }), 'shield-touches'),
      ...found(caliper({ clears: UNCHECKED }), 'shield-touches'),
    ]).toEqual([]);
  });

  test("'cable-hand' where the name says the other side, or two are made for one side", () => {
    const cable = (name: string, hand: Cable['hand'], patch: Partial<Cable> = {}): Cable => ({
      id: name,
      name,
      hand,
      wayMm: 1000,
      outerMm: 1005,
      freeMm: 80,
      needMm: 70,
      adjustMm: 20,
      slackAfterMm: null,
      ...patch,
    });
    const of = (rule: string, ...cables: Cable[]): string[] =>
      found({ cables }, rule).map(({ where, text }) => `${where}: ${text}`);
    expect(of('cable-hand', cable('Left cable', 'right'))).toEqual([
      expect.stringMatching(/^Left cable: .*for the right side, and its name says left/),
    ]);
    expect(of('cable-hand', cable('A', 'left'), cable('B', 'left'))).toEqual([
      expect.stringMatching(/^B: Made for the left side, and so is A/),
    ]);
    expect(of('cable-hand', cable('Left cable', 'left'), cable('Right one', 'either'))).toEqual([]);
    // What twenty pulls left is more than its adjuster takes up.
    expect(of('cable-length', cable('A', 'left', { slackAfterMm: 21 }))).toEqual([
      expect.stringMatching(/^A: After twenty pulls its slack is 21 mm.*takes up 20 mm/),
    ]);
    expect(of('cable-length', cable('A', 'left', { slackAfterMm: 20 }))).toEqual([]);
  });

  test("'earlier-changes' for each thing that was swapped before, and none for an empty line", () => {
    const said = (text: string): Snag[] =>
      inspect({ ...gannet, log: { ...NO_LOG, earlier: [{ id: 'e', text }] } }).filter(
        ({ rule }) => rule === 'earlier-changes',
      );
    expect(said('Rear axle from a heavier van.')).toMatchObject([
      {
        level: 'caution',
        text: expect.stringMatching(/^Rear axle from a heavier van\. Factory figures do not hold/),
      },
    ]);
    expect(said(' ')).toEqual([]);
  });

  test("'gate-unseen' of a gate that is closed with nothing recorded of what is behind it", () => {
    const said = (patch: Partial<Plan['gates'][number]>): string[] =>
      inspect({ ...gannet, gates: [{ ...gannet.gates[0]!, ...patch }] })
        .filter(({ rule }) => rule === 'gate-unseen')
        .map(({ text }) => text);
    expect(said({ closed: true })).toEqual([expect.stringMatching(/recorded of: Photographs/)]);
    const looked = {
      photographed: '12',
      bushes: 'sound',
      later: 'no',
      holes: 'none',
      forced: 'no',
    };
    expect([...said({ closed: true, looked }), ...said({ closed: false })]).toEqual([]);
    expect(said({ closed: true, looked: { ...looked, holes: '' } })).toEqual([
      expect.stringMatching(/recorded of: Holes left open/),
    ]);
  });

  test("'pushrod-play' of none, cold or hot, and of a check valve that leaks", () => {
    const play = (coldMm: number | null, hotMm: number | null, valveHolds: boolean | null) =>
      found({ play: { coldMm, hotMm, valveHolds } }, 'pushrod-play').map(({ text }) => text);
    expect(play(0, 0, null)).toEqual([
      expect.stringMatching(/^No free play cold/),
      expect.stringMatching(/^No free play hot/),
    ]);
    expect(play(2, 0, null)[0]).toMatch(/^No free play hot/);
    expect(play(2, 1, false)[0]).toMatch(/check valve does not hold/);
    expect([...play(2, 0.1, true), ...play(null, null, null)]).toEqual([]);
  });

  test("'hub-nut' is a stop for a unit hub that is backed off and for one that is loose", () => {
    const hub = (patch: Partial<HubFit>): Snag[] =>
      found(
        {
          hubs: [
            {
              id: 'hub-1',
              name: 'Front left hub',
              kind: 'adjustable',
              school: 'end-play',
              endPlayMm: 0.08,
              sheetMm: null,
              newLock: true,
              ...patch,
            },
          ],
        },
        'hub-nut',
      );
    expect(
      [
        hub({ kind: 'unit' }),
        hub({ endPlayMm: 0.2 }),
        hub({ endPlayMm: 0.01 }),
        hub({ newLock: false }),
      ].map(([snag]) => snag!.level),
    ).toEqual(['stop', 'stop', 'caution', 'caution']);
    expect(hub({})).toEqual([]);
  });

  test("'cable-length' speaks of a cable that hangs or does not reach", () => {
    const cable = (outerMm: number): Snag[] =>
      found(
        {
          cables: [
            {
              id: 'cable-1',
              name: 'Left cable',
              wayMm: 1400,
              outerMm,
              freeMm: 120,
              needMm: 100,
              adjustMm: 30,
              hand: 'left',
              slackAfterMm: null,
            },
          ],
        },
        'cable-length',
      );
    expect([cable(1430)[0]!.text, cable(1390)[0]!.text]).toEqual([
      expect.stringMatching(/The outer cable is 30 mm longer than the cable path and hangs loose/),
      expect.stringMatching(/10 mm shorter/),
    ]);
    expect(cable(1420)).toEqual([]);
  });

  const wire = (patch: Partial<Wire['volts']>): Partial<WheelEnds> => ({
    wires: [
      {
        id: 'wire-1',
        job: 'breakaway',
        colour: 'blue',
        terminal: '3',
        volts: { rest: 0, half: null, full: null, pulled: null, ...patch },
      },
    ],
  });
  test("'wire-range' of a breakaway wire with nothing on it is a stop", () => {
    expect(found(wire({ pulled: 0 }), 'wire-range').map(({ level }) => level)).toEqual(['stop']);
    expect(found(wire({ pulled: 12.4 }), 'wire-range')).toEqual([]);
  });
  test("'wire-range' names the wire, what it reads and what it should", () => {
    expect(
      found(wire({ rest: 5 }), 'wire-range').map(({ where, text }) => [
        where,
        /reads.*normal/.exec(text)![0],
      ]),
    ).toEqual([['Breakaway, blue', 'reads 5 V at rest, and 0 to 0.3 is normal']]);
    expect(found(wire({ rest: 0.3, pulled: 12.4 }), 'wire-range')).toEqual([]);
  });
  test("'breakaway-untested' speaks once wires are read and its pin was not pulled", () => {
    expect(found(wire({}), 'breakaway-untested')).toHaveLength(1);
    expect([
      ...found(wire({ rest: null }), 'breakaway-untested'),
      ...found(wire({ pulled: 12 }), 'breakaway-untested'),
    ]).toEqual([]);
  });

  const supply = (patch: Partial<SupplyRun>): Partial<WheelEnds> => ({
    supply: {
      currentA: 20,
      wayMm: 4000,
      wire: '6',
      ground: '6',
      breakerA: 30,
      breakerAtMm: 200,
      mostDropV: null,
      ...patch,
    },
  });
  const supplied = (rule: string, patch: Partial<SupplyRun>): string[] =>
    found(supply(patch), rule).map(({ level, text }) => `${level}: ${text}`);
  // 2·20·4·0.0172/6 = 0.459 V; over 6 m 0.688 V. Of 1.5 mm² 24 A for long (tables after DIN 72551, from memory).
  test("'supply-thin' minds what is lost on the way, and stops a wire that gets hot", () => {
    expect(supplied('supply-thin', {})).toEqual([]);
    expect(supplied('supply-thin', { wayMm: null })).toEqual([]);
    expect(supplied('supply-thin', { wayMm: 6000 })).toEqual([
      expect.stringMatching(/^caution: At 20 A the wires lose 0\.69 V .* Take 10 mm² for both/),
    ]);
    expect(supplied('supply-thin', { wayMm: 6000, mostDropV: 0.8 })).toEqual([]);
    expect(supplied('supply-thin', { currentA: 25, wayMm: 300, ground: '1.5' })).toEqual([
      expect.stringMatching(/^stop: .* carries 24 A for long/),
    ]);
  });
  test("'breaker-wrong' of one that is not there, opens early, late, or is far from the battery", () => {
    expect(supplied('breaker-wrong', {})).toEqual([]);
    expect(supplied('breaker-wrong', { breakerA: null, currentA: null })).toEqual([]);
    expect(supplied('breaker-wrong', { breakerA: null })).toEqual([
      expect.stringMatching(/^caution: No breaker is entered for the supply/),
    ]);
    expect(supplied('breaker-wrong', { breakerA: 19 })).toEqual([
      expect.stringMatching(/^stop: A breaker of 19 A opens while the actuator draws its 20 A/),
    ]);
    expect(supplied('breaker-wrong', { breakerA: 55 })).toEqual([
      expect.stringMatching(
        /^stop: .* 54 A for long, and the breaker opens at 55 A: .* Take 10 mm²/,
      ),
    ]);
    expect(supplied('breaker-wrong', { breakerA: 54 })).toEqual([]);
    expect(supplied('breaker-wrong', { breakerAtMm: 460 })).toEqual([
      expect.stringMatching(/^caution: The breaker is 460 mm from the battery/),
    ]);
    expect(supplied('breaker-wrong', { breakerAtMm: 450 })).toEqual([]);
  });

  test("'proof-load' minds what was not held, and stops what bent or cracked", () => {
    const load = (patch: Partial<ProofLoad>): Snag[] =>
      found(
        {
          loads: [
            {
              id: 'load-1',
              name: 'Pedal',
              wantedN: 1350,
              loadN: 1350,
              seconds: 10,
              beforeMm: 40,
              afterMm: 40,
              sound: true,
              ...patch,
            },
          ],
        },
        'proof-load',
      );
    expect(
      [
        load({ loadN: null }),
        load({ loadN: 900 }),
        load({ seconds: 5 }),
        load({ afterMm: 41 }),
        load({ sound: false }),
      ].map(([snag]) => snag!.level),
    ).toEqual(['caution', 'caution', 'caution', 'stop', 'stop']);
    expect(load({})).toEqual([]);
  });

  test("'sheet-awaited' speaks once work went on past the day it was due", () => {
    const at = (state: MakerSheet['state'], day: string): Snag[] => {
      const sheet: MakerSheet = {
        id: 'sheet-1',
        name: 'Caliper torques',
        kind: 'torque',
        state,
        edition: '',
        readBy: '',
        askedOn: '2026-11-20',
        dueOn: '2026-11-27',
        photos: [],
      };
      const plan: Plan = {
        ...gannet,
        log: { ...NO_LOG, sheets: [sheet] },
        floor: { ...NO_FLOOR, session: { ...NO_FLOOR.session, on: day } },
      };
      return inspect(plan).filter(({ rule }) => rule === 'sheet-awaited');
    };
    expect(at('asked', '2026-11-28')[0]!.text).toMatch(
      /Asked for on 2026-11-20, should be here by 2026-11-27 and not received/,
    );
    expect([
      ...at('asked', '2026-11-27'),
      ...at('have', '2026-11-28'),
      ...at('none', '2026-11-28'),
    ]).toEqual([]);
  });
});
