import {
  withDone,
  withTight,
  withOpened,
  withLook,
  withLater,
  withTemporary,
  withClosed,
  withSection,
} from '../../../testing/records.ts';
import Graph from 'graphology';
import { topologicalSort } from 'graphology-dag';
import { demo } from '../../../testing/demo-plans.ts';
import { seeded } from '../../../lib/random/index.ts';
import {
  applyEdit,
  type BoltClass,
  type Floor,
  type Plan,
  type SessionMeans,
} from '../../../plan/index.ts';
import { viewPlan } from '../../../plan/results/index.ts';
import {
  boltTorqueNm,
  floorView,
  valueOf,
  inOrder,
  isBetter,
  proofMPa,
  planSession,
  stressAreaMm2,
  tasksOf,
  undone,
  verdictOf,
  type Task,
  type TaskView,
} from './index.ts';

const gannet = demo('gannet');
const AT = '2026-11-27T10:00:00Z';
const withFloor = (floor: Floor, plan: Plan = gannet): Plan => withSection(plan, 'floor', floor);
const views = (plan: Plan): readonly TaskView[] => floorView(viewPlan(plan));
const one = (plan: Plan, id: string): TaskView => views(plan).find(({ task }) => task.id === id)!;
const doAll = (plan: Plan, ...ids: string[]): Plan =>
  ids.reduce((now, id) => withFloor(withDone(now.floor, one(now, id).task, AT), now), plan);

describe('tasks of the floor', () => {
  const tasks = tasksOf(viewPlan(gannet));

  test('no task comes round to itself: an order exists, and ours is one (topological sort of graphology-dag)', () => {
    const graph = new Graph({ type: 'directed' });
    for (const { id } of tasks) graph.addNode(id);
    for (const { id, needs } of tasks) for (const need of needs) graph.addEdge(need, id);
    expect(topologicalSort(graph)).toHaveLength(tasks.length);
    const all = views(gannet);
    const order = inOrder(all, new Set(tasks.map(({ id }) => id))).map(({ task }) => task.id);
    const at = new Map(order.map((id, i) => [id, i]));
    graph.forEachDirectedEdge((_, __, from, to) => expect(at.get(from)).toBeLessThan(at.get(to)!));
  });

  test('loose first, then looked at, then tight; safety before all, fluid after all', () => {
    const needs = (id: string): readonly string[] => tasks.find((task) => task.id === id)!.needs;
    expect(needs('tighten:line-r2:a')).toEqual(['look:line:line-r2']);
    expect(needs('look:line:line-r2')).toEqual(
      expect.arrayContaining(['join:line-r2:a', 'join:line-r2:b']),
    );
    expect(needs('part:master')).toContain('safety:stands');
    expect(needs('run:line-r2')).toContain('safety:stands');
    expect(needs('fill')).toEqual(
      expect.arrayContaining(['tighten:line-r2:a', 'look:wiggle:line-r2', 'bracket:line-r1']),
    );
    // A plan with nothing in it has no work, and no fluid to put in.
    expect(tasksOf(viewPlan({ ...gannet, lines: [], hoses: [], parts: [] }))).toEqual([]);
  });

  test('a line that is not made, a part that is not here and a gate that is closed are what it waits for', () => {
    expect(one(gannet, 'run:line-r2')).toMatchObject({ state: 'waits', why: 'R2 is not made yet' });
    const order = {
      key: 'nut:M10x1-bubble',
      state: 'ordered',
      have: 0,
      from: '',
      on: null,
      due: '2026-12-03',
      priceMinor: null,
      note: '',
    } as const;
    const ordered = withSection(gannet, 'buying', {
      currency: '',
      own: [],
      kits: [],
      orders: [order],
    });
    expect(one(ordered, 'join:line-r2:b').why).toBe('M10x1 nut is ordered, due 2026-12-03');
    const gate = gannet.gates[0]!;
    const shut = applyEdit(gannet, {
      edit: 'changeGate',
      with: {
        id: gate.id,
        patch: { closed: true, minMm: [-9000, -9000, -9000], maxMm: [9000, 9000, 9000] },
      },
    });
    expect(one(shut, 'part:master').why).toBe(`${gate.name} is closed`);
  });

  test('done work frees what waited for it; opened, bad or changed it is done no more', () => {
    const safe = doAll(gannet, 'safety:stands', 'safety:springs', 'safety:dust', 'safety:battery');
    expect([one(gannet, 'part:master').state, one(safe, 'part:master').state]).toEqual([
      'waits',
      'now',
    ]);
    const fitted = doAll(safe, 'part:master');
    expect(one(fitted, 'part:master').state).toBe('done');
    const moved = applyEdit(fitted, {
      edit: 'setKnown',
      with: {
        target: { kind: 'port', id: 'port-master-rear' },
        known: { how: 'typed', atMm: [300, -330, 800], sigmaMm: [1, 1, 1] },
      },
    });
    expect(one(moved, 'part:master').state).toBe('now');
    expect(undone(tasksOf(viewPlan(moved)), moved.floor).map(({ task }) => task.id)).toEqual([
      'part:master',
    ]);
    const task = one(fitted, 'look:part:fl').task;
    const bad = withFloor(
      withLook(fitted.floor, task, { good: false, note: 'bleeder low', at: AT }),
      fitted,
    );
    expect([one(bad, task.id).state, bad.floor.looks[0]!.note]).toEqual(['waits', 'bleeder low']);
    const tight = withTight(fitted.floor, one(fitted, 'tighten:line-r2:a').task, 17, AT);
    expect(one(withFloor(tight, fitted), 'tighten:line-r2:a').state).toBe('done');
    expect(
      one(withFloor(withOpened(tight, 'tighten:line-r2:a', AT), fitted), 'tighten:line-r2:a').state,
    ).not.toBe('done');
  });

  test('put off and held for now stay open until they are closed', () => {
    const safe = doAll(gannet, 'safety:stands', 'safety:springs', 'safety:dust', 'safety:battery');
    const put = withFloor(
      withLater(safe.floor, { task: 'part:master', until: '2026-12-01', why: 'bush worn' }),
      safe,
    );
    expect(one(put, 'part:master')).toMatchObject({
      state: 'later',
      why: 'Put off, until 2026-12-01: bush worn',
    });
    const held = withTemporary(put.floor, {
      what: 'Rear hose',
      by: 'zip-tie',
      since: '2026-11-22',
    });
    expect(held.temporary).toEqual([
      { id: 'held-1', what: 'Rear hose', by: 'zip-tie', since: '2026-11-22', closed: null },
    ]);
    expect(withClosed(held, 'held-1', '2026-11-27').temporary[0]!.closed).toBe('2026-11-27');
  });
});

