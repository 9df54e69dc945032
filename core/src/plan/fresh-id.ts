import type { Plan } from './types.ts';

/** The least unused id of the form `prefix-n` in a plan. */
export function freshId(plan: Plan, prefix: string): string {
  const used = new Set(
    [
      ...plan.points,
      ...plan.parts,
      ...plan.parts.flatMap((p) => p.ports),
      ...plan.circuits,
      ...plan.lines,
      ...plan.hoses,
      ...plan.things,
      ...plan.gates,
      ...plan.bench.benders,
      ...plan.bench.adapters,
    ].map((r) => r.id),
  );
  let n = 1;
  while (used.has(`${prefix}-${n}`)) n++;
  return `${prefix}-${n}`;
}
