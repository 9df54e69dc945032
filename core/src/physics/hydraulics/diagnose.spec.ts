import fc from 'fast-check';
import type { InputError } from '../../lib/faults/index.ts';
import { diagnose } from './index.ts';

/** A general minimizer, of npm's `fmin`, which has no types of its own. */
const { nelderMead } = jest.requireActual<{
  nelderMead: (
    of: (x: number[]) => number,
    from: number[],
    how: object,
  ) => { readonly x: number[] };
}>('fmin');

describe('is it air, or is it flexing', () => {
  const PRESSURES = [0.05, 0.1, 0.2, 0.5, 1, 2, 4, 7];
  const readings = (t0: number, flex: number, air: number, from = 0) =>
    PRESSURES.slice(from).map((p) => ({
      pressureMPa: p,
      travelMm: t0 + flex * p + air * (1 - 0.101325 / (0.101325 + p)),
    }));
  const judge = (t0: number, flex: number, air: number, travelSigmaMm = 0.3, from = 0) =>
    diagnose({ ratio: 6, boreMm: 22.22, travelSigmaMm, points: readings(t0, flex, air, from) });

  test('exact readings give back what made them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (t0, flex, air) => {
          const found = judge(t0, flex, air);
          expect(found.t0Mm).toBeCloseTo(t0, 6);
          expect(found.flexMmPerMPa).toBeCloseTo(flex, 6);
          expect(found.airMl).toBeCloseTo(((air / 6) * ((Math.PI / 4) * 22.22 ** 2)) / 1000, 6);
        },
      ),
    );
  });
  test('verdicts', () => {
    expect(judge(2, 1, 40).verdict).toBe('air');
    expect(judge(2, 5, 4).verdict).toBe('flex');
    expect(judge(2, 1, 3).verdict).toBe('firm');
    expect(judge(30, 1, 3).verdict).toBe('free-play');
  });
  test('readings that cannot part air from flex say which one would', () => {
    expect(judge(2, 1, 20, 1.5, 4)).toMatchObject({
      verdict: 'cannot-tell',
      missing: expect.stringMatching(/The lowest is 1 MPa, and air only shows below that/),
    });
  });
  test.each([
    [3, 'points'],
    [4, 'points'],
  ])('refuses %i readings of too few pressures', (count, path) => {
    const points = Array.from({ length: count }, (_, i) => ({ pressureMPa: i % 2, travelMm: i }));
    try {
      diagnose({ ratio: 6, boreMm: 22, points });
      throw new Error('not refused');
    } catch (error) {
      expect((error as InputError).path).toBe(path);
    }
  });
});

describe('held against the pedal that was calculated', () => {
  const expected = {
    t0Mm: 11,
    flexMmPerMPa: 2,
    padMm: 8,
    padMPa: 0.4,
    sigma: { t0Mm: 2, flexMmPerMPa: 0.4, padMm: 2 },
  };
  const squeezed = (p: number): number => 1 - 0.101325 / (0.101325 + p);
  const travel = (p: number, t0: number, c: number, s: number, a: number): number =>
    t0 + c * p + s * (1 - Math.exp(-p / 0.4)) + a * squeezed(p);
  const PRESSURES = [0.05, 0.1, 0.2, 0.4, 0.8, 1.5, 3, 5, 7];
  const judge = (t0: number, c: number, s: number, a: number, more = {}) =>
    diagnose({
      ratio: 5.5,
      boreMm: 19.05,
      travelSigmaMm: 0.4,
      points: PRESSURES.map((p) => ({ pressureMPa: p, travelMm: travel(p, t0, c, s, a) })),
      expected,
      ...more,
    });

  test('the fit is the least of its sum of squares, as the simplex of another library finds it', () => {
    const read = [16.1, 19.4, 23.9, 28.4, 32.8, 36, 39.6, 43.9, 47.8];
    const points = PRESSURES.map((pressureMPa, i) => ({ pressureMPa, travelMm: read[i]! }));
    const found = diagnose({ ratio: 5.5, boreMm: 19.05, travelSigmaMm: 0.4, points, expected });
    const squares = (x: readonly number[]): number => {
      const [t0, c, s, a] = x as [number, number, number, number];
      return (
        points.reduce(
          (sum, p) => sum + ((p.travelMm - travel(p.pressureMPa, t0, c, s, a)) / 0.4) ** 2,
          0,
        ) +
        ((t0 - 11) / 2) ** 2 +
        ((c - 2) / 0.4) ** 2 +
        ((s - 8) / 2) ** 2
      );
    };
    const { x } = nelderMead(squares, [11, 2, 8, 10], {
      maxIterations: 20_000,
      minErrorDelta: 1e-12,
      minTolerance: 1e-12,
    });
    expect(found.t0Mm).toBeCloseTo(x[0]!, 4);
    expect(found.flexMmPerMPa).toBeCloseTo(x[1]!, 4);
    const areaMm2 = (Math.PI / 4) * 19.05 ** 2;
    expect(found.airMl).toBeCloseTo(((x[3]! / 5.5) * areaMm2) / 1000, 4);
    expect(found.verdict).toBe('air');
    expect(found.excess!.airMm).toBeCloseTo(x[3]! * squeezed(7), 3);
  });
  test.each<[string, readonly [number, number, number, number], string]>([
    ['the pedal that was calculated is firm', [11, 2, 8, 0], 'firm'],
    ['a lot of air', [11, 2, 8, 20], 'air'],
    ['a hose that swells', [11, 6, 8, 0], 'flex'],
    ['drums that stand off', [30, 2, 8, 0], 'free-play'],
    ['a port that is covered', [4, 2, 8, 0], 'no-free-play'],
    ['a little more than is allowed, and not surely so', [11, 3.4, 8, 0], 'cannot-tell'],
  ])('%s', (_, [t0, c, s, a], verdict) => {
    expect(judge(t0, c, s, a).verdict).toBe(verdict);
  });
  test('air is never below nothing, and parts never cancel', () => {
    const short = judge(11, 2, 8, -4);
    expect([short.airMl, short.sigma.airMl]).toEqual([0, 0]);
    // As much air over as flex under.
    expect(judge(11, 0.2, 8, 14).verdict).toBe('air');
  });
  test('what must be said with it, and what may not be said without', () => {
    const path = (more: object): string => {
      try {
        judge(11, 2, 8, 0, more);
      } catch (error) {
        return (error as InputError).path;
      }
      return '';
    };
    expect(path({ travelSigmaMm: undefined })).toBe('travelSigmaMm');
    expect(path({ expected: undefined, referenceMPa: 5 })).toBe('referenceMPa');
    expect(path({ expected: undefined, limitMm: 5 })).toBe('limitMm');
    expect(path({ referenceMPa: 5, limitMm: 5 })).toBe('');
  });
});
