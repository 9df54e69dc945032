import { inspect } from '../../inspect/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { applyEdit, NO_FLOOR, writePlan, type Plan } from '../../plan/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { proved } from '../../testing/proved.ts';
import { accept, acceptAll, sign, signoffOf } from '../../testing/signed.ts';
import { floorView } from '../fit/tasks/index.ts';
import { provingTests, type SignoffItem, type Today } from './index.ts';

const AT = '2026-03-02T09:00:00Z';
const gannet = demo('gannet');
const result = signoffOf;
/** Built, proved and every caution taken on: nothing is in the way of a signature. */
const ready = acceptAll(proved(demo('dunlin')));
const may = (plan: Plan): boolean => result(plan).road.may;
const items = (plan: Plan, kind: SignoffItem['kind']): SignoffItem[] =>
  result(plan).items.filter((item) => item.kind === kind);

describe('what stands before a signature', () => {
  it('is every stop and every caution of every station, all work and all tests, each once', () => {
    const snags = inspect(gannet);
    const { items: all, road, move } = result(gannet);
    for (const [level, kind] of [
      ['stop', 'blocker'],
      ['caution', 'caution'],
    ])
      expect(all.filter((item) => item.kind === kind).map(({ rule }) => rule)).toEqual(
        snags.filter((snag) => snag.level === level).map(({ rule }) => rule),
      );
    expect(all.filter(({ kind }) => kind === 'test')).toHaveLength(
      provingTests(viewPlan(gannet)).length,
    );
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    expect(road.why).toMatch(/^Not ready for the road: 6 blockers, 15 cautions .* tests left\.$/);
    expect(move).toMatchObject({ may: false, why: expect.stringMatching(/^Tow it\./) });
  });
  it('says what a test says already only there', () => {
    const held = {
      id: 'h',
      at: AT,
      circuitId: 'circuit-1',
      wantedMPa: 7,
      startMPa: 15,
      endMPa: 14,
      startC: 18,
      endC: 18,
      minutes: 5,
      sigmaMPa: 0.01,
      rests: '',
    };
    const plan = { ...gannet, proving: { ...gannet.proving, holds: [held] } };
    expect(inspect(plan).filter(({ rule }) => rule === 'hold-missing')).toHaveLength(1);
    expect(result(plan).items.filter(({ text }) => /fell by 1 MPa/.test(text))).toMatchObject([
      { key: 'test:hold:circuit-1', kind: 'test' },
    ]);
  });
  it('is nothing once it is built, proved and accepted; and of an empty plan there is nothing to sign', () => {
    expect(result(ready).road).toEqual({ may: true, why: '' });
    expect(
      items(ready, 'caution').every(({ accepted }) => accepted?.reason === 'seen and fine'),
    ).toBe(true);
    expect(result(ready).good.length).toBeGreaterThan(50);
    const empty = { ...gannet, lines: [], hoses: [] };
    expect(items(empty, 'blocker').map(({ key }) => key)).toContain('nothing');
  });
  it('keeps a move back for what holds fluid, grips or carries a wheel, and lists the rest on the signature', () => {
    const grave = result(gannet).items.filter((item) => item.grave && item.kind === 'test');
    expect(grave.map(({ key }) => key.split(':')[1])).toEqual(
      expect.arrayContaining(['hold', 'leak', 'grips', 'pedal-firm']),
    );
    const tests = provingTests(viewPlan(ready)).filter(({ key }) => key === 'site');
    expect(tests).toHaveLength(1);
    const undriven = {
      ...ready,
      proving: {
        ...ready.proving,
        stops: [],
      },
    };
    const left = result(undriven);
    expect([left.road.may, left.move.may]).toEqual([false, true]);
    expect(sign(undriven, 'move').proving.signed[0]!.exceptions).toEqual([
      'Stops on a closed dry site: No stop entered.',
    ]);
  });
});

