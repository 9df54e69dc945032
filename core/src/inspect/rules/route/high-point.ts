import { tubeBoreMm } from '../../../trade/stock/index.ts';
import { runsOf } from '../../../lib/vec/index.ts';
import { defineRule, type Finding } from '../../define-rule.ts';
import { lengthWords, nodeNear, onLine } from '../../rule-kit/places.ts';

/** A rise under this traps next to nothing, mm. Common practice. */
export const RISE_MM = 15;
/** Bores that fluid alone sweeps clear; in wider ones a bubble climbs back. Source: F. P. Bretherton, J. Fluid Mech. 10 (1961): a bubble holds below ρgR²/σ = 0.842, 3.34 mm for glycol is near the line. */
export const NARROW_MM = 3.5;

/** Where a line rises and falls again between its ends: the index of each top, and how far it stands over the higher of the lows beside it. */
export function humpsOf(heights: readonly number[]): { at: number; riseMm: number }[] {
  const low = (from: number, step: 1 | -1): number => {
    let least = heights[from]!;
    for (
      let i = from + step;
      i >= 0 && i < heights.length && heights[i]! <= heights[from]!;
      i += step
    )
      least = Math.min(least, heights[i]!);
    return least;
  };
  return heights.flatMap((top, at) => {
    const isTop =
      at > 0 && at < heights.length - 1 && top > heights[at - 1]! && top >= heights[at + 1]!;
    return isTop ? [{ at, riseMm: top - Math.max(low(at, -1), low(at, 1)) }] : [];
  });
}

/** A hump between its ends keeps air. */
export const highPoint = defineRule({
  id: 'high-point',
  station: 'route',
  about: 'space',
  reads: [],
  judge: (line, space, view): Finding[] => {
    const heights = space.points.map((p) => p[2]);
    const humps = humpsOf(heights).filter(({ riseMm }) => riseMm >= RISE_MM);
    if (!humps.length) return [];
    const { at, riseMm } = humps.reduce((most, one) => (one.riseMm > most.riseMm ? one : most));
    const feed = [line.ports.a, line.ports.b].some((port) => port?.port.role === 'feed');
    const wide = feed || tubeBoreMm(line.tube) > NARROW_MM;
    const run = runsOf(space.points)[at]!;
    const why = feed
      ? 'a feed must rise all the way'
      : wide
        ? 'in this bore a bubble climbs back'
        : 'a brisk flow carries it through this bore';
    return [
      {
        level: wide ? 'caution' : 'note',
        place: onLine(line, nodeNear(line, run)),
        where: line.line.name,
        text: `The line rises ${lengthWords(view).full(riseMm)} and falls again${humps.length > 1 ? `, and so in ${humps.length - 1} place${humps.length > 2 ? 's' : ''} more` : ''}. Air collects there, and ${why}.`,
      },
    ];
  },
});
