import fc from 'fast-check';
import { cases } from '../../testing/cases.ts';
import { InputError } from '../../lib/faults/index.ts';
import { writePlan, type Plan } from '../../plan/index.ts';
import { readPlan } from '../../plan/file/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import { inspect } from '../../inspect/index.ts';
import {
  answered,
  CHOICES,
  defaultsFor,
  NUMBERS,
  sentencesFor,
  setOut,
  sketchOut,
  sumsOf,
  tyreOf,
  VEHICLES,
  type Answers,
  type Ask,
} from './index.ts';

const FRESH = { id: 'p', now: '2026-01-01T00:00:00.000Z' };
const sketch = (answers: Answers, said: readonly Ask[] = []) =>
  sketchOut({ answers, said, name: 'New', units: 'metric' }, FRESH);

describe('a tyre as it is written', () => {
  // ISO 4000-1: rim radius (in × 25.4 / 2) plus width × height ratio, by hand; TRA flotation: half its outside diameter.
  test.each([
    ['205/65 R16', 16 * 12.7 + 0.65 * 205, 205],
    ['205/65R16 95H', 16 * 12.7 + 0.65 * 205, 205],
    ['P235/75 R15', 15 * 12.7 + 0.75 * 235, 235],
    ['195 R14 C', 14 * 12.7 + 0.82 * 195, 195],
    ['255/40 ZR18', 18 * 12.7 + 0.4 * 255, 255],
    ['31x10.5R15', (31 / 2) * 25.4, 10.5 * 25.4],
    ['6.50-16', 16 * 12.7 + 6.5 * 25.4, 165.1],
    ['6.00-6', 6 * 12.7 + 6 * 25.4, 152.4],
    ['120/70 R17', 17 * 12.7 + 0.7 * 120, 120],
  ])('%s', (written, radiusMm, widthMm) => {
    expect(tyreOf(written).freeRadiusMm).toBeCloseTo(radiusMm, 6);
    expect(tyreOf(written).widthMm).toBeCloseTo(widthMm, 6);
  });
  test.each(['', 'round', '205', '205/65', '999/99 R99', '31x33R35'])(
    '%s is refused with its text',
    (written) => {
      expect(() => tyreOf(written)).toThrow(written.slice(0, 5));
    },
  );
});

describe.each(VEHICLES)('%s, as it is before anything is said', (vehicle) => {
  let plan: Plan;
  beforeAll(() => {
    plan = setOut({ answers: defaultsFor(vehicle), said: [], name: 'New', units: 'metric' }, FRESH);
  });
  test('nothing is unsafe, every line bends, is clipped, and can be opened again', () => {
    expect(
      inspect(plan)
        .filter(({ level }) => level === 'stop')
        .map(({ rule, where, text }) => `${rule} ${where}: ${text}`),
    ).toEqual([]);
    for (const { line, card } of viewPlan(plan).lines)
      expect([line.name, card !== null, line.clipsMm.length > 0]).toEqual([line.name, true, true]);
    expect(readPlan(writePlan(plan))).toEqual(plan);
    expect(sumsOf(plan).lines).toBeGreaterThan(0);
  });
  test('every place is a guess, every figure of Size too, and its brakes are all fed', () => {
    const { points, ports } = viewPlan(plan);
    for (const { fixed } of [...points.values(), ...ports.values()]) expect(fixed.guess).toBe(true);
    expect(
      inspect(plan).filter(({ rule }) =>
        ['part-unfed', 'not-bled', 'port-open', 'circuits-joined', 'master-dry'].includes(rule),
      ),
    ).toEqual([]);
  });
  test('its sentences ask for what is an answer, each once, and no more than 30', () => {
    for (const use of ['road', 'towing'] as const) {
      const asks = sentencesFor({ ...defaultsFor(vehicle), use })
        .flat()
        .flatMap((one) => (typeof one === 'string' ? [] : [one.ask]));
      expect(new Set(asks).size).toBe(asks.length);
      expect(asks.length).toBeLessThanOrEqual(30);
      for (const ask of asks) expect(ask in defaultsFor(vehicle)).toBe(true);
    }
  });
});

test('what was said is no guess: datums of a frame that was said, figures of Size that were', () => {
  const said: Ask[] = [
    'wheelbaseMm',
    'railsOverMm',
    'railHeightMm',
    'railUnderMm',
    'emptyKg',
    'tyre',
  ];
  const plan = sketch(defaultsFor('van'), said);
  expect(plan.points.every(({ known }) => known.how === 'typed')).toBe(true);
  expect(
    ['empty.massKg', 'wheelbaseMm', 'tyreRadiusMm.front'].filter((path) =>
      plan.sizing!.open.includes(path),
    ),
  ).toEqual([]);
  expect(plan.sizing!.open).toContain('laden.massKg');
  expect(
    sketch(defaultsFor('van'), said.slice(1)).points.every(({ known }) => known.how === 'guessed'),
  ).toBe(true);
});

test('another vehicle keeps what was said and takes its own for the rest', () => {
  const now = answered(
    answered(defaultsFor('van'), new Set(), 'emptyKg', 1234),
    new Set(),
    'wheelbaseMm',
    3333,
  );
  const then = answered(now, new Set<Ask>(['emptyKg']), 'vehicle', 'pickup');
  expect([then.emptyKg, then.wheelbaseMm, then.vehicle]).toEqual([
    1234,
    defaultsFor('pickup').wheelbaseMm,
    'pickup',
  ]);
});

test('answers that cannot be are refused by name and figure', () => {
  const van = defaultsFor('van');
  expect(() => sketch({ ...van, wheelbaseMm: 90 })).toThrow(
    /Wheelbase of 90 mm is outside 800 to 8000 mm/,
  );
  expect(() => sketch({ ...van, ladenKg: 1000 })).toThrow(
    /Laden mass is 1000 kg, less than the empty mass of 1400 kg/,
  );
  expect(() => sketch({ ...van, railsOverMm: 1500 })).toThrow(
    /Rails 1500 mm apart, outside to outside, leave no room for wheels on a track of 1480 mm/,
  );
  expect(() => sketch({ ...van, tube: 'straw' })).toThrow(/No tube in the catalog is called straw/);
});

test('whatever is answered within its limits draws a plan that can be opened again, or is refused in a sentence', () => {
  const one = fc.oneof(
    ...(Object.keys(NUMBERS) as (keyof typeof NUMBERS)[]).map((ask) =>
      fc
        .integer({ min: NUMBERS[ask].least, max: NUMBERS[ask].most })
        .map((to) => [ask, to] as const),
    ),
    ...(Object.keys(CHOICES) as (keyof typeof CHOICES)[])
      .filter((ask) => ask !== 'vehicle')
      .map((ask) =>
        fc.constantFrom(...CHOICES[ask].map(([value]) => value)).map((to) => [ask, to] as const),
      ),
  );
  let drawn = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...VEHICLES),
      fc.array(one, { maxLength: 8 }),
      (vehicle, changes) => {
        const answers = { ...defaultsFor(vehicle), ...Object.fromEntries(changes) } as Answers;
        try {
          const plan = sketch(answers);
          drawn++;
          expect(readPlan(writePlan(plan))).toEqual(plan);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
          expect((error as Error).message).toMatch(/\.$/);
        }
      },
    ),
    { numRuns: cases(50, 150), seed: 14 },
  );
  expect(drawn).toBeGreaterThan(cases(10, 30));
});
