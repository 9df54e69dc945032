/** How far an increment may go, and where each place between the first and the last may lie. */
export interface Chain {
  readonly lengthMm: number;
  /** Most of the increment before each place and before the end; one more than there are places. */
  readonly mostMm: readonly number[];
  readonly lowMm: readonly number[];
  readonly highMm: readonly number[];
}

const clamp = (value: number, low: number, high: number): number =>
  Math.min(Math.max(value, low), high);
const HALVINGS = 100;
/** Sums of a thousand lengths of up to 100 m are good to this. */
const ROUNDING_MM = 1e-8;

/** Bounds of each place drawn in to what can be reached from the start and from the end; null where that leaves one of them nothing. */
function reachable({
  lengthMm,
  mostMm,
  lowMm,
  highMm,
}: Chain): { low: number[]; high: number[] } | null {
  const [low, high] = [[...lowMm], [...highMm]];
  const n = low.length;
  for (let i = 0; i < n; i++) {
    low[i] = Math.max(low[i]!, i ? low[i - 1]! : 0);
    high[i] = Math.min(high[i]!, (i ? high[i - 1]! : 0) + mostMm[i]!);
  }
  for (let i = n - 1; i >= 0; i--) {
    low[i] = Math.max(low[i]!, (i === n - 1 ? lengthMm : low[i + 1]!) - mostMm[i + 1]!);
    high[i] = Math.min(high[i]!, i === n - 1 ? lengthMm : high[i + 1]!);
  }
  for (let i = 0; i < n; i++) {
    if (low[i]! > high[i]! + ROUNDING_MM) return null;
    // A place with no play at all: the two bounds differ by the rounding of their sums.
    if (low[i]! > high[i]!) low[i] = high[i]!;
  }
  return { low, high };
}

/**
 * Places from 0 to the length whose increments have the least sum of squares, each increment and each
 * place within its bounds; null where there are none.
 *
 * The cost of reaching a place is convex and piecewise quadratic, so its slope has an inverse: the place
 * that a slope `p` leads to. Adding an increment adds p/2 held to its bounds; a place's own bounds hold
 * the sum. Each place is then found back from the one behind it by the slope that leads there.
 */
export function evenly(chain: Chain): number[] | null {
  const bounds = reachable(chain);
  if (!bounds) return null;
  const { low, high } = bounds;
  const n = low.length;
  const steepest = 2 * Math.max(...chain.mostMm);
  /** Where slope `p` leads after `count` increments. */
  const leadsTo = (p: number, count: number): number => {
    let at = 0;
    for (let i = 0; i < count; i++) {
      at += clamp(p / 2, 0, chain.mostMm[i]!);
      if (i < n) at = clamp(at, low[i]!, high[i]!);
    }
    return at;
  };
  const places = new Array<number>(n);
  let target = chain.lengthMm;
  for (let i = n; i > 0; i--) {
    let [under, over] = [0, steepest];
    for (let k = 0; k < HALVINGS && over - under > 0; k++) {
      const middle = (under + over) / 2;
      const at = leadsTo(middle, i) + clamp(middle / 2, 0, chain.mostMm[i]!);
      if (at < target) under = middle;
      else over = middle;
    }
    // The increment may be held by its bounds on one side and the place before by its own.
    const step = clamp(over / 2, 0, chain.mostMm[i]!);
    places[i - 1] = clamp(target - step, low[i - 1]!, high[i - 1]!);
    target = places[i - 1]!;
  }
  return places;
}
