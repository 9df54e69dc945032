import { cases } from '../../testing/cases.ts';
import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { clips, naturalHz, spanForHz, type Beam, type ClipLimits, type Clips } from './index.ts';

const STEEL: Beam = {
  odMm: 4.7625,
  wallMm: 0.7112,
  youngGPa: 207,
  densityKgM3: 7850,
  fluidKgM3: 1060,
};
const LIMITS: ClipLimits = {
  ...STEEL,
  lengthMm: 1850,
  excitationHz: 120,
  margin: 1.2,
  maxSpanMm: 450,
  endMm: 100,
};

describe('a span as a pinned beam', () => {
  // Blevins, Formulas for Natural Frequency and Mode Shape (formula from memory), worked by hand: 3/16 x 0.028 steel with fluid.
  test.each([
    [300, 123],
    [450, 54.5],
  ])('steel over %d mm rings at %d Hz', (spanMm, hz) =>
    expect(naturalHz(STEEL, spanMm) / hz).toBeCloseTo(1, 2),
  );
  // 120 GPa and 8900 kg/m³ (handbook, from memory).
  test('copper-nickel over 300 mm rings lower, about 94 Hz at 135 GPa', () => {
    const nickel = { ...STEEL, youngGPa: 135, densityKgM3: 8900 };
    expect(naturalHz(nickel, 300)).toBeGreaterThan(90);
    expect(naturalHz(nickel, 300)).toBeLessThan(98);
  });
  test('the frequency falls with the square of the span, and the span for it is found back', () => {
    expect(naturalHz(STEEL, 200) / naturalHz(STEEL, 400)).toBeCloseTo(4, 12);
    fc.assert(
      fc.property(fc.double({ min: 20, max: 2000, noNaN: true }), (span) =>
        expect(spanForHz(STEEL, naturalHz(STEEL, span))).toBeCloseTo(span, 6),
      ),
    );
    expect(spanForHz(STEEL, 0)).toBe(Infinity);
  });
});

/** What every answer must hold, in words. */
function validateClips(input: ClipLimits, { positionsMm, spans }: Clips): void {
  const edges = [0, ...positionsMm, input.lengthMm];
  expect(spans.map((span) => span.lengthMm)).toEqual(edges.slice(1).map((at, i) => at - edges[i]!));
  const least = spanForHz(input, input.margin * input.excitationHz);
  for (const [i, { lengthMm }] of spans.entries()) {
    const end = i === 0 || i === spans.length - 1;
    expect(lengthMm).toBeGreaterThanOrEqual(-1e-9);
    expect(lengthMm).toBeLessThanOrEqual(
      Math.min(end ? input.endMm : input.maxSpanMm, positionsMm.length ? least : Infinity) + 1e-6,
    );
  }
  for (const at of positionsMm)
    for (const [from, to] of input.forbiddenMm ?? [])
      expect(at > from + 1e-6 && at < to - 1e-6).toBe(false);
}

/** Fewest clips and least sum of squares on places `stepMm` apart, by going through all of them. */
function exhaustive(input: ClipLimits, stepMm: number): { count: number; cost: number } | null {
  const ring = spanForHz(input, input.margin * input.excitationHz);
  const [spanMm, endMm] = [Math.min(input.maxSpanMm, ring), Math.min(input.endMm, ring)];
  const places = Array.from(
    { length: Math.round(input.lengthMm / stepMm) - 1 },
    (_, i) => (i + 1) * stepMm,
  ).filter((at) => !(input.forbiddenMm ?? []).some(([from, to]) => at > from && at < to));
  let costs = new Map(places.filter((at) => at <= endMm).map((at) => [at, at * at]));
  for (let count = 1; costs.size && count < 40; count++) {
    const ends = [...costs]
      .filter(([at]) => input.lengthMm - at <= endMm)
      .map(([at, cost]) => cost + (input.lengthMm - at) ** 2);
    if (ends.length) return { count, cost: Math.min(...ends) };
    const next = new Map<number, number>();
    for (const [at, cost] of costs)
      for (const to of places) {
        if (to <= at || to - at > spanMm) continue;
        next.set(to, Math.min(next.get(to) ?? Infinity, cost + (to - at) ** 2));
      }
    costs = next;
  }
  return null;
}
const costOf = ({ spans }: Clips): number =>
  spans.reduce((sum, span) => sum + span.lengthMm ** 2, 0);

