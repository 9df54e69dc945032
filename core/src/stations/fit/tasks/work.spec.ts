import { HUB_SCHOOLS } from '../../../physics/wheel-ends/index.ts';
import {
  withDone,
  withOwn,
  withOwnChanged,
  withoutOwn,
  withSession,
  withSection,
} from '../../../testing/records.ts';
import {
  applyEdit,
  NO_BUYING,
  NO_WHEEL_ENDS,
  NO_FLOOR,
  type Gate,
  type Plan,
} from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import { demo } from '../../../testing/demo-plans.ts';
import {
  floorView,
  gateProgress,
  possiblePrerequisites,
  stripHow,
  tasksOf,
  undoes,
  type Task,
} from './index.ts';

const gannet = demo('gannet');
const AT = '2026-11-27T10:00:00Z';
const tasks = (plan: Plan): readonly Task[] => tasksOf(viewPlan(plan));
const one = (plan: Plan, id: string): Task => tasks(plan).find((task) => task.id === id)!;
const ids = (plan: Plan): string[] => tasks(plan).map(({ id }) => id);

describe('work that follows from what is in the plan', () => {
  test('what comes off: paint covered first, each in its own way, all before anything goes on', () => {
    const off = { ...gannet, comesOff: ['Front calipers', 'Old brake wires', 'Seat'] };
    expect(ids(off).slice(0, 8)).toEqual([
      'safety:stands',
      'safety:springs',
      'safety:dust',
      'safety:battery',
      'cover',
      'strip:Front calipers',
      'strip:Old brake wires',
      'strip:Seat',
    ]);
    expect(one(off, 'strip:Front calipers').how).toMatch(/wire from the frame, never by its hose/);
    expect(one(off, 'strip:Old brake wires').how).toMatch(/Battery disconnected/);
    expect(stripHow('Seat')).toMatch(/Plug the open line at once/);
    expect(one(off, 'part:master').needs).toEqual([
      'strip:Front calipers',
      'strip:Old brake wires',
      'strip:Seat',
    ]);
    expect(ids(gannet).some((id) => id === 'cover' || id.startsWith('strip:'))).toBe(false);
  });

  test('a brake: faces cleaned, fitted, bolts, looks; its wheel after fluid, and once more after the first drive', () => {
    expect(one(gannet, 'part:fl').needs).toEqual(['clean:fl']);
    expect(one(gannet, 'bolts:fl')).toMatchObject({
      kind: 'tighten',
      needs: ['part:fl'],
      fastener: { what: 'Bracket bolts', count: 2 },
    });
    expect(one(gannet, 'look:wheel:fl').needs).toEqual(['bolts:fl']);
    expect(one(gannet, 'wheel:fl').needs).toEqual(['fill', 'look:wheel:fl']);
    expect(one(gannet, 'again:wheel:fl').needs).toEqual(['drive', 'wheel:fl']);
    expect(one(gannet, 'drive').needs).toEqual(expect.arrayContaining(['fill', 'wheel:fl']));
    const wheelless = {
      ...gannet,
      things: gannet.things.filter(({ shape }) => shape.kind !== 'wheel'),
    };
    expect(ids(wheelless).some((id) => id.includes('wheel:fl') && !id.startsWith('look'))).toBe(
      false,
    );
    const kept = applyEdit(gannet, {
      edit: 'changePart',
      with: { id: 'fl', patch: { kept: true } },
    });
    expect(ids(kept).some((id) => id.endsWith(':fl'))).toBe(false);
  });

  test('a spare port is plugged before fluid, a port with a line is not', () => {
    const spare = applyEdit(gannet, {
      edit: 'changePort',
      with: { id: 'port-master-rear', patch: { role: 'spare' } },
    });
    expect(one(spare, 'plug:port-master-rear').needs).toEqual(['part:master']);
    expect(one(spare, 'fill').needs).toContain('plug:port-master-rear');
    expect(ids(gannet).some((id) => id.startsWith('plug:'))).toBe(false);
  });

  test('a hose: hung by its fixed end, led to the other without twist, that one tightened last', () => {
    const wheatear = demo('wheatear');
    const hose = wheatear.hoses[0]!;
    const [a, b] = [
      { ...hose.ends.a, through: false, fittingId: 'banjo' },
      { ...hose.ends.b, fittingId: 'straight-fixed' },
    ];
    const plan = { ...wheatear, hoses: [{ ...hose, ends: { a, b } }] };
    expect(one(plan, `hose:${hose.id}`).how).toMatch(
      /Free both ends before turning the hose: end B first/,
    );
    expect(one(plan, `join:${hose.id}:a`).needs).toEqual([`hose:${hose.id}`]);
    expect(one(plan, `tighten:${hose.id}:a`).needs).toEqual([
      `look:hose:${hose.id}`,
      `tighten:${hose.id}:b`,
    ]);
    const dry = {
      ...wheatear,
      hoses: [{ ...hose, ends: { a: { ...a, fittingId: 'dry-break' }, b } }],
    };
    expect(one(dry, `look:tug:${hose.id}:a`).how).toMatch(/a hard tug does not part them/);
  });

  test('a line: welded brackets are painted before it is run, its clips pulled down once it is tight', () => {
    const welded = tasks(gannet).find(({ kind }) => kind === 'paint')!;
    const line = welded.id.slice('paint:'.length);
    expect(welded.needs).toEqual([`bracket:${line}`]);
    expect(one(gannet, `run:${line}`).needs).toContain(welded.id);
    expect(one(gannet, `clips:${line}`).needs).toEqual(
      expect.arrayContaining([`tighten:${line}:a`]),
    );
    expect(one(gannet, 'fill').needs).toEqual(expect.arrayContaining([welded.id, `clips:${line}`]));
  });

  test('a part that is ordered or came wrong is not fitted yet', () => {
    const state = (to: 'ordered' | 'wrong' | 'here', have: number): Plan =>
      withSection(gannet, 'buying', {
        currency: '',
        own: [],
        kits: [],
        orders: [
          {
            key: 'part:master',
            state: to,
            have,
            from: '',
            on: null,
            due: null,
            priceMinor: null,
            note: '',
          },
        ],
      });
    expect(one(state('ordered', 0), 'part:master').waits).toBe('Tandem master is ordered');
    expect(one(state('wrong', 0), 'part:master').waits).toBe('Tandem master came wrong');
    expect(one(state('here', 1), 'part:master').waits).toBeNull();
  });
});