describe('a session', () => {
  /** Random tasks, each needing some of those before it. */
  function random(seed: number, count: number): TaskView[] {
    const draw = seeded(seed);
    const gates = ['2026-12-01', '2026-12-05', null].map((on, i) =>
      on
        ? ({
            id: `g${i}`,
            name: `G${i}`,
            on,
            closed: false,
            minMm: [0, 0, 0],
            maxMm: [1, 1, 1],
          } as const)
        : null,
    );
    const made: TaskView[] = [];
    for (let i = 0; i < count; i++) {
      const needs = made.filter(() => draw() < 0.25).map(({ task }) => task.id);
      const done =
        draw() < 0.15 &&
        needs.every((id) => made.find(({ task }) => task.id === id)!.state === 'done');
      const waits = draw() < 0.12 ? 'not here' : null;
      const task = {
        id: `t${i}`,
        kind: 'own',
        name: `T${i}`,
        how: '',
        place: { kind: 'plan', id: 'p' },
        needs,
        waits,
        minutes: 5,
        people: draw() < 0.2 ? 2 : 1,
        wants: [],
        tools: draw() < 0.15 ? ['welder'] : [],
        stamp: '',
        gate: gates[Math.floor(draw() * 3)]!,
      } as Task;
      const ready = needs.every((id) => made.find((view) => view.task.id === id)!.state === 'done');
      made.push({
        task,
        minutes: 5 + Math.floor(draw() * 30),
        state: done ? 'done' : waits ? 'waits' : ready ? 'now' : 'waits',
        why: '',
      });
    }
    return made;
  }
  const may = (view: TaskView, { people, lacks }: SessionMeans): boolean =>
    view.state !== 'done' &&
    !view.task.waits &&
    view.task.people <= people &&
    !view.task.tools.some((tool) => lacks.includes(tool));

  test('of few tasks no other choice is worth more: every subset is tried', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const all = random(seed, 12);
      const means = {
        minutes: 30 + (seed % 5) * 20,
        people: 1 + (seed % 2),
        lacks: seed % 3 ? ['welder'] : [],
      };
      const session = planSession(all, means);
      const done = new Set(all.filter(({ state }) => state === 'done').map(({ task }) => task.id));
      let best = valueOf(all, new Set());
      for (let mask = 0; mask < 2 ** all.length; mask++) {
        const chosen = new Set(all.filter((_, i) => mask & (1 << i)).map(({ task }) => task.id));
        const views_ = all.filter(({ task }) => chosen.has(task.id));
        if (
          !views_.every(
            (view) =>
              may(view, means) && view.task.needs.every((id) => done.has(id) || chosen.has(id)),
          )
        )
          continue;
        const value = valueOf(all, chosen);
        if (value.minutes <= means.minutes && isBetter(value, best)) best = value;
      }
      expect([seed, session.freed, session.gateOn, session.minutes]).toEqual([
        seed,
        best.freed,
        best.gateOn,
        best.minutes,
      ]);
    }
  });

  test('of many tasks it fits the time, the people and the tools, and each comes after what it needs', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const all = random(seed, 60);
      const means = { minutes: 120, people: 1, lacks: ['welder'] };
      const { tasks, besides } = planSession(all, means);
      const done = new Set(all.filter(({ state }) => state === 'done').map(({ task }) => task.id));
      for (const view of [...tasks, ...besides]) {
        expect(may(view, means)).toBe(true);
        expect(view.task.needs.every((id) => done.has(id))).toBe(true);
        done.add(view.task.id);
      }
      expect(
        [...tasks, ...besides].reduce((sum, { minutes }) => sum + minutes, 0),
      ).toBeLessThanOrEqual(120);
    }
  });

  test('tasks of one’s own that wait for each other hold up nothing else, however little they take', () => {
    const round = (id: string, need: string, minutes: number): TaskView => ({
      ...random(1, 1)[0]!,
      task: { ...random(1, 1)[0]!.task, id, needs: [need], waits: null, people: 1, tools: [] },
      minutes,
      state: 'waits',
    });
    const all = [...random(3, 40), round('a', 'b', 0), round('b', 'a', 0), round('c', 'a', 5)];
    const { tasks, besides } = planSession(all, { minutes: 100, people: 2, lacks: [] });
    expect([...tasks, ...besides].some(({ task }) => ['a', 'b', 'c'].includes(task.id))).toBe(
      false,
    );
    expect(tasks.length + besides.length).toBeGreaterThan(0);
    // All are placed, each once.
    expect(inOrder(all, new Set(all.map(({ task }) => task.id)))).toHaveLength(all.length);
  });

  test('the demo alone, two hours and no welder: what comes before all is first', () => {
    const session = planSession(views(gannet), { minutes: 120, people: 1, lacks: ['welder'] });
    expect(session.tasks.map(({ task }) => task.kind).slice(0, 5)).toEqual([
      'safety',
      'safety',
      'safety',
      'safety',
      'clean',
    ]);
    expect(session.besides.length).toBeGreaterThan(0);
  });
});

