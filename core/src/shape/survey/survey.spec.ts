import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { survey, type SurveyInput } from './index.ts';

const SQUARE = {
  A: [0, -400, 500],
  B: [0, 400, 500],
  C: [1200, -400, 500],
  D: [1200, 400, 500],
} satisfies Record<string, Vec3>;
const faultOf = (input: SurveyInput): InputError => {
  try {
    survey(input);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('no fault');
};
const exact = (datums: Record<string, Vec3>, point: Vec3): SurveyInput['tapes'] =>
  Object.entries(datums).map(([from, at]) => ({ from, readMm: distance(at, point) }));

describe('a point from tape readings', () => {
  /*
   * Worked by hand. Datums A (0,0,0), B (800,0,0), C (0,600,0); tapes 300·√2 = 424.264 from A, 583.095 from B, 424.264 from C.
   * Circles: rA² − rB² = 2·800·x − 800²: 180000 − 340000 + 640000 = 480000, x = 300.
   * rA² − rC² = 2·600·y − 600²: 0 + 360000 = 1200·y, y = 300. z² = 180000 − 90000 − 90000 = 0 would lie in the plane,
   * so raise it by z = 400: rA = rC = √(180000 + 160000) = 583.0952, rB = √(340000 + 160000) = 707.1068.
   * Sigma along z with σ = 2 at each tape: three tapes, exactly determined, so N⁻¹ = σ²·(UᵀU)⁻¹. Rows of U:
   * A (300, 300, 400)/583.0952, B (−500, 300, 400)/707.1068, C (300, −300, 400)/583.0952.
   * UΔ = v solved for a z error only: from A − C, 600·y = 583.0952·(vA − vC); from A − B, 800·x = 583.0952·vA − 707.1068·vB;
   * 400·z = 583.0952·vA − 300·x − 300·y = 583.0952·vA·(1 − 3/8 − 1/2) + 707.1068·vB·3/8 + 583.0952·vC/2
   *       = 72.8869·vA + 265.1651·vB + 291.5476·vC, so σz = 2·√(72.8869² + 265.1651² + 291.5476²)/400 = 2.00390.
   */
  test('the hand-worked example', () => {
    const found = survey({
      datumsMm: { A: [0, 0, 0], B: [800, 0, 0], C: [0, 600, 0] },
      tapes: [
        { from: 'A', readMm: Math.sqrt(340000) },
        { from: 'B', readMm: Math.sqrt(500000) },
        { from: 'C', readMm: Math.sqrt(340000) },
      ],
      side: 'above',
    });
    [300, 300, 400].forEach((v, i) => expect(found.pointMm[i]).toBeCloseTo(v, 6));
    expect(found.sigmaMm[2]).toBeCloseTo((2 * Math.hypot(72.8869, 265.1651, 291.5476)) / 400, 4);
    expect(found.sigmaMm[1]).toBeCloseTo((2 * Math.SQRT2 * 583.0952) / 600, 4);
    expect(found.suspect).toBeNull();
  });

  test('exact tapes come back to the point on either side', () => {
    const coordinate = (min: number, max: number): fc.Arbitrary<number> =>
      fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        coordinate(-500, 1700),
        coordinate(-900, 900),
        coordinate(30, 900),
        fc.boolean(),
        (x, y, h, above) => {
          const point: Vec3 = [x, y, 500 + (above ? h : -h)];
          const found = survey({
            datumsMm: SQUARE,
            tapes: exact(SQUARE, point),
            side: above ? 'above' : 'below',
          });
          expect(distance(found.pointMm, point)).toBeLessThan(1e-5);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('datums out of plane need no side, the deeper minimum wins', () => {
    const datums = { ...SQUARE, E: [600, 0, 1100] as Vec3 };
    fc.assert(
      fc.property(
        fc.double({ min: -300, max: 1500, noNaN: true }),
        fc.double({ min: -700, max: 700, noNaN: true }),
        fc.double({ min: 60, max: 1500, noNaN: true }),
        (x, y, z) => {
          expect(
            distance(survey({ datumsMm: datums, tapes: exact(datums, [x, y, z]) }).pointMm, [
              x,
              y,
              z,
            ]),
          ).toBeLessThan(1e-4);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('a datum plane that stands upright: "above" goes by y, then by x', () => {
    const wall = { A: [0, 0, 0], B: [800, 0, 0], C: [0, 0, 600] } satisfies Record<string, Vec3>;
    expect(
      survey({ datumsMm: wall, tapes: exact(wall, [300, 250, 200]), side: 'above' }).pointMm[1],
    ).toBeCloseTo(250, 6);
    expect(
      survey({ datumsMm: wall, tapes: exact(wall, [300, 250, 200]), side: 'below' }).pointMm[1],
    ).toBeCloseTo(-250, 6);
  });

  test('a wrong tape among five is named, and not among four (Baarda: no test without enough redundancy)', () => {
    const datums = { ...SQUARE, E: [600, -400, 500] as Vec3 };
    const tapes = exact(datums, [700, 100, 900]).map((t, i) =>
      i === 2 ? { ...t, readMm: t.readMm + 25 } : t,
    );
    expect(survey({ datumsMm: datums, tapes, side: 'above' }).suspect).toBe(2);
    expect(
      survey({ datumsMm: SQUARE, tapes: tapes.slice(0, 4), side: 'above' }).suspect,
    ).toBeNull();
  });

  test.each<[string, SurveyInput, string, RegExp]>([
    [
      'two tapes',
      { datumsMm: SQUARE, tapes: exact(SQUARE, [1, 1, 900]).slice(0, 2), side: 'above' },
      'tapes',
      /three tapes or more; there are 2/,
    ],
    [
      'an unknown datum',
      { datumsMm: SQUARE, tapes: [...exact(SQUARE, [1, 1, 900]), { from: 'Z', readMm: 3 }] },
      'tapes[4].from',
      /No datum is called "Z"/,
    ],
    ['no side', { datumsMm: SQUARE, tapes: exact(SQUARE, [1, 1, 900]) }, 'side', /above or below/],
    [
      'datums in a line',
      {
        datumsMm: { A: [0, 0, 0], B: [400, 0, 0], C: [900, 0, 0] },
        tapes: [
          { from: 'A', readMm: 500 },
          { from: 'B', readMm: 500 },
          { from: 'C', readMm: 500 },
        ],
      },
      'tapes',
      /one line/,
    ],
    [
      'a point in the plane of its datums',
      { datumsMm: SQUARE, tapes: exact(SQUARE, [600, 100, 500]), side: 'above' },
      'tapes',
      /plane of its datums/,
    ],
    [
      'tapes that cannot meet',
      {
        datumsMm: { A: [0, 0, 0], B: [800, 0, 0], C: [0, 600, 0] },
        tapes: [
          { from: 'A', readMm: 300 },
          { from: 'B', readMm: 400 },
          { from: 'C', readMm: 500 },
        ],
        side: 'above',
      },
      'tapes',
      /A and B miss each other by 100 mm/,
    ],
  ])('refuses %s', (_, input, path, sentence) => {
    const fault = faultOf(input);
    expect(fault.path).toBe(path);
    expect(fault.message).toMatch(sentence);
  });
});