describe('work on cables, wires and what is loaded', () => {
  const cable = {
    id: 'cable-1',
    name: 'Left cable',
    wayMm: 1400,
    outerMm: 1410,
    freeMm: 120,
    needMm: 100,
    adjustMm: 30,
    hand: 'left',
    slackAfterMm: null,
  } as const;
  const load = {
    id: 'load-1',
    name: 'Pedal',
    wantedN: 1350,
    loadN: 1350,
    seconds: 10,
    beforeMm: 40,
    afterMm: 40,
    sound: true,
  } as const;
  const volts = { rest: null, half: null, full: null, pulled: null };
  test('a cable is led and pulled, wires are joined once the actuator stands, a load comes before fluid', () => {
    const dunlin = demo('dunlin');
    const plan = {
      ...dunlin,
      wheelEnds: {
        ...NO_WHEEL_ENDS,
        cables: [cable],
        loads: [load],
        wires: [{ id: 'wire-1', job: 'supply', colour: 'red', terminal: '1', volts }],
      } as const,
    };
    const actuator = dunlin.parts.find(({ kind }) => kind === 'actuator')!.id;
    expect(one(plan, 'look:cable:cable-1').needs).toEqual(['cable:cable-1']);
    expect(one(plan, 'wires').needs).toEqual([`part:${actuator}`]);
    expect([
      one(plan, 'fill').needs.includes('look:load:load-1'),
      one(plan, 'fill').needs.includes('wires'),
    ]).toEqual([true, false]);
    expect(one(plan, 'look:load:load-1').waits).toBeNull();
    const bent = { ...plan, wheelEnds: { ...plan.wheelEnds, loads: [{ ...load, afterMm: 42 }] } };
    expect(one(bent, 'look:load:load-1').waits).toMatch(/Readings missing or failed/);
  });
});

describe('hubs and the booster', () => {
  test('a hub’s nut is tightened as its school says', () => {
    const hub = {
      id: 'hub-1',
      name: 'Front left hub',
      kind: 'unit',
      school: 'figure',
      endPlayMm: null,
      sheetMm: null,
      newLock: null,
    } as const;
    expect(
      one({ ...gannet, wheelEnds: { ...NO_WHEEL_ENDS, hubs: [hub] } }, 'hub:hub-1'),
    ).toMatchObject({
      kind: 'tighten',
      how: expect.stringMatching(/torque and angle/),
      fastener: { count: 1 },
    });
    const how = (school: (typeof HUB_SCHOOLS)[number]): string => {
      const hubs = [{ ...hub, school }];
      return one({ ...gannet, wheelEnds: { ...NO_WHEEL_ENDS, hubs } }, 'hub:hub-1').how;
    };
    expect(new Set(HUB_SCHOOLS.map(how)).size).toBe(HUB_SCHOOLS.length);
  });
  test('a booster has its nuts where it is new, not where it stays', () => {
    const boosted = {
      ...gannet,
      sizing: { ...gannet.sizing!, booster: { gain: 4, vacuumKPa: 60, diaphragmMm2: 40_000 } },
    };
    expect(one(boosted, 'booster').fastener).toMatchObject({ count: 4 });
    expect(ids({ ...boosted, comesOff: ['Rear lines'] })).not.toContain('booster');
    expect(ids({ ...boosted, comesOff: ['Pushrod'] })).toContain('booster');
    expect(ids({ ...gannet, sizing: { ...gannet.sizing!, booster: null } })).not.toContain(
      'booster',
    );
  });
});