describe('torque', () => {
  // By hand: M10x1.5, As = π/4·(10 − 0.9382·1.5)² = 57.99 mm²; 0.75·57.99·580 = 25,226 N; 0.2·10·25,226/1000 = 50.5 N·m.
  test('a zinc M10 of 8.8 to three quarters of its proof load takes 50.5 N·m', () => {
    expect(stressAreaMm2({ dMm: 10, pitchMm: 1.5, propertyClass: '8.8' })).toBeCloseTo(57.99, 2);
    expect(
      boltTorqueNm({ dMm: 10, pitchMm: 1.5, propertyClass: '8.8', surface: 'zinc' }),
    ).toBeCloseTo(50.45, 2);
    // Oiled it takes nine tenths of that.
    expect(
      boltTorqueNm({ dMm: 10, pitchMm: 1.5, propertyClass: '8.8', surface: 'oiled' }),
    ).toBeCloseTo(45.41, 2);
  });

  // ISO 898-1, table of proof loads: M16 of 8.8 91,000 N, M20 147,000 N; SAE J429: 3/8-16 grade 5 85 ksi, grade 8 120 ksi (from memory).
  test('proof loads are those of the tables, by size and by class or grade', () => {
    const loadKN = (dMm: number, pitchMm: number, propertyClass: BoltClass): number =>
      (stressAreaMm2({ dMm, pitchMm, propertyClass }) * proofMPa({ dMm, propertyClass })) / 1000;
    expect(loadKN(16, 2, '8.8')).toBeCloseTo(91, 0);
    expect(loadKN(20, 2.5, '8.8')).toBeCloseTo(147, 0);
    // 3/8-16: 0.0775 in² by 85,000 lbf/in² is 6,588 lbf.
    expect(loadKN(9.525, 25.4 / 16, 'grade-5') / 4.448).toBeCloseTo(6.59, 1);
    expect(proofMPa({ dMm: 9.525, propertyClass: 'grade-8' }) / 6.894757).toBeCloseTo(120, 0);
    expect(proofMPa({ dMm: 28, propertyClass: 'grade-5' }) / 6.894757).toBeCloseTo(74, 0);
  });

  test('a wrench is good to 4 per cent: 16.4 of 17 is good, 16.3 is too little, 17.7 too much', () => {
    expect([16.4, 16.3, 17.6, 17.7].map((said) => verdictOf(17, said, false))).toEqual([
      'good',
      'low',
      'good',
      'high',
    ]);
    expect([
      verdictOf(17, null, false),
      verdictOf(null, 17, false),
      verdictOf(17, 17, true),
    ]).toEqual(['open', 'no-figure', 'opened']);
  });
});
