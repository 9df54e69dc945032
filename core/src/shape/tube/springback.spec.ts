import { dialFor, seenSpringback, springback, type SeenBend, type TestBend } from './index.ts';

const TESTS: TestBend[] = [
  { dialDeg: 32, gotDeg: 30 },
  { dialDeg: 63.5, gotDeg: 60 },
  { dialDeg: 95, gotDeg: 90 },
];

describe('springback as it is seen', () => {
  test('with equal weights it is the plain line of least squares', () => {
    const [plain, seen] = [springback(TESTS), seenSpringback(TESTS, [])];
    expect(seen.slope).toBeCloseTo(plain.slope, 12);
    expect(seen.offsetDeg).toBeCloseTo(plain.offsetDeg, 12);
  });

  // By hand: on the line dial = 0.5 + 1.05 · kept.
  test('by hand: dial = 0.5 + 1.05 times what is kept', () => {
    const seen = seenSpringback(TESTS, []);
    expect([seen.offsetDeg, seen.slope].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([0.5, 1.05]);
    expect(dialFor(seen, 72.4)).toBeCloseTo(76.52, 9);
  });

  test('a bend that was read closely outweighs test bends that were not, and makes the figure surer', () => {
    const close: SeenBend[] = [{ dialDeg: 98, gotDeg: 90, sigmaDeg: 0.05 }];
    const [before, after] = [seenSpringback(TESTS, []), seenSpringback(TESTS, close)];
    expect(dialFor(before, 90)).toBeCloseTo(95, 6);
    expect(dialFor(after, 90)).toBeGreaterThan(97.9);
    expect(after.sigmaAt(90)).toBeLessThan(before.sigmaAt(90));
    // One that was hardly read at all says next to nothing.
    const vague = seenSpringback(TESTS, [{ dialDeg: 110, gotDeg: 90, sigmaDeg: 50 }]);
    expect(dialFor(vague, 90)).toBeCloseTo(95, 1);
  });

  test('further from what was bent it is less sure; bends to one angle tell no slope; none tell nothing', () => {
    const seen = seenSpringback(TESTS, []);
    expect(seen.sigmaAt(170)).toBeGreaterThan(seen.sigmaAt(60));
    // Sigma of the mean of three readings of half a degree: 0.5 / √3.
    expect(seen.sigmaAt(60)).toBeCloseTo(0.5 / Math.sqrt(3), 9);
    const one = seenSpringback(
      [
        { dialDeg: 93, gotDeg: 90 },
        { dialDeg: 95, gotDeg: 92 },
      ],
      [],
    );
    expect(one.offsetDeg).toBe(0);
    expect(one.slope).toBeCloseTo(94 / 91, 12);
    const none = seenSpringback([], []);
    expect([none.offsetDeg, none.slope, none.sigmaAt(90)]).toEqual([0, 1, Infinity]);
  });

  test('the sigma is what many makings scatter by (drawn 4,000 times)', () => {
    let state = 1;
    const uniform = (): number => (state = (state * 16807) % 2147483647) / 2147483647;
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const kept = [30, 60, 90, 120];
    const dials = Array.from({ length: 4000 }, () => {
      const bends = kept.map((gotDeg) => ({
        gotDeg,
        dialDeg: 0.5 + 1.05 * gotDeg + 0.3 * normal(),
        sigmaDeg: 0.3,
      }));
      return dialFor(seenSpringback([], bends), 100);
    });
    const mean = dials.reduce((sum, v) => sum + v, 0) / dials.length;
    const spread = Math.sqrt(dials.reduce((sum, v) => sum + (v - mean) ** 2, 0) / dials.length);
    const told = seenSpringback(
      [],
      kept.map((gotDeg) => ({ gotDeg, dialDeg: 0.5 + 1.05 * gotDeg, sigmaDeg: 0.3 })),
    ).sigmaAt(100);
    expect(mean).toBeCloseTo(105.5, 1);
    expect(spread / told).toBeGreaterThan(0.95);
    expect(spread / told).toBeLessThan(1.05);
  });
});
