import fc from 'fast-check';
import type { InputError } from '../../lib/faults/index.ts';
import { diagnose } from './index.ts';

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
