import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { emptyPlan, type PositionSource, type Plan, type Point } from '../index.ts';
import { viewPlan } from '../results/index.ts';
import { fixAll } from './position.ts';

const typed = (atMm: Vec3, sigma = 1): PositionSource => ({
  how: 'typed',
  atMm,
  sigmaMm: [sigma, sigma, sigma],
});
const PLACES: Record<string, Vec3> = {
  a: [0, -400, 500],
  b: [0, 400, 500],
  c: [1200, -400, 500],
  d: [600, 0, 1100],
};
const TARGET: Vec3 = [500, 100, 700];

/** A plan with four datums of this certainty, one of them a guess where wanted, and a place taped from them. */
function taped(sigma: number, guessed = false, tapeSigma = 2): Plan {
  const datums: Point[] = Object.entries(PLACES).map(([id, at]) => ({
    id,
    name: id.toUpperCase(),
    known: id === 'c' && guessed ? { ...typed(at, sigma), how: 'guessed' } : typed(at, sigma),
  }));
  const known: PositionSource = {
    how: 'taped',
    atMm: [0, 0, 0],
    sigmaMm: [50, 50, 50],
    tapes: Object.entries(PLACES).map(([from, at]) => ({
      from,
      readMm: distance(at, TARGET),
      sigmaMm: tapeSigma,
    })),
  };
  return {
    ...emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z'),
    points: [...datums, { id: 'target', name: 'Target', known }],
  };
}
const target = (plan: Plan) => viewPlan(plan).points.get('target')!.fixed;

describe('a place taped from datums', () => {
  test('is where the tapes meet, and no guess', () => {
    const { atMm, guess, fault } = target(taped(0));
    expect(distance(atMm, TARGET)).toBeLessThan(1e-6);
    expect([guess, fault]).toEqual([false, null]);
  });

  // With a datum known to s on each axis a tape from it is known to √(σ² + s²): doubling both doubles the result.
  test('carries what its datums are unsure of', () => {
    const sure = target(taped(0)).sigmaMm;
    const unsure = target(taped(2)).sigmaMm;
    unsure.forEach((s, i) => expect(s / sure[i]!).toBeCloseTo(Math.SQRT2, 6));
    target(taped(4, false, 4)).sigmaMm.forEach((s, i) => expect(s / unsure[i]!).toBeCloseTo(2, 6));
  });

  test('rests on a guess while one of its datums is one', () => {
    expect(target(taped(1, true)).guess).toBe(true);
  });

  test('two tapes do not fix it: what was held before counts, as a guess', () => {
    const plan = taped(1);
    const points = plan.points.map((p) =>
      p.id === 'target' ? { ...p, known: { ...p.known, tapes: p.known.tapes!.slice(0, 2) } } : p,
    );
    expect(target({ ...plan, points })).toMatchObject({
      atMm: [0, 0, 0],
      sigmaMm: [50, 50, 50],
      guess: true,
      fault: expect.stringMatching(/three tapes/),
    });
  });

  test('a place taped from a taped place follows when the first is read again', () => {
    const plan = taped(1);
    const chain: Point = {
      id: 'next',
      name: 'Next',
      known: {
        how: 'taped',
        atMm: [0, 0, 0],
        sigmaMm: [9, 9, 9],
        tapes: ['a', 'b', 'd', 'target'].map((from) => ({
          from,
          readMm: distance(from === 'target' ? TARGET : PLACES[from]!, [700, -50, 900]),
        })),
      },
    };
    const both = { ...plan, points: [...plan.points, chain] };
    expect(distance(viewPlan(both).points.get('next')!.fixed.atMm, [700, -50, 900])).toBeLessThan(
      1e-6,
    );
    const moved = {
      ...both,
      points: both.points.map((p) =>
        p.id === 'target' ? { ...p, known: typed([510, 100, 700]) } : p,
      ),
    };
    expect(
      distance(viewPlan(moved).points.get('next')!.fixed.atMm, [700, -50, 900]),
    ).toBeGreaterThan(0.5);
  });
});

describe('a chain of tapes', () => {
  /** Each point taped from the four before it. */
  const chain = (count: number) => {
    const at = (i: number): Vec3 => [
      i * 10,
      (i % 3) * 400 - 400,
      500 + (i % 2) * 300 + (i % 5) * 40,
    ];
    const tapes = (i: number) =>
      [1, 2, 3, 4].map((k) => ({
        from: `p${i - k}`,
        readMm: Math.hypot(...at(i).map((v, a) => v - at(i - k)[a]!)),
        sigmaMm: 2,
      }));
    return Array.from({ length: count }, (_, i): Point => ({
      id: `p${i}`,
      name: `P${i}`,
      known:
        i < 4
          ? { how: 'typed', atMm: at(i), sigmaMm: [1, 1, 1] }
          : { how: 'taped', atMm: at(i), sigmaMm: [1, 1, 1], side: 'above', tapes: tapes(i) },
    }));
  };
  test('grows less sure until it says nothing, and says so from there on', () => {
    const points = chain(400);
    const fixed = fixAll({ points, parts: [] });
    const found = points.map(({ id }) => fixed.get(id)!);
    const lost = found.findIndex(({ fault }) => fault !== null);
    expect(lost).toBeGreaterThan(5);
    expect(found[lost]!.fault).toMatch(
      /This point is taped from a point that is not known to within a meter/,
    );
    expect(
      found
        .slice(lost)
        .every(
          ({ fault, guess, sigmaMm }) => fault !== null && guess && Math.max(...sigmaMm) > 500,
        ),
    ).toBe(true);
    expect(found.slice(0, lost).every(({ fault }) => fault === null)).toBe(true);
  });
});
