import { boxGap, boxRound, segmentShares, type Box } from '../../frame/index.ts';
import { addScaled, distance, sub, type Vec3 } from '../../vec/index.ts';
import type { LineView } from './line-view.ts';
import { lineSpace } from './space.ts';
import type { Plan } from '../model/index.ts';

/** Two lines that run into or along one another. */
export interface CloseCrossing {
  readonly a: LineView;
  readonly b: LineView;
  readonly distanceMm: number;
  /** Along each. */
  readonly atMm: number;
  readonly otherMm: number;
  readonly pointMm: Vec3;
}
/** Lines come together at their fittings: that much of each end is left out, mm. */
const AT_ENDS_MM = 60;

function meetingOf(plan: Plan, a: LineView, b: LineView, withinMm: number): CloseCrossing | null {
  const [one, other] = [lineSpace(plan, a)!, lineSpace(plan, b)!];
  const limit = withinMm + (a.tube.odMm + b.tube.odMm) / 2;
  let best: CloseCrossing | null = null;
  let run = 0;
  for (let i = 1; i < one.points.length; i++) {
    const [p, q] = [one.points[i - 1]!, one.points[i]!];
    const long = distance(p, q);
    run += long;
    // A piece that lies far from all of the other line is passed over.
    if (boxGap(around(other.points), p, q) > limit) continue;
    const own = boxRound([p, q]);
    let otherRun = 0;
    for (let k = 1; k < other.points.length; k++) {
      const [r, s] = [other.points[k - 1]!, other.points[k]!];
      const otherLong = distance(r, s);
      if (boxGap(own, r, s) <= limit) {
        const [share, otherShare] = segmentShares(p, q, r, s);
        const [atMm, otherMm] = [run - long + share * long, otherRun + otherShare * otherLong];
        const inside = (at: number, lengthMm: number): boolean => at > AT_ENDS_MM && at < lengthMm - AT_ENDS_MM;
        if (inside(atMm, one.lengthMm) && inside(otherMm, other.lengthMm)) {
          const pointMm = addScaled(p, sub(q, p), share);
          const gap = distance(pointMm, addScaled(r, sub(s, r), otherShare));
          const distanceMm = Math.max(0, gap - (a.tube.odMm + b.tube.odMm) / 2);
          if (gap <= limit && (!best || distanceMm < best.distanceMm)) best = { a, b, distanceMm, atMm, otherMm, pointMm };
        }
      }
      otherRun += otherLong;
    }
  }
  return best;
}

const met = new WeakMap<LineView, WeakMap<LineView, { withinMm: number; meeting: CloseCrossing | null }>>();

/** Pairs of lines that come within `withinMm` of one another away from their ends, each pair once. */
export function closeCrossings(plan: Plan, lines: readonly LineView[], withinMm: number): CloseCrossing[] {
  const bent = lines.filter((view) => view.card);
  const boxes = new Map(bent.map((view) => [view, around(lineSpace(plan, view)!.points)]));
  return bent.flatMap((a, i) =>
    bent.slice(i + 1).flatMap((b): CloseCrossing[] => {
      const [one, other] = [boxes.get(a)!, boxes.get(b)!];
      if (boxGap(one, other.min, other.max) > withinMm + a.tube.odMm + b.tube.odMm) return [];
      const before = met.get(a)?.get(b);
      if (before?.withinMm === withinMm) return before.meeting ? [before.meeting] : [];
      const meeting = meetingOf(plan, a, b, withinMm);
      if (!met.has(a)) met.set(a, new WeakMap());
      met.get(a)!.set(b, { withinMm, meeting });
      return meeting ? [meeting] : [];
    }),
  );
}

const known = new WeakMap<readonly Vec3[], Box>();
/** The box round a line's points, computed once. */
function around(points: readonly Vec3[]): Box {
  const before = known.get(points);
  if (before) return before;
  const box = boxRound(points);
  known.set(points, box);
  return box;
}
