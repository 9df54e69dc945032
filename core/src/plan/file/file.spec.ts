import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { pathOf } from '../../lib/faults/index.ts';
import { inspect } from '../../inspect/index.ts';
import { cases } from '../../testing/cases.ts';
import { demo } from '../../testing/demo-plans.ts';
import { GONE, odd, places, put } from '../../testing/odd-values.ts';
import { fieldTables } from './field-tables.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { planSchema } from './schema.ts';
import {
  emptyPlan,
  PLAN_VERSION,
  PlanFileError,
  validatePlan,
  writePlan,
  type Plan,
} from '../index.ts';
import { checkPlan, mendPlan, readPlan } from '../file/index.ts';

const EXAMPLES = join(__dirname, 'examples');
const NAMES = ['gannet', 'wheatear', 'dunlin'];

test('the page of the plan file has the tables that the model makes: npm run docs:fields', () => {
  const page = readFileSync(join(__dirname, '../../../../docs/plan-format.md'), 'utf8');
  expect(page).toContain(`<!-- fields -->\n\n${fieldTables()}\n\n<!-- /fields -->`);
});

describe('plan files of every earlier version', () => {
  const files = readdirSync(EXAMPLES);
  test('one is kept of each', () => {
    expect(MIGRATIONS).toHaveLength(PLAN_VERSION - 1);
    const versions = files.map(
      (file) => JSON.parse(readFileSync(join(EXAMPLES, file), 'utf8')).version as number,
    );
    expect([...new Set(versions)].sort()).toEqual(
      Array.from({ length: PLAN_VERSION }, (_, i) => i + 1),
    );
  });
  test.each(files)('%s opens, is written and opens again, and keeps its lines', (file) => {
    const raw = JSON.parse(readFileSync(join(EXAMPLES, file), 'utf8'));
    const plan = readPlan(JSON.stringify(raw));
    expect(plan.version).toBe(PLAN_VERSION);
    expect(readPlan(writePlan(plan))).toEqual(plan);
    expect(plan.lines.map((line) => line.cornersMm)).toEqual(
      raw.lines.map((line: { cornersMm: unknown }) => line.cornersMm),
    );
    expect(() => inspect(plan)).not.toThrow();
  });
  test('a migration takes nothing for granted', () => {
    const odd: unknown[] = [
      null,
      7,
      'x',
      [],
      {},
      { name: {} },
      { name: { toString: null } },
      [[]],
      [null],
    ];
    for (let version = 1; version < PLAN_VERSION; version++)
      for (const circuits of odd)
        expect(() =>
          checkPlan({
            format: 'firmline-plan',
            version,
            circuits: [circuits],
            lines: circuits,
            parts: [circuits],
            bench: circuits,
            sizing: circuits,
            hoses: circuits,
          }),
        ).toThrow(PlanFileError);
  });
});

