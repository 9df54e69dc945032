import type { InputError } from '../../lib/faults/index.ts';
import { seeded } from '../../lib/random/index.ts';
import { shims, type Shims, type ShimsInput } from './index.ts';

const asked: ShimsInput = {
  innerGapMm: 4.2,
  outerGapMm: 2.6,
  stackMm: 1.5,
  moves: 'out',
  shimsMm: [
    { thicknessMm: 0.5, count: 4 },
    { thicknessMm: 1, count: 2 },
  ],
  toleranceMm: 0.25,
  bolt: { lengthMm: 45, gripMm: 22, washerMm: 2.5, needMm: 12, depthMm: 20, shankMm: 20 },
};

describe('shims behind a caliper', () => {
  // By hand: wanted 1.5 + (4.2 − 2.6)/2 = 2.3; 2.5 is 0.2 off, 2.0 is 0.3 off; 1 + 1 + 0.5 are three, 5 × 0.5 are not there.
  // Thread: 45 − 22 − 2.5 − 2.5 = 18.0, between the 12 that must hold and the 20 there are.
  test('the worked example, by hand', () => {
    const found = shims(asked);
    expect(found).toMatchObject({
      wantMm: 2.3,
      stackMm: 2.5,
      ok: true,
      boltFault: null,
      boltOk: true,
      boltMm: { least: 39, most: 47 },
    });
    expect([found.offMm, found.engagementMm]).toEqual([
      expect.closeTo(0.2, 12),
      expect.closeTo(18, 12),
    ]);
    expect(found.shims).toEqual([
      { thicknessMm: 1, count: 2 },
      { thicknessMm: 0.5, count: 1 },
    ]);
  });
  test('the other way the stack gets thinner; an empty box is none', () => {
    expect(shims({ ...asked, moves: 'in' })).toMatchObject({
      wantMm: expect.closeTo(0.7, 12),
      stackMm: 0.5,
    });
    expect(shims({ ...asked, shimsMm: [], bolt: null })).toMatchObject({
      stackMm: 0,
      shims: [],
      ok: false,
      boltOk: null,
      engagementMm: null,
      boltMm: null,
    });
  });
  test('a bolt is too short, stands proud with its shank, or bottoms: the first of these', () => {
    const bolt = (patch: object) =>
      shims({ ...asked, bolt: { ...asked.bolt!, ...patch } }).boltFault;
    expect([
      bolt({ lengthMm: 38 }),
      bolt({ lengthMm: 39 }),
      bolt({ shankMm: 27.1 }),
      bolt({ shankMm: 27 }),
      bolt({ lengthMm: 47.1 }),
      bolt({ lengthMm: 47.1, depthMm: null }),
    ]).toEqual(['short', null, 'shank', null, 'bottoms', null]);
  });
  test('what cannot be is said where it stands', () => {
    const fault = (input: ShimsInput): string => {
      try {
        shims(input);
        return '';
      } catch (error) {
        return `${(error as InputError).path}: ${(error as InputError).message}`;
      }
    };
    expect(fault({ ...asked, innerGapMm: 0, outerGapMm: 4 })).toBe(
      'stackMm: With no shims the caliper is still 0.5 mm too far out. Machine the bracket, or use another one.',
    );
    expect(fault({ ...asked, innerGapMm: 0, outerGapMm: 3.5 })).toBe('');
    expect(fault({ ...asked, bolt: { ...asked.bolt!, needMm: 21 } })).toMatch(
      /^bolt.needMm: 21 mm of thread engagement needed, and the bolt has 20/,
    );
    expect(fault({ ...asked, shimsMm: [{ thicknessMm: 0.5, count: 61 }] })).toMatch(
      /^shimsMm: 61 shims/,
    );
    expect(
      fault({
        ...asked,
        shimsMm: Array.from({ length: 9 }, (_, i) => ({ thicknessMm: i + 1, count: 1 })),
      }),
    ).toMatch(/^shimsMm: 9 shim thicknesses are too many/);
  });

  /** Every choice there is, by the words of the rule. */
  function brute(box: readonly Shims[], wantMm: number): number[] {
    let best: { counts: number[]; sum: number; pieces: number; off: number } | null = null;
    const from = (i: number, counts: number[]): void => {
      if (i === box.length) {
        const sum = counts.reduce((total, n, k) => total + n * box[k]!.thicknessMm, 0);
        const one = {
          counts: [...counts],
          sum,
          pieces: counts.reduce((a, b) => a + b, 0),
          off: Math.abs(sum - wantMm),
        };
        const differs = best ? one.counts.findIndex((n, k) => n !== best!.counts[k]) : 0;
        if (
          !best ||
          one.off < best.off - 1e-6 ||
          (one.off <= best.off + 1e-6 &&
            (one.pieces < best.pieces ||
              (one.pieces === best.pieces &&
                (one.sum < best.sum - 1e-6 ||
                  (one.sum <= best.sum + 1e-6 && one.counts[differs]! > best.counts[differs]!)))))
        )
          best = one;
        return;
      }
      for (let n = 0; n <= box[i]!.count; n++) from(i + 1, [...counts, n]);
    };
    from(0, []);
    return best!.counts;
  }
  test('no other choice is better: all of them are tried, 400 boxes', () => {
    const draw = seeded(17);
    for (let round = 0; round < 400; round++) {
      const sizes = [0.1, 0.2, 0.25, 0.3, 0.5, 0.75, 1, 1.5, 2]
        .filter(() => draw() < 0.5)
        .slice(0, 5)
        .reverse();
      const box = sizes.map((thicknessMm) => ({ thicknessMm, count: 1 + Math.floor(draw() * 5) }));
      // To a twentieth: ties are common.
      const wantMm = Math.round(draw() * 160) / 20;
      const found = shims({
        innerGapMm: 1,
        outerGapMm: 1,
        stackMm: wantMm,
        moves: 'out',
        shimsMm: [...box].reverse(),
      });
      const counts = box.map(
        ({ thicknessMm }) => found.shims.find((one) => one.thicknessMm === thicknessMm)?.count ?? 0,
      );
      expect([round, counts]).toEqual([round, brute(box, wantMm)]);
    }
  });
  test('the fullest box is answered as well: 60 shims of 8 thicknesses', () => {
    const box = [0.11, 0.23, 0.37, 0.53, 0.71, 0.97, 1.13, 1.51].map((thicknessMm, i) => ({
      thicknessMm,
      count: i < 4 ? 8 : 7,
    }));
    const found = shims({
      innerGapMm: 1,
      outerGapMm: 1,
      stackMm: 17.77,
      moves: 'out',
      shimsMm: box,
    });
    expect(found.offMm).toBeCloseTo(0, 9);
    expect(
      shims({ innerGapMm: 1, outerGapMm: 1, stackMm: 99, moves: 'out', shimsMm: box }).shims.reduce(
        (sum, { count }) => sum + count,
        0,
      ),
    ).toBe(60);
  });
});