describe('a caution that is accepted', () => {
  const hot = (plan: Plan): SignoffItem =>
    result(plan).items.find(({ rule }) => rule === 'near-hot')!;
  const taken = accept(gannet, hot(gannet), 'heat sleeve fitted');
  it('comes after those that are still open', () => {
    const cautions = items(taken, 'caution');
    expect(cautions.length).toBeGreaterThan(5);
    expect(cautions.at(-1)!.key).toBe(hot(taken).key);
    expect(items(gannet, 'caution').at(-1)!.key).not.toBe(hot(gannet).key);
  });
  it('carries who, when and why, and may be withdrawn', () => {
    expect(hot(taken).accepted).toEqual({ by: 'AB', at: AT, reason: 'heat sleeve fitted' });
    const { key } = hot(taken);
    const back = applyEdit(taken, { edit: 'withdrawAcceptance', with: { key } });
    expect(hot(back).accepted).toBeNull();
    expect(readPlan(writePlan(taken)).proving).toEqual(taken.proving);
  });
  it('rests on its figures: other units or names leave it, another distance voids it', () => {
    const inch = applyEdit(taken, { edit: 'setUnits', with: { units: 'inch', ownUnits: {} } });
    expect(hot(inch).text).not.toBe(hot(taken).text);
    expect(hot(inch).accepted).not.toBeNull();
    const renamed: Plan = {
      ...taken,
      lines: taken.lines.map((line) => ({ ...line, name: `${line.name} 7` })),
      things: taken.things.map((thing) => ({ ...thing, name: `${thing.name} 9` })),
    };
    expect(hot(renamed).text).not.toBe(hot(taken).text);
    expect(hot(renamed).accepted).not.toBeNull();
    const { place } = hot(taken);
    const moved: Plan = {
      ...taken,
      lines: taken.lines.map((line) =>
        line.id === place.id
          ? { ...line, cornersMm: line.cornersMm.map(([x, y, z]) => [x, y, z + 3] as const) }
          : line,
      ),
    };
    expect(hot(moved).text).not.toBe(hot(taken).text);
    expect(hot(moved).accepted).toBeNull();
  });
  it('is the only thing that may be: an acceptance of a blocker, a task or a test counts for nothing', () => {
    for (const kind of ['blocker', 'task', 'test'] as const) {
      const [item] = items(gannet, kind);
      const tried = accept(gannet, item!);
      expect(result(tried).items.find(({ key }) => key === item!.key)!.accepted).toBeNull();
    }
  });
});

describe('work that is recorded otherwise than good', () => {
  const look = floorView(viewPlan(ready)).find(({ task }) => task.kind === 'look')!.task;
  it('not good keeps a signature back with what was found, until it is good', () => {
    const bad = applyEdit(ready, {
      edit: 'recordInspection',
      with: { task: look.id, stamp: look.stamp, good: false, note: 'rubs', at: AT },
    });
    expect(items(bad, 'task')).toMatchObject([{ key: `task:${look.id}`, text: 'Not good: rubs' }]);
    expect(may(bad)).toBe(false);
  });
  it('not as planned is a caution with its words, and may be accepted', () => {
    const off = applyEdit(ready, {
      edit: 'recordDeviation',
      with: { task: look.id, what: 'hole off by 25 mm', at: AT },
    });
    expect(may(off)).toBe(false);
    expect(items(off, 'caution').filter(({ accepted }) => !accepted)).toMatchObject([
      { text: 'Not as planned: hole off by 25 mm', where: look.name },
    ]);
    expect(may(acceptAll(off))).toBe(true);
  });
  it('put off with a reason may stay so where nothing holds by it; a joint may not', () => {
    const without = (id: string): Plan =>
      applyEdit(ready, { edit: 'clearWork', with: { task: id } });
    const tags = applyEdit(without('label'), {
      edit: 'putPutOff',
      with: { putOff: { task: 'label', until: null, why: 'tags on order' } },
    });
    expect(items(tags, 'caution').find(({ key }) => key === 'later:label')).toMatchObject({
      text: 'Put off: tags on order',
    });
    expect(may(acceptAll(tags))).toBe(true);
    const joint = floorView(viewPlan(ready)).find(({ task }) => task.joint)!.task;
    const loose = applyEdit(without(joint.id), {
      edit: 'putPutOff',
      with: { putOff: { task: joint.id, until: null, why: 'later' } },
    });
    expect(may(acceptAll(loose))).toBe(false);
  });
  it('a temporary fix keeps it back until it is closed or taken on', () => {
    const tied: Plan = {
      ...ready,
      floor: {
        ...ready.floor,
        temporary: [{ id: 't', what: 'Hose', by: 'zip-tie', since: '2026-03-02', closed: null }],
      },
    };
    expect(may(tied)).toBe(false);
    expect(
      items(tied, 'caution').some(({ rule, accepted }) => rule === 'temporary-open' && !accepted),
    ).toBe(true);
  });
});

