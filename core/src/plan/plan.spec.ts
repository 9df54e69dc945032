import { readFileSync } from 'node:fs';
import { cases } from '../testing/cases.ts';
import { demo, demoText } from '../testing/demo-plans.ts';
import { join } from 'node:path';
import fc from 'fast-check';
import { distance, sub, type Vec3 } from '../lib/vec/index.ts';
import {
  applyEdit,
  changeMove,
  cutSigmaMm,
  EDITS,
  emptyPlan,
  freshId,
  movesOf,
  PlanFileError,
  PLAN_VERSION,
  validatePlan,
  writePlan,
  type EditCall,
  type LineEnd,
  type Plan,
} from './index.ts';
import { readPlan } from './file/index.ts';
import { viewPlan } from './results/index.ts';

const DEMO = demoText('gannet');
const gannet = (): Plan => demo('gannet');
const faultsOf = (text: string): PlanFileError => {
  try {
    readPlan(text);
  } catch (error) {
    if (error instanceof PlanFileError) return error;
    throw error;
  }
  throw new Error('not refused');
};
const lineNamed = (plan: Plan, name: string) =>
  viewPlan(plan).lines.find((v) => v.line.name === name)!;

describe('reading and writing a plan file', () => {
  test('what is written reads back the same, unknown fields kept', () => {
    const withMore = {
      ...gannet(),
      colourOfTheVan: 'gray',
      lines: gannet().lines.map((l) => ({ ...l, sleeved: true })),
    } as Plan;
    expect(readPlan(writePlan(withMore))).toEqual(withMore);
    expect(readPlan(writePlan(emptyPlan('a', 'A', '2026-01-01T00:00:00.000Z'))).points).toEqual([]);
  });

  test('a plan of version 1 is read: circuits learn their axle by their name, sizing is not begun', () => {
    const raw = JSON.parse(DEMO);
    for (const field of ['sizing', 'trailer', 'singles', 'clutch', 'parking']) delete raw[field];
    for (const { ports } of raw.parts) for (const port of ports) delete port.fitting;
    for (const { ends } of raw.lines)
      for (const end of [ends.a, ends.b])
        for (const field of ['adapters', 'standoffMm', 'joint']) delete end[field];
    raw.circuits.forEach((circuit: { axle?: string }) => delete circuit.axle);
    const plan = readPlan(JSON.stringify({ ...raw, version: 1 }));
    expect(plan).toMatchObject({ version: PLAN_VERSION, hoses: [], sizing: null });
    expect(plan.circuits.map((c) => c.axle)).toEqual(['front', 'rear', null]);
    const { joint } = plan.lines[0]!.ends.a;
    // Joints were not kept before: nothing is claimed of them.
    const bare = (end: LineEnd): LineEnd => ({ ...end, adapters: [], standoffMm: 0, joint });
    expect(joint).toMatchObject({ sealant: 'none', washers: 'none', torqueNm: null });
    expect(plan.lines).toEqual(
      gannet().lines.map((l) => ({
        ...l,
        clipsMm: [],
        ends: { a: bare(l.ends.a), b: bare(l.ends.b) },
      })),
    );
    expect(plan.parts.flatMap((part) => part.ports).every((port) => port.fitting === null)).toBe(
      true,
    );
  });

  test('a plan of version 5 is read: what shook a line shakes all of it, and no feed is said to have a gauze', () => {
    const raw = JSON.parse(
      readFileSync(join(__dirname, '../../../demo/wheatear.firmline.json'), 'utf8'),
    );
    raw.holding = raw.clipSettings;
    for (const line of raw.lines) delete line.shakes;
    for (const hose of raw.hoses) delete hose.gauze;
    raw.lines[0].shakeHz = 90;
    raw.lines[1].shakeHz = null;
    const plan = readPlan(JSON.stringify({ ...raw, version: 5 }));
    expect(plan.lines[0]!.shakes).toEqual([{ fromMm: 0, toMm: 100_000, hz: 90 }]);
    expect(plan.lines[0]).not.toHaveProperty('shakeHz');
    expect(plan.lines[1]!.shakes).toEqual([]);
    expect(plan.hoses.every((hose) => !hose.gauze)).toBe(true);
  });

  test('every fault is listed by its path', () => {
    const raw = JSON.parse(DEMO);
    raw.lines[1].cornersMm[0][2] = 'high';
    raw.points[0].known.how = 'dreamt';
    delete raw.bench.trimMm;
    expect(faultsOf(JSON.stringify(raw)).faults.map((f) => f.path)).toEqual([
      'points[0].known.how',
      'lines[1].cornersMm[0][2]',
      'bench.trimMm',
    ]);
  });

  test.each<[string, (raw: any) => void, string, RegExp]>([
    [
      'an id twice',
      (r) => (r.points[1].id = r.points[0].id),
      'points[1].id',
      /already belongs to points\[0\]/,
    ],
    [
      'a port that is not there',
      (r) => (r.lines[0].ends.a.portId = 'nowhere'),
      'lines[0].ends.a.portId',
      /no port "nowhere"/,
    ],
    [
      'two lines in one port',
      (r) => (r.lines[1].ends.a.portId = r.lines[0].ends.a.portId),
      'lines[1].ends.a.portId',
      /already holds line F1/,
    ],
    [
      'a tube not in stock',
      (r) => (r.lines[0].tubeId = 'garden-hose'),
      'lines[0].tubeId',
      /no tube "garden-hose"/,
    ],
    [
      'a point taped from itself',
      (r) =>
        (r.points[0].known = {
          ...r.points[0].known,
          how: 'taped',
          tapes: [{ from: 'datum-a', readMm: 5 }],
          side: 'above',
        }),
      'points[0].known.tapes',
      /taped from itself/,
    ],
    ['a newer version', (r) => (r.version = 9), 'version', /version 9/],
    ['another format', (r) => (r.format = 'other'), 'format', /not a Firm Line plan/],
  ])('refuses %s', (_, spoil, path, sentence) => {
    const raw = JSON.parse(DEMO);
    spoil(raw);
    expect(faultsOf(JSON.stringify(raw)).faults).toContainEqual({
      path,
      message: expect.stringMatching(sentence),
    });
  });

  test.each([
    ['', /not JSON/],
    ['[1]', /The file is not a plan/],
    ['{"format":', /not JSON/],
    [`${'['.repeat(100_000)}`, /deeper than/],
  ])('refuses %.12s', (text, sentence) => expect(faultsOf(text).message).toMatch(sentence));

  /** Mutates the demo plan in 2,000 ways: types, lengths, nesting, what is missing, what is huge. */
  test('mutated plans: a plan or the named error, never anything else, never half', () => {
    const original = JSON.parse(DEMO);
    const paths: (string | number)[][] = [];
    const walk = (value: unknown, path: (string | number)[]): void => {
      paths.push(path);
      if (Array.isArray(value)) value.forEach((v, i) => walk(v, [...path, i]));
      else if (value && typeof value === 'object')
        Object.entries(value).forEach(([k, v]) => walk(v, [...path, k]));
    };
    walk(original, []);
    const deep = JSON.parse(`${'[1,'.repeat(50)}1${']'.repeat(50)}`);
    const odd: unknown[] = [
      null,
      true,
      '',
      'x'.repeat(20_000),
      -1,
      0,
      1e308,
      1e5 + 1,
      0.1,
      [],
      {},
      [[[]]],
      deep,
      { id: { id: {} } },
      Array.from({ length: 6000 }, () => 0),
      '__proto__',
      ['a', 1, null],
      '2026-01-01',
    ];
    let read = 0;
    fc.assert(
      fc.property(fc.nat(paths.length - 1), fc.nat(odd.length), fc.nat(2), (at, value, twice) => {
        const plan = structuredClone(original);
        for (let i = 0; i <= twice; i++) {
          const path = paths[(at * (i + 1)) % paths.length]!;
          if (!path.length) continue;
          const parent = path.slice(0, -1).reduce<any>((node, key) => node?.[key], plan);
          if (parent === null || typeof parent !== 'object') continue;
          const key = path.at(-1)!;
          if (value === odd.length)
            Array.isArray(parent) ? parent.splice(Number(key), 1) : delete parent[key];
          else parent[key] = odd[(value + i) % odd.length];
        }
        const text = JSON.stringify(plan);
        try {
          const found = readPlan(text);
          read++;
          expect(found).toEqual(plan);
          expect(validatePlan(found)).toEqual([]);
          viewPlan(found);
        } catch (error) {
          expect(error).toBeInstanceOf(PlanFileError);
          expect((error as PlanFileError).faults.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: cases(200, 2000) },
    );
    expect(read).toBeGreaterThan(cases(2, 20));
    expect(read).toBeLessThan(1500);
  });
});

describe('what follows from a plan', () => {
  test('the demo: seven lines in three circuits, all but none with a card, lengths as drawn', () => {
    const view = viewPlan(gannet());
    expect(view.lines.map((v) => v.line.name)).toEqual(['F1', 'F2', 'F3', 'R1', 'R2', 'R3', 'C1']);
    for (const line of view.lines)
      expect(line.pieces.at(-1)!.endMm).toBeCloseTo(line.card!.developedMm, 9);
    expect(validatePlan(view.plan)).toEqual([]);
  });

  test('an untouched line keeps its view through an edit of another', () => {
    const plan = gannet();
    const before = viewPlan(plan).lines;
    const after = viewPlan(
      applyEdit(plan, { edit: 'removeCorner', with: { id: before[3]!.line.id, index: 1 } }),
    ).lines;
    expect(after[0]).toBe(before[0]);
    expect(after[3]).not.toBe(before[3]);
  });

  /*
   * By hand: R3 leaves its tee square to the right and meets its port going right, so along y both ports move the length one to one:
   * σ² = 1.5² + 15². Across (x, z) the last corner moves nothing, but the legs into it change their lengths by their slope there;
   * the tee is square on to its first leg (no share), the right port to its last.
   */
  test('certainty of a cut length comes from the ports along the tube', () => {
    const plan = gannet();
    const sigma = cutSigmaMm(lineNamed(plan, 'R3'))!;
    expect(sigma).toBeGreaterThan(Math.hypot(1.5, 15) - 0.2);
    expect(sigma).toBeLessThan(Math.hypot(1.5, 15) + 0.5);
  });

  test('a port taped with one wrong reading rests on a guess until it is read again', () => {
    expect(viewPlan(gannet()).ports.get('port-cs-in')!.fixed).toMatchObject({
      guess: true,
      fault: null,
    });
  });

  test('bleeding by system: the furthest corner first, the clutch by itself', () => {
    const [brake, clutch] = viewPlan(gannet()).bleeding;
    expect(brake!.result!.order.map((s) => s.id)).toEqual([
      'bleed-rr',
      'bleed-rl',
      'bleed-fr',
      'bleed-fl',
    ]);
    expect(clutch!.result!.order.map((s) => s.id)).toEqual(['bleed-cs']);
    const listed = applyEdit(gannet(), {
      edit: 'changeBleeding',
      with: { patch: { school: 'as-listed' } },
    });
    expect(viewPlan(listed).bleeding.map((b) => b.result!.order.map((s) => s.id))).toEqual([
      ['bleed-fl', 'bleed-fr', 'bleed-rr', 'bleed-rl'],
      ['bleed-cs'],
    ]);
  });
});

describe('edits', () => {
  const id = 'line-r1';
  const nodes = (plan: Plan): readonly Vec3[] => lineNamed(plan, 'R1').nodesMm;

  test('a changed move is taken up by the next move the same way, and square corners stay square', () => {
    const plan = gannet();
    const after = EDITS.setMove(plan, { id, index: 2, moveMm: [1600, 0, 0] });
    expect(movesOf(nodes(after))[2]).toEqual([1600, 0, 0]);
    // 80 more aft here is 80 less in move 5 ("aft 260"): the last corner and both ports stay.
    expect(nodes(after)[6]).toEqual(nodes(plan)[6]);
    expect(movesOf(nodes(after))[4]![0]).toBeCloseTo(movesOf(nodes(plan))[4]![0] - 80, 9);
  });

  test('a move that nothing can take up moves its one corner', () => {
    const square: Vec3[] = [
      [0, 0, 0],
      [100, 0, 0],
      [100, 100, 0],
      [100, 100, 100],
    ];
    expect(changeMove(square, 0, [120, 0, 0])).toEqual({
      cornersMm: [
        [120, 0, 0],
        [100, 100, 0],
      ],
      takenUpBy: 1,
    });
  });

  test('any change of a move keeps both ports and makes the move', () => {
    fc.assert(
      fc.property(
        fc.nat(5),
        fc.integer({ min: -300, max: 300 }),
        fc.integer({ min: -300, max: 300 }),
        (index, x, y) => {
          const plan = gannet();
          const moveMm: Vec3 = [x, y, 40];
          const after = nodes(EDITS.setMove(plan, { id, index, moveMm }));
          expect(distance(sub(after[index + 1]!, after[index]!), moveMm)).toBeLessThan(1e-9);
          expect(after.at(-1)).toEqual(nodes(plan).at(-1));
        },
      ),
    );
  });

  test('every edit leaves the plan it was given untouched and gives a sound one', () => {
    const plan = gannet();
    const frozen = JSON.stringify(plan);
    const known = plan.points[0]!.known;
    const calls: EditCall[] = [
      { edit: 'rename', with: { name: 'Other' } },
      { edit: 'setUnits', with: { units: 'inch' } },
      { edit: 'addPoint', with: { point: { id: freshId(plan, 'point'), name: 'K', known } } },
      { edit: 'removePoint', with: { id: 'datum-f' } },
      { edit: 'removePart', with: { id: 'rr' } },
      { edit: 'removePort', with: { id: 'bleed-fl' } },
      { edit: 'changePort', with: { id: 'bleed-rl', patch: { role: 'spare' } } },
      {
        edit: 'setKnown',
        with: { target: { kind: 'point', id: 'datum-a' }, known: { ...known, atMm: [1, 2, 3] } },
      },
      { edit: 'insertCorner', with: { id, index: 2, atMm: [1000, -300, 430] } },
      { edit: 'removeCorner', with: { id, index: 0 } },
      { edit: 'setTube', with: { id, tubeId: '1-4-steel' } },
      { edit: 'tick', with: { id, step: 'cut', digest: 'x', at: '2026-01-01T00:00:00.000Z' } },
      { edit: 'removeLine', with: { id } },
    ];
    for (const call of calls) {
      let after: Plan;
      try {
        after = applyEdit(plan, call);
      } catch (error) {
        expect((error as Error).name).toBe('InputError');
        continue;
      }
      expect(JSON.stringify(plan)).toBe(frozen);
      expect(readPlan(writePlan(after))).toEqual(after);
    }
  });

  test('another tube size brings a nut and a bender that go with it', () => {
    const line = lineNamed(EDITS.setTube(gannet(), { id, tubeId: '1-4-steel' }), 'R1');
    expect(line.nuts.a.thread).toBe('7/16-24 UNS');
    expect(line.bender.tubeOdMm).toBe(6.35);
  });

  test('a datum that tapes are read from cannot be deleted', () => {
    expect(() => EDITS.removePoint(gannet(), { id: 'datum-a' })).toThrow(/is a datum of/);
  });
});
