import highs from 'highs';
import { seeded } from '../../lib/random/index.ts';
import { fits } from './fits.ts';
import { Budget, pack, type Bin, type Cut } from './pack.ts';
import { relaxed } from './relax.ts';

const draw = seeded(21);
const between = (least: number, most: number): number =>
  Math.round(least + draw() * (most - least));
interface Case {
  readonly cuts: readonly Cut[];
  readonly bins: readonly Bin[];
}
const random = (): Case => ({
  cuts: [...new Set(Array.from({ length: between(2, 5) }, () => between(200, 900)))]
    .sort((a, b) => b - a)
    .map((sizeMm) => ({ sizeMm, count: between(1, 4) })),
  bins: [
    { roomMm: between(900, 2000), count: between(1, 4) },
    { roomMm: between(600, 1200), count: between(0, 3) },
  ],
});

/** Every filling of a bin, as counts. */
function fillings({ cuts }: Case, roomMm: number): number[][] {
  const found: number[][] = [];
  const from = (i: number, free: number, takes: number[]): void => {
    if (i === cuts.length) return void found.push(takes);
    for (let k = 0; k <= cuts[i]!.count && k * cuts[i]!.sizeMm <= free + 1e-9; k++)
      from(i + 1, free - k * cuts[i]!.sizeMm, [...takes, k]);
  };
  from(0, roomMm, []);
  return found;
}
/** Whether all cuts go into the bins, in fractions or whole, by HiGHS. */
function byHighs(solver: Awaited<ReturnType<typeof highs>>, one: Case, whole: boolean): boolean {
  const columns = one.bins.flatMap(({ roomMm }, b) =>
    fillings(one, roomMm).map((takes) => ({ b, takes })),
  );
  const sum = (of: (column: (typeof columns)[number]) => number): string =>
    columns
      .map((column, i) => [of(column), i] as const)
      .filter(([k]) => k)
      .map(([k, i]) => `${k} x${i}`)
      .join(' + ') || '0 x0';
  const rows = [
    ...one.cuts.map(({ count }, i) => `${sum(({ takes }) => takes[i]!)} >= ${count}`),
    ...one.bins.map(({ count }, b) => `${sum((column) => (column.b === b ? 1 : 0))} <= ${count}`),
  ];
  const names = columns.map((_, i) => `x${i}`).join(' ');
  const text = `Minimize\n 0 x0\nSubject To\n ${rows.join('\n ')}\n${whole ? `General\n ${names}\n` : ''}End\n`;
  return solver.solve(text, { output_flag: false }).Status === 'Optimal';
}
/** What must be so of any packing. */
function mustHold(
  { cuts, bins }: Case,
  plan: readonly { readonly bin: number; readonly takes: readonly number[] }[],
): void {
  cuts.forEach(({ count }, i) =>
    expect(plan.reduce((sum, { takes }) => sum + takes[i]!, 0)).toBe(count),
  );
  bins.forEach(({ count }, b) =>
    expect(plan.filter(({ bin }) => bin === b).length).toBeLessThanOrEqual(count),
  );
  for (const { bin, takes } of plan)
    expect(takes.reduce((sum, k, i) => sum + k * cuts[i]!.sizeMm, 0)).toBeLessThanOrEqual(
      bins[bin]!.roomMm + 1e-6,
    );
}

test('100 random cases: fractions do just where HiGHS says they do, and whole cuts just where it says so', async () => {
  const solver = await highs();
  const counts = { fits: 0, none: 0, gap: 0 };
  for (let i = 0; i < 100; i++) {
    const one = random();
    const [inFractions, whole] = [byHighs(solver, one, false), byHighs(solver, one, true)];
    const plan = relaxed(one.cuts, one.bins, new Budget(1e6));
    expect([i, plan === 'none']).toEqual([i, !inFractions]);
    if (typeof plan !== 'string')
      one.cuts.forEach(({ count }, k) =>
        expect(plan.reduce((sum, { takes, times }) => sum + takes[k]! * times, 0)).toBeGreaterThan(
          count - 1e-4,
        ),
      );
    for (const found of [
      pack(one.cuts, one.bins, new Budget(1e6)),
      fits(one.cuts, one.bins, new Budget(1e6)),
    ]) {
      expect([i, typeof found !== 'string', found === 'none']).toEqual([i, whole, !whole]);
      if (typeof found !== 'string') mustHold(one, found);
    }
    counts[whole ? 'fits' : inFractions ? 'gap' : 'none']++;
  }
  // Both answers come often enough for this to tell something.
  expect(counts.fits).toBeGreaterThan(20);
  expect(counts.none).toBeGreaterThan(10);
});

test('a budget that is spent says that it does not know, never that there is none', () => {
  for (let i = 0; i < 40; i++) {
    const one = random();
    const sure = pack(one.cuts, one.bins, new Budget(1e6));
    const hurried = pack(one.cuts, one.bins, new Budget(2));
    if (hurried === 'none') expect(sure).toBe('none');
    if (typeof hurried !== 'string') mustHold(one, hurried);
  }
});