describe('records that a signature was once given over', () => {
  const { proving, floor } = ready;
  const key = floor.tight.find(({ key: of }) => of.includes('line-'))!.key;
  const parts = new Set(
    floorView(viewPlan(ready)).flatMap(({ task }) => (task.kind === 'part' ? [task.id] : [])),
  );
  const felt = {
    id: 'p',
    at: AT,
    vehicle: 'this',
    engine: 'off',
    hot: false,
    travelMm: 50,
    forceN: 300,
    sinks: false,
    pumps: false,
  } as const;
  const stop = {
    id: 's',
    at: AT,
    when: 'after',
    fromKmh: 50,
    distanceM: 18,
    locked: 'none',
    valveTurns: null,
  } as const;
  const prove = (patch: Partial<Plan['proving']>): Plan => ({
    ...ready,
    proving: { ...proving, ...patch },
  });
  const wheels = (patch: Partial<Plan['wheelEnds']>): Plan => ({
    ...ready,
    wheelEnds: { ...ready.wheelEnds, ...patch },
  });
  const cases: readonly [string, Plan, Plan][] = [
    [
      'the rear locked first',
      prove({ stops: [{ ...stop, locked: 'rear' }] }),
      prove({ stops: [stop] }),
    ],
    [
      'a pedal 60 mm longer hot',
      prove({ pedal: [felt, { ...felt, id: 'q', hot: true, travelMm: 110 }] }),
      prove({ pedal: [felt, { ...felt, id: 'q', hot: true, travelMm: 55 }] }),
    ],
    [
      'a pedal that pumps up',
      prove({ pedal: [{ ...felt, pumps: true }] }),
      prove({ pedal: [felt] }),
    ],
    [
      'a hold at 1.5 MPa',
      prove({ holds: proving.holds.map((one) => ({ ...one, startMPa: 1.5, endMPa: 1.5 })) }),
      prove({ holds: proving.holds }),
    ],
    [
      'no pushrod free play',
      wheels({ play: { ...ready.wheelEnds.play, coldMm: 0 } }),
      wheels({ play: { ...ready.wheelEnds.play, coldMm: 2 } }),
    ],
    [
      'a part that was never fitted',
      {
        ...ready,
        floor: { ...floor, done: floor.done.filter(({ task }) => !parts.has(task)) },
      },
      ready,
    ],
    [
      'fluid that is not in',
      { ...ready, floor: { ...floor, done: floor.done.filter(({ task }) => task !== 'fill') } },
      ready,
    ],
    [
      'a joint that was opened',
      applyEdit(ready, { edit: 'recordOpened', with: { task: key, at: AT } }),
      ready,
    ],
  ];
  it.each(cases)('%s', (_what, bad, sound) => {
    expect(may(bad)).toBe(false);
    expect(may(acceptAll(bad))).toBe(false);
    expect(may(acceptAll(sound))).toBe(true);
  });
});

describe('a test that is read', () => {
  const state = (plan: Plan, key: string): string =>
    provingTests(viewPlan(plan)).find((test) => test.key === key)!.state;
  const ticked = (plan: Plan, key: string): Plan => ({
    ...plan,
    proving: {
      ...plan.proving,
      rounds: provingTests(viewPlan(plan))
        .filter((test) => test.key === key)
        .map(({ rests }) => ({ key, at: AT, good: true, note: '', rests })),
    },
  });
  it('takes its verdict from what was measured, and no tick stands for a reading', () => {
    const unread = { ...gannet, proving: { ...gannet.proving, pedal: [], stops: [] } };
    expect(state(ticked(unread, 'pedal-firm'), 'pedal-firm')).toBe('open');
    expect(state(ticked(unread, 'pushrod-cold'), 'pushrod-cold')).toBe('open');
    const read = (coldMm: number): Plan => ({
      ...unread,
      wheelEnds: { ...unread.wheelEnds, play: { coldMm, hotMm: null, valveHolds: null } },
    });
    expect(state(ticked(read(0), 'pushrod-cold'), 'pushrod-cold')).toBe('bad');
    expect(state(read(0.1), 'pushrod-cold')).toBe('done');
    expect(state(proved(demo('dunlin')), 'wires')).toBe('done');
  });
  it('leads to where it is read', () => {
    expect(result(gannet).items.find(({ key }) => key === 'test:pushrod-cold')).toMatchObject({
      station: 'fit',
      text: 'Not measured.',
    });
  });
});

