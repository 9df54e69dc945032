import type { Half } from '../stock/index.ts';

/** How an end turns while it is tightened. */
export type Turning = 'fixed' | 'swivel' | 'banjo';
export const turningOf = (half: Half): Turning =>
  half.gender === 'female'
    ? half.seat === 'flare-37' || half.seat === 'flare-45'
      ? 'swivel'
      : 'fixed'
    : half.end === 'banjo'
      ? 'banjo'
      : ['double-flare-45', 'bubble'].includes(half.end)
        ? 'swivel'
        : 'fixed';

/** Which end of a line goes on first: the one that turns what it is on. Common practice: fixed first, swivel or banjo last. */
export function firstEnd(
  a: Turning,
  b: Turning,
): { readonly first: 'a' | 'b' | 'either'; readonly why: string } {
  const rank: Record<Turning, number> = { fixed: 0, swivel: 1, banjo: 2 };
  if (rank[a] === rank[b])
    return {
      first: 'either',
      why:
        a === 'fixed'
          ? 'Both ends turn with the line. One needs a swivel or a union.'
          : 'Neither end turns with the line. Fit either first.',
    };
  const first = rank[a] < rank[b] ? 'a' : 'b';
  const [early, late] = first === 'a' ? [a, b] : [b, a];
  return {
    first,
    why: `The ${early === 'fixed' ? 'fixed end' : 'nut'} goes on first, the ${late} last: ${late === 'banjo' ? 'turn the eye to line up before tightening the bolt' : 'the nut turns without the line'}.`,
  };
}
