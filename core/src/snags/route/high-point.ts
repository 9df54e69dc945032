import { tubeBoreMm } from '../../stock/index.ts';
import { defineRule, type Finding } from '../define-rule.ts';
import { lengthWords, nodeNear, onLine } from '../words.ts';

/** A rise under this traps next to nothing, mm. Common practice. */
const RISE_MM = 15;
/** Bores that fluid alone sweeps clear; in wider ones a bubble climbs back. Source: F. P. Bretherton, J. Fluid Mech. 10 (1961): a bubble holds below ρgR²/σ = 0.842, 3.34 mm for glycol is near the line. */
const NARROW_MM = 3.5;

/** A hump between its ends keeps air. */
export const highPoint = defineRule({
  id: 'high-point',
  station: 'route',
  about: 'space',
  reads: [],
  judge: (line, space, view): Finding[] => {
    const heights = space.points.map((p) => p[2]);
    const top = Math.max(...heights);
    const at = heights.indexOf(top);
    const rise = top - Math.max(Math.min(...heights.slice(0, at + 1)), Math.min(...heights.slice(at)));
    const overEnds = top - Math.max(heights[0]!, heights.at(-1)!);
    if (overEnds < RISE_MM || rise < RISE_MM) return [];
    const feed = [line.ports.a, line.ports.b].some((port) => port?.port.role === 'feed');
    const wide = feed || tubeBoreMm(line.tube) > NARROW_MM;
    let run = 0;
    for (let i = 1; i <= at; i++) run += Math.hypot(...space.points[i]!.map((v, k) => v - space.points[i - 1]![k]!));
    const why = feed
      ? 'a feed must rise all the way'
      : wide
        ? 'in this bore a bubble climbs back to it'
        : 'a brisk flow sweeps it through this bore';
    return [
      {
        level: wide ? 'mind' : 'note',
        place: onLine(line, nodeNear(line, run)),
        where: line.line.name,
        text: `It stands ${lengthWords(view).full(overEnds)} above both its ends, where air gathers: ${why}.`,
      },
    ];
  },
});
