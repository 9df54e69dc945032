import fc from 'fast-check';
import highs from 'highs';
import { InputError } from '../../lib/faults/index.ts';
import { cases } from '../../testing/cases.ts';
import { seeded } from '../../lib/random/index.ts';
import { nest, type Nest, type NestInput } from './index.ts';

/** Every filling of a piece that leaves no room for another cut, as counts by distinct length, with the kerf beside every cut. */
function fillings(sizes: readonly number[], wanted: readonly number[], room: number): number[][] {
  const found: number[][] = [];
  const from = (i: number, free: number, takes: number[]): void => {
    if (i === sizes.length) {
      if (!sizes.some((size, k) => takes[k]! < wanted[k]! && size <= free + 1e-9))
        found.push(takes);
      return;
    }
    for (let k = 0; k <= wanted[i]! && k * sizes[i]! <= free + 1e-9; k++)
      from(i + 1, free - k * sizes[i]!, [...takes, k]);
  };
  from(0, room, []);
  return found;
}

/** The least stock as an integer program over all fillings; null where HiGHS finds it infeasible. */
function leastByHighs(
  solver: Awaited<ReturnType<typeof highs>>,
  { stockMm, partsMm, kerfMm, trimMm }: NestInput,
): number | null {
  const distinct = [...new Set(partsMm)];
  const wanted = distinct.map((mm) => partsMm.filter((one) => one === mm).length);
  const columns = stockMm.flatMap(({ lengthMm }, s) =>
    fillings(
      distinct.map((mm) => mm + kerfMm),
      wanted,
      lengthMm - trimMm + kerfMm,
    ).map((takes) => ({ s, lengthMm, takes })),
  );
  const sum = (of: (column: (typeof columns)[number]) => number): string =>
    columns
      .map((column, i) => [of(column), i] as const)
      .filter(([k]) => k)
      .map(([k, i]) => `${k} x${i}`)
      .join(' + ') || '0 x0';
  const rows = [
    ...wanted.map((n, i) => `${sum(({ takes }) => takes[i]!)} >= ${n}`),
    ...stockMm.map(({ count }, s) => `${sum((column) => (column.s === s ? 1 : 0))} <= ${count}`),
  ];
  const names = columns.map((_, i) => `x${i}`).join(' ');
  const text = `Minimize\n ${sum(({ lengthMm }) => lengthMm)}\nSubject To\n ${rows.join('\n ')}\nGeneral\n ${names}\nEnd\n`;
  const { Status, ObjectiveValue } = solver.solve(text, { mip_rel_gap: 0, output_flag: false });
  return Status === 'Optimal' ? ObjectiveValue : null;
}

/** What a plan must be whoever made it: every part cut once, no piece overfull, none opened that is not there. */
function mustHold({ stockMm, partsMm, kerfMm, trimMm }: NestInput, out: Nest): void {
  const sorted = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b);
  expect(sorted(out.pieces.flatMap(({ cutsMm }) => cutsMm))).toEqual(sorted(partsMm));
  for (const { stockMm: mm, cutsMm, leftMm } of out.pieces) {
    expect(cutsMm.length).toBeGreaterThan(0);
    const used = cutsMm.reduce((sum, cut) => sum + cut, trimMm);
    expect(used + (cutsMm.length - 1) * kerfMm).toBeLessThanOrEqual(mm + 1e-6);
    expect(leftMm).toBeCloseTo(Math.max(0, mm - used - cutsMm.length * kerfMm), 6);
    const there = stockMm.reduce(
      (sum, { lengthMm, count }) => sum + (lengthMm === mm ? count : 0),
      0,
    );
    expect(out.pieces.filter((piece) => piece.stockMm === mm).length).toBeLessThanOrEqual(there);
  }
  expect(out.usedMm).toBeCloseTo(
    out.pieces.reduce((sum, piece) => sum + piece.stockMm, 0),
    6,
  );
  expect(out.leftMm).toBeCloseTo(
    out.pieces.reduce((sum, piece) => sum + piece.leftMm, 0),
    6,
  );
  expect(out.boundMm).toBeLessThanOrEqual(out.usedMm + 1e-6);
}

/** Least stock and largest left-over by putting every part into every piece. */
function byHand({
  stockMm,
  partsMm,
  kerfMm,
  trimMm,
}: NestInput): readonly [usedMm: number, largestMm: number] | null {
  const pieces = stockMm.flatMap(({ lengthMm, count }) => new Array<number>(count).fill(lengthMm));
  const load = pieces.map(() => [] as number[]);
  let best: readonly [number, number] | null = null;
  const from = (i: number): void => {
    if (i === partsMm.length) {
      const opened = pieces.flatMap((mm, p) => (load[p]!.length ? [[mm, load[p]!] as const] : []));
      const used = opened.reduce((sum, [mm]) => sum + mm, 0);
      const left = Math.max(
        ...opened.map(([mm, cuts]) =>
          Math.max(0, mm - trimMm - cuts.reduce((sum, cut) => sum + cut + kerfMm, 0)),
        ),
      );
      if (!best || used < best[0] || (used === best[0] && left > best[1])) best = [used, left];
      return;
    }
    pieces.forEach((mm, p) => {
      const cuts = [...load[p]!, partsMm[i]!];
      if (trimMm + cuts.reduce((sum, cut) => sum + cut + kerfMm, -kerfMm) > mm + 1e-9) return;
      load[p]!.push(partsMm[i]!);
      from(i + 1);
      load[p]!.pop();
    });
  };
  from(0);
  return best;
}

