import { Budget, pack, type Bin, type Cut, type Filled, type Packing } from './pack.ts';
import { relaxed } from './relax.ts';

/** What a first search may cost before the relaxed plan is asked. */
const QUICK_STEPS = 500;

/**
 * Whether all cuts go into the bins, and how: by a short search, else shown to be impossible by the
 * relaxed plan, else by following that plan, filling by filling, else by the long search.
 */
export function fits(cuts: readonly Cut[], bins: readonly Bin[], budget: Budget): Packing {
  const quick = pack(cuts, bins, new Budget(QUICK_STEPS, budget.late));
  if (quick !== 'unknown') return quick;
  const followed = follow(cuts, bins, budget);
  return followed === 'unknown' && !budget.spent ? pack(cuts, bins, budget) : followed;
}

function follow(cuts: readonly Cut[], bins: readonly Bin[], budget: Budget): Packing {
  const filled: Filled[] = [];
  let left: readonly Cut[] = cuts;
  let free: readonly Bin[] = bins;
  for (let isFirst = true; !budget.spent; isFirst = false) {
    const plan = relaxed(left, free, budget);
    if (plan === 'none' && isFirst) return 'none';
    if (typeof plan === 'string') return 'unknown';
    // The whole times of each filling; where there are none, the one that is nearest to whole.
    const whole = plan
      .filter(({ times }) => times >= 1 - 1e-6)
      .map((column) => ({ ...column, times: Math.floor(column.times + 1e-6) }));
    const most = plan.reduce(
      (best, column) => (column.times > best.times ? column : best),
      plan[0]!,
    );
    for (const { bin, takes, times } of whole.length ? whole : [{ ...most, times: 1 }])
      for (let n = 0; n < times && free[bin]!.count > 0; n++) {
        const taken = takes.map((k, i) => Math.min(k, left[i]!.count));
        if (!taken.some((k) => k > 0)) continue;
        filled.push({ bin, takes: taken });
        left = left.map((cut, i) => ({ ...cut, count: cut.count - taken[i]! }));
        free = free.map((one, b) => (b === bin ? { ...one, count: one.count - 1 } : one));
      }
    const rest = pack(left, free, new Budget(QUICK_STEPS, budget.late));
    if (typeof rest !== 'string') return [...filled, ...rest];
    if (rest === 'none') return 'unknown';
  }
  return 'unknown';
}
