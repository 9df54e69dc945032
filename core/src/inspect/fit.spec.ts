import {
  withDone,
  withTight,
  withWanted,
  withOpened,
  withLook,
  withLater,
  withTemporary,
  withClosed,
  withSection,
} from '../testing/records.ts';
import { floorView } from '../stations/fit/tasks/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { applyEdit, NO_FLOOR, type Floor, type Plan, type WantedTorque } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const AT = '2026-11-27T10:00:00Z';
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const floor = (to: Floor, plan: Plan = gannet): Plan => withSection(plan, 'floor', to);
const task = (id: string, plan: Plan = gannet) =>
  floorView(viewPlan(plan)).find((view) => view.task.id === id)!.task;

describe('rules of the floor: the plan in which each speaks, and the nearest in which it does not', () => {
  test('a plan nobody has begun to build is silent', () => {
    expect(inspect(gannet).filter(({ station }) => station === 'fit')).toEqual([]);
    expect(inspect(floor(NO_FLOOR)).filter(({ station }) => station === 'fit')).toEqual([]);
  });

  test("'torque-open' asks for figure and source of a joint that is tight", () => {
    const plan = floor(withTight(NO_FLOOR, task('tighten:line-r2:a'), 15, AT));
    expect(found(plan, 'torque-open').map(({ where }) => where)).toEqual(['R2, end A']);
    const known = applyEdit(plan, {
      edit: 'changeJoint',
      with: { of: 'line', id: 'line-r2', end: 'a', patch: { torqueNm: 15, torqueSource: '' } },
    });
    expect(found(known, 'torque-open')[0]!.text).toMatch(/no source/);
    const sourced = applyEdit(known, {
      edit: 'changeJoint',
      with: { of: 'line', id: 'line-r2', end: 'a', patch: { torqueSource: 'sheet' } },
    });
    expect(found(sourced, 'torque-open')).toEqual([]);
  });

  test("'torque-off' holds what the wrench said against what is wanted, and a bolt’s figure against its size", () => {
    const joint = (torqueNm: number, said: number): Plan =>
      floor(
        withTight(NO_FLOOR, task('tighten:line-r2:a'), said, AT),
        applyEdit(gannet, {
          edit: 'changeJoint',
          with: { of: 'line', id: 'line-r2', end: 'a', patch: { torqueNm, torqueSource: 'sheet' } },
        }),
      );
    expect(found(joint(17, 15), 'torque-off').map(({ text }) => text)).toEqual([
      'The wrench read 15 N·m and 17 N·m is required: tighten it.',
    ]);
    expect(found(joint(15, 17), 'torque-off')[0]!.text).toMatch(
      /loosen it, check it, tighten again/,
    );
    // Half of what is required is loose.
    expect([joint(15, 2), joint(15, 7.6)].map((of) => found(of, 'torque-off')[0]!.level)).toEqual([
      'stop',
      'caution',
    ]);
    // 4 % of the wrench itself.
    expect(found(joint(17, 16.4), 'torque-off')).toEqual([]);
    // Without a figure what such a joint usually takes is held against it.
    const unknown = (said: number): string[] =>
      found(
        floor(
          withTight(NO_FLOOR, task('tighten:line-r2:a'), said, AT),
          applyEdit(gannet, {
            edit: 'changeJoint',
            with: {
              of: 'line',
              id: 'line-r2',
              end: 'a',
              patch: { torqueNm: null, torqueSource: '' },
            },
          }),
        ),
        'torque-off',
      ).map(({ level, text }) => `${level} ${text}`);
    expect(unknown(2)[0]).toMatch(/^stop The wrench read 2 N·m\. No figure is entered/);
    expect(unknown(200)[0]).toMatch(/^caution The wrench read 200 N·m/);
    expect(unknown(16)).toEqual([]);
    const bolts = (nm: number): Plan =>
      floor(
        withWanted(NO_FLOOR, {
          key: 'bolts:fl',
          nm,
          source: 'sheet',
          state: 'dry',
          fastener: 'new',
          thread: 'M10',
          propertyClass: '8.8',
        }),
      );
    expect(found(bolts(500), 'torque-off')[0]!.text).toMatch(
      /500 N·m is set, and such a bolt usually takes 30\.3 N·m to 60\.5 N·m\. Check the unit/,
    );
    expect(found(bolts(50), 'torque-off')).toEqual([]);
  });

  test("'used-again' asks for new washers and for new precoated bolts", () => {
    // A flare nut has no washers; of a banjo see the spec of an end with two joints.
    const flare = floor(withTight(NO_FLOOR, task('tighten:line-r2:a'), 15, AT, '', 'reused'));
    expect(found(flare, 'used-again')).toEqual([]);
    const bolts = (state: WantedTorque['state'], fastener: WantedTorque['fastener']): Plan =>
      floor(
        withTight(
          withWanted(NO_FLOOR, { key: 'bolts:fl', nm: 50, source: 'sheet', state, fastener }),
          task('bolts:fl'),
          50,
          AT,
        ),
      );
    expect(found(bolts('precoated', 'reused'), 'used-again')[0]!.text).toMatch(
      /Precoated bolts hold only once/,
    );
    expect(
      [bolts('precoated', 'new'), bolts('dry', 'reused')].flatMap((plan) =>
        found(plan, 'used-again'),
      ),
    ).toEqual([]);
  });

  test("'later-passed' speaks once work went on after the day", () => {
    const put = withLater(NO_FLOOR, { task: 'part:master', until: '2026-11-28', why: '' });
    const on = (day: string): Plan => floor(withDone(put, task('safety:dust'), `${day}T09:00:00Z`));
    expect(found(on('2026-11-29'), 'later-passed')[0]!.text).toBe(
      'Put off until 2026-11-28, and work has gone on to 2026-11-29. Do it now, or choose another day.',
    );
    expect(found(on('2026-11-28'), 'later-passed')).toEqual([]);
    expect(found(floor(put), 'later-passed')).toEqual([]);
  });

  test("'opened-not-tight' is a stop until it is tightened again", () => {
    const tight = withTight(NO_FLOOR, task('tighten:line-r2:a'), 15, AT);
    const opened = withOpened(tight, 'tighten:line-r2:a', AT);
    expect(found(floor(opened), 'opened-not-tight')).toEqual([
      expect.objectContaining({ level: 'stop', where: 'R2, end A' }),
    ]);
    expect(found(floor(tight), 'opened-not-tight')).toEqual([]);
    expect(
      found(floor(withTight(opened, task('tighten:line-r2:a'), 15, AT)), 'opened-not-tight'),
    ).toEqual([]);
  });

  test("'temporary-open' stays until it is closed", () => {
    const held = withTemporary(NO_FLOOR, {
      what: 'Rear left hose',
      by: 'zip-tie',
      since: '2026-11-22',
    });
    expect(found(floor(held), 'temporary-open').map(({ text }) => text)).toEqual([
      'Temporary fix: a zip tie since 2026-11-22. Fit the proper part, then close this.',
    ]);
    expect(found(floor(withClosed(held, 'held-1', '2026-11-27')), 'temporary-open')).toEqual([]);
    const two = withTemporary(held, { what: 'Front hose', by: 'clip', since: '2026-11-23' });
    expect(
      found(floor(withClosed(two, 'held-1', '2026-11-27')), 'temporary-open').map(
        ({ where }) => where,
      ),
    ).toEqual(['Front hose']);
  });

  test("'gate-passed' speaks of work behind a closed gate, and of what is put off past its day", () => {
    const gate = gannet.gates[0]!;
    const all = { minMm: [-9000, -9000, -9000], maxMm: [9000, 9000, 9000] } as const;
    const plan = (closed: boolean, to: Floor): Plan =>
      floor(
        to,
        applyEdit(gannet, {
          edit: 'changeGate',
          with: { id: gate.id, patch: { ...all, closed, on: '2026-12-01' } },
        }),
      );
    expect(found(plan(true, NO_FLOOR), 'gate-passed')[0]!.text).toMatch(/tasks are left behind it/);
    expect(found(plan(false, NO_FLOOR), 'gate-passed')).toEqual([]);
    const late = withLater(NO_FLOOR, { task: 'part:master', until: '2026-12-02', why: '' });
    expect(found(plan(false, late), 'gate-passed')[0]!.text).toBe(
      'Fit Tandem master is put off until 2026-12-02, and this closes over it on 2026-12-01.',
    );
    expect(
      found(
        plan(false, withLater(NO_FLOOR, { task: 'part:master', until: '2026-12-01', why: '' })),
        'gate-passed',
      ),
    ).toEqual([]);
    // What it does not close over may be put off for as long as one likes.
    const elsewhere = applyEdit(plan(false, late), {
      edit: 'changeGate',
      with: { id: gate.id, patch: { minMm: [2500, -900, 0], maxMm: [3500, 900, 900] } },
    });
    expect(found(elsewhere, 'gate-passed')).toEqual([]);
  });

  test("'weld-after-fluid' is a stop once fluid is in and a bracket is not", () => {
    const weld = floorView(viewPlan(gannet)).find((view) => view.task.tools.includes('welder'));
    const filled = withDone(NO_FLOOR, task('fill'), AT);
    expect(weld).toBeDefined();
    expect(found(floor(filled), 'weld-after-fluid').map(({ level }) => level)).toEqual(['stop']);
    const all = floorView(viewPlan(gannet))
      .filter((view) => view.task.tools.includes('welder'))
      .reduce((now, view) => withDone(now, view.task, AT), filled);
    expect(found(floor(all), 'weld-after-fluid')).toEqual([]);
    expect(found(floor(NO_FLOOR), 'weld-after-fluid')).toEqual([]);
  });

  test("'look-open' speaks of what was not good, and of all once fluid is in", () => {
    const look = task('look:part:fl');
    const bad = withLook(NO_FLOOR, look, { good: false, note: 'rubs', at: AT });
    expect(found(floor(bad), 'look-open').map(({ text }) => text)).toEqual([
      'Checked, and not good: rubs',
    ]);
    expect(
      found(floor(withLook(NO_FLOOR, look, { good: true, note: '', at: AT })), 'look-open'),
    ).toEqual([]);
    const filled = floor(withDone(NO_FLOOR, task('fill'), AT));
    const looks = floorView(viewPlan(filled)).filter(({ task: { kind } }) => kind === 'look');
    expect(new Set(looks.map(({ task: { place } }) => place.kind)).size).toBeGreaterThan(1);
    const [first] = looks;
    expect(found(filled, 'look-open').map(({ text }) => text)).toEqual([
      expect.stringContaining(
        `Fluid is in, and ${looks.length} checks are still open: ${first!.task.name}, `,
      ),
    ]);
  });

  test("'undone-by-change' names work whose line has changed since, and no other", () => {
    const done = withDone(withDone(NO_FLOOR, task('run:line-r2'), AT), task('run:line-r3'), AT);
    expect(found(floor(done), 'undone-by-change')).toEqual([]);
    const moved = applyEdit(floor(done), {
      edit: 'removeCorner',
      with: { id: 'line-r2', index: 0 },
    });
    expect(found(moved, 'undone-by-change').map(({ where }) => where)).toEqual(['Fit R2 loosely']);
  });
});
