import fc from 'fast-check';
import { distance, type Vec3 } from '../../lib/vec/index.ts';
import { bestHooks, predictedSigmaMm, type Hook } from '../taping/index.ts';
import { survey, type Axis, type Offset, type Tape } from './index.ts';

/** A general minimizer, of npm's `fmin`. */
type Minimise = (
  f: (x: number[]) => number,
  start: number[],
  limits: { maxIterations: number },
) => { x: number[]; fx: number };
const { nelderMead } = jest.requireActual<{ nelderMead: Minimise }>('fmin');

const DATUMS = {
  A: [0, -400, 500],
  B: [0, 400, 500],
  C: [1200, -400, 500],
  D: [2400, 400, 560],
} as const;
const AT: Vec3 = [640, -120, 810];
const tape = (from: keyof typeof DATUMS, off = 0, more: Partial<Tape> = {}): Tape => ({
  from,
  readMm: distance(AT, DATUMS[from]) + off,
  ...more,
});
const offset = (from: keyof typeof DATUMS, axis: Axis, off = 0, sigmaMm = 2): Offset => ({
  from,
  axis,
  readMm: AT[axis] - DATUMS[from][axis] + off,
  sigmaMm,
});
const found = (tapes: readonly Tape[], offsets: readonly Offset[], side?: 'above' | 'below') =>
  survey({ datumsMm: DATUMS, tapes, offsets, ...(side ? { side } : {}) });

describe('plumb bob, level and straight edge beside tapes', () => {
  test('a plumb bob says x and y and a level z: the place is what they say, sure to what they are', () => {
    const { pointMm, sigmaMm, offsetResidualsMm } = found(
      [],
      [offset('A', 0, 0, 3), offset('A', 1, 0, 3), offset('B', 2, 0, 1)],
    );
    expect(distance(pointMm, AT)).toBeLessThan(1e-6);
    [3, 3, 1].forEach((s, i) => expect(sigmaMm[i]!).toBeCloseTo(s, 9));
    offsetResidualsMm!.forEach((v) => expect(Math.abs(v)).toBeLessThan(1e-6));
  });
  test('a level tells the two mirror points of flat datums apart, so that no side is asked for', () => {
    const tapes = [tape('A'), tape('B'), tape('C')];
    expect(() => survey({ datumsMm: DATUMS, tapes })).toThrow(/above or below/);
    expect(distance(found(tapes, [offset('A', 2)]).pointMm, AT)).toBeLessThan(1e-6);
    // Read along the rails it lies in the datums' own plane and tells nothing apart.
    expect(() => found(tapes, [offset('A', 0)])).toThrow(/above or below/);
    expect(distance(found(tapes, [offset('A', 0)], 'above').pointMm, AT)).toBeLessThan(1e-6);
  });
  test('beside a general minimizer over the sum of squares', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -6, max: 6, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (e) => {
          const tapes = [tape('A', e[0]), tape('B', e[1]), tape('C', e[2]), tape('D', e[3])];
          const offsets = [offset('A', 2, e[4]!, 1), offset('B', 0, e[5]!, 4)];
          const cost = (p: number[]): number =>
            tapes.reduce(
              (sum, t) =>
                sum + ((t.readMm - distance(p as unknown as Vec3, DATUMS[t.from as 'A'])) / 2) ** 2,
              0,
            ) +
            offsets.reduce(
              (sum, o) =>
                sum + ((o.readMm - (p[o.axis]! - DATUMS[o.from as 'A'][o.axis])) / o.sigmaMm!) ** 2,
              0,
            );
          const least = nelderMead(cost, [600, -100, 800], { maxIterations: 3000 });
          const own = found(tapes, offsets);
          expect(cost([...own.pointMm])).toBeLessThanOrEqual(least.fx + 1e-6);
          expect(distance(own.pointMm, least.x as unknown as Vec3)).toBeLessThan(0.05);
        },
      ),
      { numRuns: 25, seed: 5 },
    );
  });
  test('what lies between hook and datum is added to what is read', () => {
    const read = (['A', 'B', 'C', 'D'] as const).map((from) => tape(from, -12, { hookMm: 12 }));
    expect(distance(survey({ datumsMm: DATUMS, tapes: read }).pointMm, AT)).toBeLessThan(1e-6);
  });
  test('two readings fix nothing, and three along one axis neither', () => {
    expect(() => found([tape('A')], [offset('A', 2)])).toThrow(
      /three readings or more; there are 2/,
    );
    expect(() => found([], [offset('A', 2), offset('B', 2), offset('C', 2)])).toThrow();
  });
});

describe('which datums to tape from', () => {
  const hooks: Hook[] = Object.entries(DATUMS).map(([id, atMm]) => ({ id, atMm, sigmaMm: 1 }));
  test('what is foretold is what the survey then says', () => {
    const chosen = hooks.slice(0, 4);
    const { sigmaMm } = survey({
      datumsMm: DATUMS,
      // Tape and datum together, as independent errors.
      tapes: chosen.map(({ id }) => tape(id as 'A', 0, { sigmaMm: Math.hypot(2, 1) })),
    });
    expect(predictedSigmaMm(AT, chosen)).toBeCloseTo(Math.max(...sigmaMm), 6);
  });
  test('the best three are the best of all threes, and a fourth makes it no worse', () => {
    const best = bestHooks(AT, hooks)!;
    const threes = hooks.flatMap((a, i) =>
      hooks.slice(i + 1).flatMap((b, k) => hooks.slice(i + k + 2).map((c) => [a, b, c])),
    );
    expect(best.sigmaMm).toBeCloseTo(
      Math.min(...threes.map((three) => predictedSigmaMm(AT, three))),
      9,
    );
    const three = hooks.filter(({ id }) => best.ids.includes(id));
    const more = bestHooks(AT, hooks, 1, three)!;
    expect(more.ids).toHaveLength(1);
    expect(more.sigmaMm).toBeLessThanOrEqual(best.sigmaMm);
  });
  test('what is out of reach or in one line fixes nothing', () => {
    expect(bestHooks([20_000, 0, 0], hooks)).toBeNull();
    const inLine = [0, 500, 1000].map((x, i): Hook => ({
      id: `${i}`,
      atMm: [x, 0, 0],
      sigmaMm: 1,
    }));
    expect(bestHooks([2000, 0, 0], inLine)).toBeNull();
  });
});