describe('stands are looked at anew in each session', () => {
  const floor = withDone(NO_FLOOR, one(gannet, 'safety:stands'), AT);
  const state = (plan: Plan) =>
    floorView(viewPlan(plan)).find(({ task }) => task.id === 'safety:stands')!.state;
  test('and no work counts as undone by it', () => {
    const begun = { ...gannet, floor: withSession(floor, '2026-11-28') };
    expect([state({ ...gannet, floor }), state(begun)]).toEqual(['done', 'now']);
    expect(undoes(viewPlan({ ...gannet, floor }), viewPlan(begun))).toEqual([]);
  });
});

describe('a change of plan and the work it undoes', () => {
  const done = ['part:master', 'part:fl'].reduce(
    (floor, id) => withDone(floor, one(gannet, id), AT),
    NO_FLOOR,
  );
  const plan = { ...gannet, floor: done };
  const lost = (to: Plan): string[] => undoes(viewPlan(plan), viewPlan(to)).map(({ id }) => id);
  test('moved or removed it is undone; renamed it is not', () => {
    const moved = applyEdit(plan, {
      edit: 'setKnown',
      with: {
        target: { kind: 'port', id: 'port-master-rear' },
        known: { how: 'typed', atMm: [300, -330, 800], sigmaMm: [1, 1, 1] },
      },
    });
    expect(lost(moved)).toEqual(['part:master']);
    expect(lost(applyEdit(plan, { edit: 'removePart', with: { id: 'fl' } }))).toEqual(['part:fl']);
    expect(
      lost(
        applyEdit(plan, { edit: 'changePart', with: { id: 'fl', patch: { name: 'Left front' } } }),
      ),
    ).toEqual([]);
    // What is undone already is not undone again.
    expect(
      undoes(
        viewPlan(moved),
        viewPlan(
          applyEdit(moved, {
            edit: 'setKnown',
            with: {
              target: { kind: 'port', id: 'port-master-rear' },
              known: { how: 'typed', atMm: [310, -330, 800], sigmaMm: [1, 1, 1] },
            },
          }),
        ),
      ),
    ).toEqual([]);
  });
});

describe('before a gate closes', () => {
  const gate: Gate = {
    ...gannet.gates[0]!,
    id: 'g',
    minMm: [-9000, -9000, -9000],
    maxMm: [9000, 9000, 9000],
    closed: false,
    on: '2026-12-05',
  };
  const left = (plan: Plan, minutes: number) =>
    gateProgress(floorView(viewPlan(plan)), plan.gates, { minutes })[0]!;
  test('all that is left and what it needs is counted in sessions', () => {
    const plan = { ...gannet, gates: [gate] };
    const views = floorView(viewPlan(plan));
    const own = left(plan, 120);
    expect(own.all).toBe(views.filter(({ task }) => task.gate).length);
    expect(own.minutes).toBeGreaterThan(
      views
        .filter(({ task }) => task.gate && task.kind !== 'safety')
        .reduce((sum, { minutes }) => sum + minutes, 0),
    );
    expect(own.sessions).toBe(Math.ceil(own.minutes / 120));
    expect(left(plan, own.minutes).sessions).toBe(1);
    const nothing = {
      ...plan,
      gates: [{ ...gate, minMm: [8000, 0, 0], maxMm: [8001, 1, 1] } as Gate],
    };
    expect(left(nothing, 120)).toMatchObject({ all: 0, minutes: 0, sessions: 0 });
  });
});

describe('tasks of the user’s own', () => {
  const floor = withOwnChanged(
    withOwn(withOwn(NO_FLOOR, 'Sweep', null), 'Photograph', null),
    'own-2',
    { needs: ['own:own-1', 'part:fl'], gateId: gannet.gates[0]!.id, minutes: 5 },
  );
  const plan = withSection({ ...gannet, buying: NO_BUYING }, 'floor', floor);
  test('have needs, a gate and minutes; none comes round to itself', () => {
    expect(one(plan, 'own:own-2')).toMatchObject({
      needs: ['own:own-1', 'part:fl'],
      gate: { id: gannet.gates[0]!.id },
      minutes: 5,
    });
    const may = possiblePrerequisites(floorView(viewPlan(plan)), 'own:own-1').map(
      ({ task }) => task.id,
    );
    expect(may).toContain('part:fl');
    expect(may.filter((id) => id === 'own:own-1' || id === 'own:own-2' || id === 'fill')).toEqual(
      [],
    );
  });
  test('removed, nothing waits for it', () => {
    expect(withoutOwn(floor, 'own:own-1').own).toEqual([
      expect.objectContaining({ id: 'own-2', needs: ['part:fl'] }),
    ]);
  });
  test('a need that is no longer there is none', () => {
    const gone = {
      ...plan,
      floor: { ...floor, own: floor.own.map((own) => ({ ...own, needs: ['part:gone'] })) },
    };
    expect(one(gone, 'own:own-2').needs).toEqual([]);
  });
});