describe('the check after an edit and the reader', () => {
  const plans = NAMES.map(demo);
  test('say the same of any plan with one odd value in it', () => {
    const where = plans.map((plan) => places(plan));
    let refused = 0;
    fc.assert(
      fc.property(fc.nat(2), fc.nat(), odd, (which, seed, value) => {
        const plan = put(plans[which]!, where[which]![seed % where[which]!.length]!, value) as Plan;
        if (typeof plan !== 'object' || plan === null || (value === GONE && plan === plans[which]))
          return;
        const { error } = planSchema.validate(plan, { abortEarly: false, convert: false });
        const faults = validatePlan(plan);
        // Where a list of three is wrong, one names the list and the other what is in it.
        const at = error && pathOf(error.details[0]!.path);
        if (at)
          expect(faults.some(({ path }) => at.startsWith(path) || path.startsWith(at))).toBe(true);
        const reads = (): Plan => checkPlan(JSON.parse(JSON.stringify(plan)));
        if (faults.length === 0) expect(reads()).toEqual(JSON.parse(JSON.stringify(plan)));
        else refused++;
      }),
      { numRuns: cases(400, 10_000) },
    );
    expect(refused).toBeGreaterThan(cases(100, 2500));
  });

  test('a refused plan is made usable again, with what was changed told, and a sound one is left as it is', () => {
    for (const plan of plans) expect(mendPlan(plan)).toEqual({ plan, mended: [] });
    const where = places(plans[0]!).filter(
      (path) => path.length && !['format', 'version'].includes(String(path[0])),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(), odd), { minLength: 1, maxLength: 4 }), (spoilt) => {
        const bad = spoilt.reduce((plan, [seed, value]) => {
          const path = where[seed % where.length]!;
          const there = path
            .slice(0, -1)
            .every(
              (_, i) =>
                typeof path
                  .slice(0, i + 1)
                  .reduce<unknown>(
                    (v, key) => (v as Record<string, unknown> | null)?.[key],
                    plan,
                  ) === 'object',
            );
          return there ? put(plan, path, value) : plan;
        }, plans[0]!);
        const found = mendPlan(bad);
        expect(found).not.toBeNull();
        expect(validatePlan(found!.plan)).toEqual([]);
        if (validatePlan(bad).length) expect(found!.mended.length).toBeGreaterThan(0);
      }),
      { numRuns: cases(60, 2000) },
    );
  });

  test.each<[string, (plan: Plan) => unknown, (plan: Plan) => unknown, unknown, RegExp]>([
    [
      'a wall over its limit',
      (p) => ({
        ...p,
        things: [
          { ...p.things[0]!, shape: { ...p.things[0]!.shape, wallMm: 5000 } },
          ...p.things.slice(1),
        ],
      }),
      (p) => (p.things[0]!.shape as { wallMm: number }).wallMm,
      1000,
      /^Left rail, shape, wall: 5000 is too large: 1000 is the limit/,
    ],
    [
      'corners of a gate crossed',
      (p) => ({
        ...p,
        gates: [{ id: 'g', name: 'Bed', minMm: [100, 0, 0], maxMm: [0, 50, 50], closed: false }],
      }),
      (p) => [p.gates[0]!.minMm, p.gates[0]!.maxMm],
      [
        [0, 0, 0],
        [100, 50, 50],
      ],
      /^Bed, upper corner, x: This corner lies at 0 mm/,
    ],
    [
      'a port that is not there',
      (p) => ({
        ...p,
        lines: p.lines.map((line, i) =>
          i ? line : { ...line, ends: { ...line.ends, a: { ...line.ends.a, portId: 'gone' } } },
        ),
      }),
      (p) => p.lines[0]!.ends.a.portId,
      null,
      /There is no port "gone"/,
    ],
    [
      'a tube that is not in stock',
      (p) => ({ ...p, lines: p.lines.map((line, i) => (i ? line : { ...line, tubeId: 'lead' })) }),
      (p) => p.lines.length,
      demo('gannet').lines.length - 1,
      /There is no tube "lead" in stock/,
    ],
    [
      'a torque of nothing',
      (p) => ({
        ...p,
        lines: p.lines.map((line, i) =>
          i
            ? line
            : {
                ...line,
                ends: {
                  ...line.ends,
                  a: { ...line.ends.a, joint: { ...line.ends.a.joint, torqueNm: 0 } },
                },
              },
        ),
      }),
      (p) => p.lines[0]!.ends.a.joint.torqueNm,
      null,
      /torque: 0 is too small: must be over 0/,
    ],
  ])('%s', (_, spoil, look, to, sentence) => {
    const found = mendPlan(spoil(demo('gannet')))!;
    expect(look(found.plan)).toEqual(to);
    expect(found.mended.map((one) => one.text)).toEqual([expect.stringMatching(sentence)]);
  });

  test('what is no plan cannot be mended', () => {
    for (const value of [
      null,
      3,
      [],
      {},
      { format: 'other' },
      { format: 'firmline-plan', version: 99 },
    ])
      expect(mendPlan(value)).toBeNull();
  });
});

describe('hostile files', () => {
  const plan = emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z');
  const empty = (count: number): object[] => Array.from({ length: count }, () => ({}));
  test.each<[string, object, RegExp]>([
    [
      '100,000 lines of nothing',
      { lines: empty(100_000) },
      /lines: This list holds 100000; 5000 is the limit/,
    ],
    ['5,000 lines of nothing', { lines: empty(5000) }, /lines\[0\]\.id: This field is missing/],
    [
      '5,000 parts of 200 empty ports',
      { parts: Array.from({ length: 5000 }, (_, i) => ({ id: `${i}`, ports: empty(200) })) },
      /more than 250000 figures and texts/,
    ],
    [
      'a circuit named by an object',
      { version: 1, circuits: [{ id: 'c', work: 'brake', name: { toString: null } }] },
      /circuits\[0\]\.name: This should be text/,
    ],
    [
      'numbers beyond all sense',
      {
        points: [
          { id: 'a', name: 'A', known: { how: 'typed', atMm: [1e308, 0, 0], sigmaMm: [1, 1, 1] } },
        ],
      },
      /is too large: 100000 is the limit/,
    ],
  ])('%s end in a sentence', (_, patch, sentence) => {
    expect(() => checkPlan({ ...plan, ...patch })).toThrow(sentence);
    expect(() => checkPlan({ ...plan, ...patch })).toThrow(PlanFileError);
  });
});