describe('fewest clips, evenly', () => {
  test('spans between are alike where nothing is in the way', () => {
    const found = clips(LIMITS);
    expect(found.positionsMm).toHaveLength(7);
    for (const at of [0, 1, 2, 3, 4, 5, 6])
      expect(found.positionsMm[at]).toBeCloseTo(100 + 275 * at, 9);
  });

  test('a clip on the edge of a forbidden stretch is allowed, inside it is not', () => {
    const input = { ...LIMITS, forbiddenMm: [[370, 376]] as const };
    validateClips(input, clips(input));
    expect(
      clips(input).positionsMm.some((at) => Math.abs(at - 370) < 1e-6 || Math.abs(at - 376) < 1e-6),
    ).toBe(true);
  });

  test('ends that may be longer than the spans between are used', () => {
    const input = { ...LIMITS, excitationHz: 0, maxSpanMm: 200, endMm: 450, lengthMm: 1000 };
    const found = clips(input);
    expect(found.positionsMm).toEqual([expect.closeTo(400, 6), expect.closeTo(600, 6)]);
  });

  test('a tube no longer than its end needs none', () => {
    expect(clips({ ...LIMITS, lengthMm: 100 })).toMatchObject({
      positionsMm: [],
      spans: [{ lengthMm: 100 }],
    });
    expect(clips({ ...LIMITS, lengthMm: 101 }).positionsMm).toHaveLength(1);
  });

  test('as few as an exhaustive search finds, and no worse', () => {
    const tens = (most: number): fc.Arbitrary<number> =>
      fc.integer({ min: 1, max: most / 10 }).map((n) => n * 10);
    const stretch = fc
      .tuple(tens(700), tens(120))
      .map(([from, wide]) => [from, from + wide] as const);
    fc.assert(
      fc.property(
        tens(800),
        tens(300),
        tens(200),
        fc.array(stretch, { maxLength: 4 }),
        (lengthMm, maxSpanMm, endMm, forbiddenMm) => {
          fc.pre(lengthMm > endMm);
          // Touching stretches run into one another: kept apart here, since places apart by 10 mm could sit between.
          fc.pre(
            forbiddenMm.every(([from, to], i) =>
              forbiddenMm.every(([f, t], k) => k === i || t !== from || to === f),
            ),
          );
          const input = { ...LIMITS, excitationHz: 0, lengthMm, maxSpanMm, endMm, forbiddenMm };
          const known = exhaustive(input, 10);
          let found: Clips | null = null;
          try {
            found = clips(input);
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
            expect((error as InputError).path).toMatch(/^forbiddenMm/);
          }
          if (!known) return;
          expect(found).not.toBeNull();
          validateClips(input, found!);
          expect(found!.positionsMm.length).toBe(known.count);
          expect(costOf(found!)).toBeLessThanOrEqual(known.cost + 1e-6);
        },
      ),
      { numRuns: cases(100, 1000) },
    );
  });

  // Any small shift of one clip alone raises the sum of squares or breaks a bound: what least means.
  test('no clip can be shifted for the better', () => {
    const input = {
      ...LIMITS,
      lengthMm: 2400,
      forbiddenMm: [
        [300, 420],
        [900, 1010],
        [1500, 1700],
      ] as const,
    };
    const found = clips(input);
    validateClips(input, found);
    const open = (at: number): boolean =>
      !input.forbiddenMm.some(([from, to]) => at > from && at < to);
    for (const [i, at] of found.positionsMm.entries())
      for (const by of [-1, -0.1, 0.1, 1]) {
        const moved = found.positionsMm.with(i, at + by);
        const edges = [0, ...moved, input.lengthMm];
        const spans = edges.slice(1).map((to, k) => to - edges[k]!);
        const most = Math.min(450, spanForHz(input, 144));
        const holds =
          open(at + by) &&
          spans.every((s, k) => s <= (k === 0 || k === spans.length - 1 ? 100 : most));
        if (holds)
          expect(spans.reduce((sum, s) => sum + s * s, 0)).toBeGreaterThanOrEqual(
            costOf(found) - 1e-6,
          );
      }
  });
});

describe('plans that cannot be met', () => {
  test.each<[string, Partial<ClipLimits>, string, RegExp]>([
    [
      'nowhere near the first end',
      { forbiddenMm: [[0, 150]] },
      'forbiddenMm[0]',
      /from 0 mm to 150 mm, and the first clip must be between 0 mm and 100 mm/,
    ],
    [
      'nowhere near the far end',
      {
        forbiddenMm: [
          [10, 20],
          [1700, 1850],
        ],
      },
      'forbiddenMm[1]',
      /from 1700 mm to 1850 mm/,
    ],
    [
      'a stretch longer than a span',
      { forbiddenMm: [[400, 700]] },
      'forbiddenMm[0]',
      /from 400 mm to 700 mm/,
    ],
    [
      'two that run into one another',
      {
        forbiddenMm: [
          [400, 560],
          [550, 700],
        ],
      },
      'forbiddenMm',
      /from 400 mm to 700 mm/,
    ],
    [
      'one that swallows another',
      {
        forbiddenMm: [
          [450, 500],
          [400, 700],
        ],
      },
      'forbiddenMm[1]',
      /from 400 mm to 700 mm/,
    ],
    [
      'a stretch the wrong way round',
      { forbiddenMm: [[500, 400]] },
      'forbiddenMm[0]',
      /Enter the lower figure first/,
    ],
    ['a wall thicker than the tube', { wallMm: 3 }, 'wallMm', /does not fit twice/],
    [
      'spans of next to nothing',
      { excitationHz: 100_000, margin: 100, lengthMm: 100_000 },
      'excitationHz',
      /More than 1000 clips/,
    ],
  ])('%s', (_, patch, path, sentence) => {
    try {
      clips({ ...LIMITS, ...patch });
      throw new Error('not refused');
    } catch (error) {
      expect(error).toMatchObject({ path, message: expect.stringMatching(sentence) });
    }
  });
});
