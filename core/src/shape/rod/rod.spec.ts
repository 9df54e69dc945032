import fc from 'fast-check';
import { cases } from '../../testing/cases.ts';
import { distance, length, scale, unit, type Vec3 } from '../../lib/vec/index.ts';
import { arcTerms, type ArcTerms } from './arc.ts';
import { findLength, judge } from './index.ts';
import { settle, type Rod } from './rod.ts';
import { drawnStart, remeshed, startsBetween } from './starts.ts';

const terms = (y: number): ArcTerms => {
  const out = { energy: 0, energy1: 0, energy2: 0, chord: 0, chord1: 0, chord2: 0 };
  arcTerms(y, out);
  return out;
};
const way = fc
  .tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: 0, max: 6.28, noNaN: true }))
  .map(([z, turn]): Vec3 => {
    const r = Math.sqrt(1 - z * z);
    return [r * Math.cos(turn), r * Math.sin(turn), z];
  });
const tangent = ({ tangents }: Rod, i: number): Vec3 =>
  [...tangents.slice(3 * i, 3 * i + 3)] as unknown as Vec3;
const sum = (values: Float64Array): number => values.reduce((all, one) => all + one, 0);

describe('an arc between two tangents', () => {
  // Geometry: half the square of the angle; the chord of an arc is its length times sin(θ/2)/(θ/2), its tangents' sum 2·cos(θ/2) long.
  test.each([1e-9, 0.003, 0.0399999, 0.0400001, 0.3, 1, 1.7])(
    'has the energy and the chord of its angle, 1 − cos = %p',
    (y) => {
      const angle = 2 * Math.asin(Math.sqrt(y / 2));
      expect(terms(y).energy).toBeCloseTo(angle ** 2 / 2, 10);
      expect(terms(y).chord * Math.cos(angle / 2)).toBeCloseTo(
        Math.sin(angle / 2) / (angle / 2),
        8,
      );
    },
  );
  test('and slopes that are the differences of what they are slopes of', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.002, max: 1.6, noNaN: true }), (y) => {
        const step = 1e-5 * (1 + y);
        fc.pre(Math.abs(y - 0.04) > 2 * step);
        const [before, at, after] = [terms(y - step), terms(y), terms(y + step)];
        const slope = (key: keyof ArcTerms): number => (after[key] - before[key]) / (2 * step);
        expect(at.energy1 / slope('energy')).toBeCloseTo(1, 5);
        expect(at.energy2 / slope('energy1')).toBeCloseTo(1, 5);
        expect(at.chord1 / slope('chord')).toBeCloseTo(1, 4);
        expect(at.chord2 / slope('chord1')).toBeCloseTo(1, 4);
      }),
    );
  });
});

describe('where a rod starts', () => {
  test('every start keeps both ends, unit tangents and its length, and goes on finer arcs as it was', () => {
    fc.assert(
      fc.property(
        way,
        way,
        way,
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (first, last, to, share) => {
          const chord = scale(to, share);
          const drawn = drawnStart(first, last, chord, 40);
          for (const start of [
            ...startsBetween(first, last, chord, 20),
            ...(drawn ? [drawn] : []),
          ]) {
            const finer = remeshed(start, 53);
            for (const rod of [start, finer]) {
              const arcs = rod.lengths.length;
              expect(sum(rod.lengths)).toBeCloseTo(1, 9);
              expect(Math.min(...rod.lengths)).toBeGreaterThan(0);
              expect(distance(tangent(rod, 0), first)).toBeLessThan(1e-6);
              expect(distance(tangent(rod, arcs), last)).toBeLessThan(1e-6);
              for (let i = 0; i <= arcs; i++) expect(length(tangent(rod, i))).toBeCloseTo(1, 9);
            }
          }
        },
      ),
      {
        numRuns: cases(12, 200),
        // Ends that are all but opposite, over a chord that is all but none.
        examples: [
          [
            [1.625524776374655e-7, 0, 0.9999999999999868],
            [1, 0, 0],
            [5.1619136559035694e-8, 0, -0.9999999999999987],
            1.1641532182693498e-9,
          ],
        ],
      },
    );
  });
  test('a rod drawn nearly straight starts where it lacks little: its arcs crowd at the clamps', () => {
    const [first, last] = [unit([1, 1, 0])!, unit([1, 0, -2])!];
    const drawn = drawnStart(first, last, [0.995, 0, 0], 64)!;
    expect(Math.max(...drawn.lengths) / drawn.lengths[0]!).toBeGreaterThan(3);
    expect(drawnStart([1, 0, 0], [1, 0, 0], [0.995, 0, 0], 64)).toBeNull();
    expect(drawnStart(first, last, [0, 0, 0], 64)).toBeNull();
    const { converged, stable } = settle(drawn, [0.995, 0, 0]);
    expect([converged, stable]).toEqual([true, true]);
  });
});