describe('cuts out of the stock at hand', () => {
  test('200 random cases: the least stock that HiGHS finds (integer program over all fillings)', async () => {
    const solver = await highs();
    const draw = seeded(7);
    const between = (least: number, most: number): number =>
      Math.round(least + draw() * (most - least));
    let solved = 0;
    for (let i = 0; i < 200; i++) {
      const input: NestInput = {
        stockMm: Array.from({ length: between(1, 3) }, () => ({
          lengthMm: between(1800, 4500),
          count: between(2, 9),
        })),
        partsMm: Array.from({ length: between(3, cases(10, 15)) }, () =>
          between(i % 2 ? 500 : 300, 1800),
        ),
        kerfMm: between(0, 3),
        trimMm: between(0, 20),
      };
      const least = leastByHighs(solver, input);
      if (least === null) {
        expect(() => nest(input)).toThrow(InputError);
        continue;
      }
      const out = nest(input);
      mustHold(input, out);
      expect([i, out.usedMm, out.optimal]).toEqual([i, Math.round(least), true]);
      solved++;
    }
    expect(solved).toBeGreaterThan(120);
  });

  test('few parts: the least stock, then the largest left-over, as every way of cutting shows', () => {
    const piece = fc.record({
      lengthMm: fc.integer({ min: 60, max: 140 }),
      count: fc.integer({ min: 1, max: 2 }),
    });
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 2 }),
        fc.array(fc.integer({ min: 15, max: 100 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 10 }),
        (stockMm, partsMm, kerfMm, trimMm) => {
          const input = { stockMm, partsMm, kerfMm, trimMm };
          const best = byHand(input);
          if (!best) return void expect(() => nest(input)).toThrow(InputError);
          const out = nest(input);
          mustHold(input, out);
          expect([out.usedMm, out.pieces[0]!.leftMm, out.optimal]).toEqual([
            best[0],
            best[1],
            true,
          ]);
        },
      ),
      { seed: 3, numRuns: 300 },
    );
  });

  test('by hand: 8088 mm out of coils of 7620 take two, and the cut that may stand alone leaves most', () => {
    const out = nest({
      stockMm: [{ lengthMm: 7620, count: 2 }],
      partsMm: [2850, 1050, 912, 746, 622, 392, 1516],
      kerfMm: 0,
      trimMm: 10,
    });
    // 8088 less 392 is 7696, more than the 7610 that a coil gives; less 622 it is 7466.
    expect(out).toEqual({
      pieces: [
        { stockMm: 7620, cutsMm: [622], leftMm: 6988 },
        { stockMm: 7620, cutsMm: [2850, 1516, 1050, 912, 746, 392], leftMm: 144 },
      ],
      usedMm: 15_240,
      leftMm: 7132,
      boundMm: 15_240,
      optimal: true,
    });
  });

  test('a piece that just holds its cuts: the last needs no kerf, and what is left is never below nothing', () => {
    const out = nest({
      stockMm: [{ lengthMm: 1010, count: 1 }],
      partsMm: [499, 499],
      kerfMm: 2,
      trimMm: 10,
    });
    expect(out.pieces).toEqual([{ stockMm: 1010, cutsMm: [499, 499], leftMm: 0 }]);
  });

  test('what cannot be cut is named: the part and how much it lacks, or what the whole lacks', () => {
    const fails = (input: NestInput): unknown => {
      try {
        return nest(input);
      } catch (error) {
        return [(error as InputError).path, (error as InputError).message];
      }
    };
    expect(
      fails({
        stockMm: [{ lengthMm: 1000, count: 5 }],
        partsMm: [500, 1200],
        kerfMm: 0,
        trimMm: 10,
      }),
    ).toEqual([
      'partsMm[1]',
      'A cut of 1200 mm is longer than any piece. The longest gives 990 mm, 210 too little.',
    ]);
    expect(
      fails({
        stockMm: [{ lengthMm: 1000, count: 2 }],
        partsMm: [900, 900, 900],
        kerfMm: 0,
        trimMm: 0,
      }),
    ).toEqual([
      'stockMm',
      expect.stringMatching(/^Not enough stock: 700 mm short, plus the waste from each piece/),
    ]);
    // Room enough in all, but not in any one piece.
    expect(
      fails({
        stockMm: [{ lengthMm: 1000, count: 3 }],
        partsMm: [600, 600, 600, 600],
        kerfMm: 0,
        trimMm: 0,
      }),
    ).toEqual(['stockMm', expect.stringMatching(/Not enough stock/)]);
    expect(fails({ stockMm: [], partsMm: [10], kerfMm: 0, trimMm: 0 })).toEqual([
      'partsMm[0]',
      'No stock long enough for 10 mm.',
    ]);
    expect(nest({ stockMm: [], partsMm: [], kerfMm: 0, trimMm: 0 })).toMatchObject({
      pieces: [],
      usedMm: 0,
      optimal: true,
    });
  });

  test('when the clock has run out the plan is whole, and its bound still holds', () => {
    const draw = seeded(11);
    const input = {
      stockMm: [
        { lengthMm: 6000, count: 40 },
        { lengthMm: 4100, count: 40 },
      ],
      partsMm: Array.from({ length: 40 }, () => Math.round(700 + draw() * 1700)),
      kerfMm: 1,
      trimMm: 10,
    };
    let reads = 0;
    const out = nest(input, () => 1000 * reads++);
    mustHold(input, out);
    expect(out.boundMm).toBeLessThanOrEqual(nest(input).usedMm);
  });
});