describe('a signature', () => {
  const signed = sign(ready);
  const why = (plan: Plan): string | null => result(plan).signed!.why;
  it('rests on plan, work, tests and what was accepted by SHA-256, and says which has changed', () => {
    expect(signed.proving.signed[0]!.rests).toMatch(/^[0-9a-f]{64}$/);
    expect(result(signed).signed).toMatchObject({ stands: true, why: null });
    expect(why({ ...signed, name: 'Renamed', notes: 'x' })).toBeNull();
    expect(why({ ...signed, bleeding: { ...signed.bleeding, purge: 4 } })).toBe(
      'Changed since: bleeding.',
    );
    const [first] = signed.proving.accepted!;
    expect(why(applyEdit(signed, { edit: 'withdrawAcceptance', with: { key: first!.key } }))).toBe(
      'Changed since: accepted cautions.',
    );
    expect(why({ ...signed, floor: { ...signed.floor, done: signed.floor.done.slice(1) } })).toBe(
      'Changed since: work record.',
    );
    // Neither a file in between nor the order in which fields were written down is a change.
    expect(result(readPlan(writePlan(signed))).signed!.stands).toBe(true);
    const turned = signed.parts.map((part) => Object.fromEntries(Object.entries(part).reverse()));
    expect(why({ ...signed, parts: turned as unknown as Plan['parts'] })).toBeNull();
  });
  it('does not stand over a joint found wet after it', () => {
    const leak = signed.proving.rounds.find(({ key }) => key.startsWith('leak:'))!;
    const wet: Plan = {
      ...signed,
      proving: {
        ...signed.proving,
        rounds: signed.proving.rounds.map((one) =>
          one === leak ? { ...one, good: false, note: 'wet' } : one,
        ),
      },
    };
    expect(why(wet)).toBe('Changed since: tests.');
  });
  it('outlives its first drive: what the plan schedules for after it leaves it standing', () => {
    // A vehicle with wheels of its own: their nuts are tightened again.
    const rolling = sign(proved(gannet));
    const after = floorView(viewPlan(rolling)).filter(
      ({ task: { id } }) => id === 'drive' || id.startsWith('again:'),
    );
    expect(after.length).toBeGreaterThan(1);
    const driven = after.reduce(
      (now, { task }) =>
        applyEdit(now, {
          edit: 'recordWorkDone',
          with: { task: task.id, stamp: `${task.stamp}`, at: AT, by: '', minutes: null },
        }),
      { ...rolling, floor: { ...rolling.floor, session: { ...NO_FLOOR.session, minutes: 30 } } },
    );
    expect(result(driven).signed!.why).toBeNull();
  });
  it('of an older plan file says that it covered no tests', () => {
    const { sections: _, ...older } = signed.proving.signed[0]!;
    const plan = { ...signed, proving: { ...signed.proving, signed: [older] } };
    expect(why(plan)).toMatch(/^Signed under an earlier version of the plan file/);
  });
});

describe('checks after signing', () => {
  const signed = sign(ready);
  const state = (plan: Plan, key: string, today?: Today): string =>
    result(plan, today).followUps.find((one) => one.key === key)!.state;
  it('fall due by distance and by day, and only once somebody signed for the road', () => {
    const on = { on: null, km: 50 };
    expect(state(ready, 'joints', on)).toBe('open');
    expect(state(signed, 'joints', { on: null, km: 49 })).toBe('open');
    expect(state(signed, 'joints', on)).toBe('due');
    expect(state(signed, 'joints')).toBe('open');
    // Common practice: glycol every two years at the latest.
    const fluid = result(signed).followUps.find(({ key }) => key.startsWith('fluid:'))!;
    expect(fluid.dueOn).toBe('2028-03-02');
    // The year after a leap day has none.
    const leap = sign(ready, 'road', '2028-02-29T09:00:00Z');
    expect(result(leap).followUps.find(({ key }) => key === fluid.key)!.dueOn).toBe('2030-03-01');
    expect(state(signed, fluid.key, { on: '2028-03-01', km: null })).toBe('open');
    expect(state(signed, fluid.key, { on: '2028-03-02', km: null })).toBe('due');
  });
  it('good ones leave the signature, a bad one voids it and keeps the next one back', () => {
    const found = (good: boolean): Plan =>
      applyEdit(signed, {
        edit: 'recordFollowUp',
        with: { followUp: { key: 'joints', at: '2026-03-09T09:00:00Z', good, note: 'weeps' } },
      });
    expect(state(found(true), 'joints', { on: null, km: 60 })).toBe('done');
    expect(result(found(true)).signed!.stands).toBe(true);
    expect(result(found(false)).signed).toMatchObject({
      stands: false,
      why: expect.stringMatching(/^A follow-up check was not good/),
    });
    expect(result(found(false)).road).toEqual({
      may: false,
      why: 'Not ready for the road: 1 follow-up check not good.',
    });
    // Fixed and checked again, it can be signed again, and its checks start over.
    const mended = applyEdit(found(false), {
      edit: 'recordFollowUp',
      with: { followUp: { key: 'joints', at: '2026-03-10T09:00:00Z', good: true, note: '' } },
    });
    expect(may(mended)).toBe(true);
    expect(state(sign(mended, 'road', '2026-03-11T09:00:00Z'), 'joints')).toBe('open');
  });
});