describe('a rod at rest', () => {
  test('loses no energy by any small push that keeps its ends: each of its arcs is shaken, and it comes back', () => {
    const chord: Vec3 = [0.5, 0.2, -0.1];
    const [first, last]: [Vec3, Vec3] = [
      [1, 0, 0],
      [0, 1, 0],
    ];
    const rest = settle(startsBetween(first, last, chord, 24)[0]!, chord);
    expect(rest.stable).toBe(true);
    for (let node = 1; node < 24; node += 3) {
      const shaken = Float64Array.from(rest.tangents);
      const pushed = unit([
        shaken[3 * node]! + 0.2,
        shaken[3 * node + 1]! - 0.15,
        shaken[3 * node + 2]! + 0.1,
      ])!;
      shaken.set(pushed, 3 * node);
      const back = settle({ lengths: rest.lengths, tangents: shaken }, chord);
      expect(back.energy).toBeCloseTo(rest.energy, 8);
    }
  });
  test('a saddle is told from a minimum: an S in its plane with room to buckle sideways', () => {
    const chord: Vec3 = [0.3, 0.3, 0];
    const arcs = 40;
    // Tangents that stay in the plane: they turn one way and back.
    const angles = Array.from({ length: arcs + 1 }, (_, i) => 2.4 * Math.sin((Math.PI * i) / arcs));
    const tangents = Float64Array.from(
      angles.flatMap((angle) => [Math.cos(angle), Math.sin(angle), 0]),
    );
    const flat = settle({ lengths: new Float64Array(arcs).fill(1 / arcs), tangents }, chord);
    expect(Math.max(...angles.map((_, i) => Math.abs(flat.tangents[3 * i + 2]!)))).toBeLessThan(
      1e-6,
    );
    expect([flat.converged, flat.stable]).toEqual([true, false]);
    const free = settle(startsBetween([1, 0, 0], [1, 0, 0], chord, arcs)[2]!, chord);
    expect([free.converged, free.stable]).toEqual([true, true]);
    expect(free.energy).toBeLessThan(0.6 * flat.energy);
  });
});

describe('the shortest that serves', () => {
  /** Even numbers of its own, so that the cases are the same each time. */
  const numbers =
    (seed: number): (() => number) =>
    () =>
      (seed = (seed * 16807) % 2147483647) / 2147483647;
  test.each([11, 222, 3333, 44444, 555555])(
    'is the one that trying every length with a whole search finds, ends of seed %p',
    (seed) => {
      const next = numbers(seed);
      const some = (): Vec3 => unit([next() - 0.5, next() - 0.5, next() - 0.5])!;
      const a = { pointMm: [0, 0, 0] as Vec3, direction: some() };
      const [at, out] = [scale(some(), 120 + 150 * next()), some()];
      const near = (v: Vec3, by: number): Vec3 =>
        v.map((one) => one + (next() - 0.5) * by) as unknown as Vec3;
      const states = [0, 80].map((by, i) => ({
        name: `s${i}`,
        endB: { pointMm: near(at, by), direction: near(out, by / 200) },
      }));
      const minRadiusMm = 35 + 40 * next();
      const serves = (lengthMm: number): boolean =>
        states.every(({ endB }) => judge(lengthMm, a, endB, minRadiusMm).verdict === 'ok');
      const all = Array.from({ length: 35 }, (_, i) => 20 * (i + 1));
      expect(findLength(a, states, minRadiusMm, { stepMm: 20, maxMm: 700 })).toBe(
        all.find(serves) ?? null,
      );
    },
  );
});
