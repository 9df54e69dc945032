import type { Stretch } from './place.ts';

/** What stretches leave of a length. */
export function stretchesLeft(stretches: readonly Stretch[], lengthMm: number): Stretch[] {
  const left: Stretch[] = [];
  let at = 0;
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    if (from > at) left.push([at, from]);
    at = Math.max(at, to);
  }
  if (at < lengthMm) left.push([at, lengthMm]);
  return left;
}
