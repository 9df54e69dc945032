import highs from 'highs';
import {
  bendOrder,
  bent,
  guide,
  readingOf,
  type MadeBend,
} from '../core/src/shape/bending/index.ts';
import { aroundOf, orderInput, runOf } from '../core/src/stations/make/making/index.ts';
import { leastStock, type NestInput } from '../core/src/physics/nesting/index.ts';
import { layPlan } from '../core/src/plan/index.ts';
import { seeded } from '../core/src/lib/random/index.ts';
import { gannet, middleMs } from './lines.ts';

/** 60 cuts of twelve lengths out of sticks of two. */
function sixty(seed: number): NestInput {
  const draw = seeded(seed);
  const lengths = Array.from({ length: 12 }, () => Math.round(700 + draw() * 1500));
  return {
    stockMm: [
      { lengthMm: 4500, count: 40 },
      { lengthMm: 3000, count: 40 },
    ],
    partsMm: Array.from({ length: 60 }, (_, i) => lengths[i % 12]!),
    kerfMm: 1,
    trimMm: 10,
  };
}
/** The same as an integer program over every filling that leaves no room for another cut. */
function asProgram({ stockMm, partsMm, kerfMm, trimMm }: NestInput): string {
  const sizes = [...new Set(partsMm)];
  const wanted = sizes.map((mm) => partsMm.filter((one) => one === mm).length);
  const columns: { s: number; takes: number[] }[] = [];
  for (const [s, { lengthMm }] of stockMm.entries()) {
    const from = (i: number, free: number, takes: number[]): void => {
      if (i === sizes.length) {
        if (!sizes.some((mm, k) => takes[k]! < wanted[k]! && mm + kerfMm <= free + 1e-9))
          columns.push({ s, takes });
        return;
      }
      for (let k = 0; k <= wanted[i]! && k * (sizes[i]! + kerfMm) <= free + 1e-9; k++)
        from(i + 1, free - k * (sizes[i]! + kerfMm), [...takes, k]);
    };
    from(0, lengthMm - trimMm + kerfMm, []);
  }
  const sum = (of: (column: (typeof columns)[number]) => number): string =>
    columns
      .map((column, i) => [of(column), i] as const)
      .filter(([k]) => k)
      .map(([k, i]) => `${k} x${i}`)
      .join(' + ');
  return `Minimize\n ${sum(({ s }) => stockMm[s]!.lengthMm)}\nSubject To\n ${[...wanted.map((n, i) => `${sum(({ takes }) => takes[i]!)} >= ${n}`), ...stockMm.map(({ count }, s) => `${sum((column) => (column.s === s ? 1 : 0))} <= ${count}`)].join('\n ')}\nGeneral\n ${columns.map((_, i) => `x${i}`).join(' ')}\nEnd\n`;
}

/** Nesting 60 cuts beside HiGHS, the same optimum asked and at least as fast. */
export async function benchNest(): Promise<void> {
  const solver = await highs();
  let [ours, theirs, same] = [0, 0, 0];
  const CASES = 5;
  for (let i = 1; i <= CASES; i++) {
    const input = sixty(i);
    // The least stock, which is what the program asks; the largest left-over is looked for after it, up to two seconds in all.
    const begun = performance.now();
    const plan = leastStock(input, () => performance.now() - begun > 2000);
    const at = performance.now();
    const { ObjectiveValue } = solver.solve(asProgram(input), {
      mip_rel_gap: 0,
      output_flag: false,
    });
    ours += at - begun;
    theirs += performance.now() - at;
    if (Math.abs(plan.usedMm - ObjectiveValue) < 1e-3) same++;
  }
  console.log(
    `nesting 60 cuts: ${(theirs / ours).toFixed(1)} times as fast as HiGHS (1 asked; ${(ours / CASES).toFixed(0)} ms against ${(theirs / CASES).toFixed(0)} ms), the same optimum in ${same} of ${CASES}${same < CASES || ours > theirs ? ' NOT MET' : ''}`,
  );
}

/** The order of bends of Gannet's longest line, in each usual bender: 200 ms asked. */
export function benchOrder(): void {
  const views = layPlan(gannet()).lines.filter(({ card }) => card);
  const view = views.reduce((a, b) => (b.card!.developedMm > a.card!.developedMm ? b : a));
  const worst = Math.max(
    ...(['hand', 'fixed', 'vice'] as const).map((kind) => {
      const { around: _, ...bender } = view.bender;
      const input = orderInput({ ...view, card: view.card!, bender: { ...bender, kind } });
      return middleMs(9, () => void bendOrder({ ...input, bench: aroundOf({ ...bender, kind }) }));
    }),
  );
  console.log(
    `order of bends, ${view.line.name} of ${view.card!.bends.length} bends: ${worst.toFixed(1)} ms (200 asked)${worst > 200 ? ' NOT MET' : ''}`,
  );
}

/** What a reading after a bend costs: the bends found and the rest corrected, 15 ms asked. */
export function benchGuide(): void {
  const view = layPlan(gannet()).lines.find(({ line }) => line.id === 'line-r1')!;
  const order = { start: 'a', sequence: [], hits: [], tried: [] } as const;
  const run = runOf(view, order)!;
  const off: MadeBend[] = run.planned.map((bend, k) =>
    k === 1 ? { ...bend, bendDeg: bend.bendDeg + 1.5 } : bend,
  );
  const times = [1, 2, 3, 4].map((made) => {
    const readings = off.slice(0, made).map((_, k) => ({
      ...readingOf(bent(off.slice(0, k + 1), run.clrMm, run.cutsMm[k]!), [0, 0, 0], view.tube.odMm),
    }));
    const input = {
      nodesMm: run.nodesMm,
      clrMm: run.clrMm,
      odMm: view.tube.odMm,
      cutMm: run.cutsMm[0]!,
      readings,
    };
    return middleMs(7, () => void guide(input, run.planned.slice(0, made)));
  });
  const worst = Math.max(...times);
  console.log(
    `a reading after bend 1 to 4 of 6: ${times.map((ms) => ms.toFixed(1)).join(', ')} ms (15 asked)${worst > 15 ? ' NOT MET' : ''}`,
  );
}
