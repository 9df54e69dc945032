import { derive } from '../../lib/derive/index.ts';
import { boxGap, boxRound, segmentShares, type Box } from '../../shape/obstacles/index.ts';
import { addScaled, distance, pathLength, sub, type Vec3 } from '../../lib/vec/index.ts';
import type { LineView } from './line-view.ts';
import { pointsOf } from './space.ts';

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

interface Passing {
  readonly points: readonly Vec3[];
  readonly odMm: number;
}

function pass(
  one: Passing,
  other: Passing,
  withinMm: number,
): Omit<CloseCrossing, 'a' | 'b'> | null {
  const apart = (one.odMm + other.odMm) / 2;
  const limit = withinMm + apart;
  const [length, otherLength] = [pathLength(one.points), pathLength(other.points)];
  let best: Omit<CloseCrossing, 'a' | 'b'> | null = null;
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
        const inside = (at: number, lengthMm: number): boolean =>
          at > AT_ENDS_MM && at < lengthMm - AT_ENDS_MM;
        if (inside(atMm, length) && inside(otherMm, otherLength)) {
          const pointMm = addScaled(p, sub(q, p), share);
          const gap = distance(pointMm, addScaled(r, sub(s, r), otherShare));
          const distanceMm = Math.max(0, gap - apart);
          if (gap <= limit && (!best || distanceMm < best.distanceMm))
            best = { distanceMm, atMm, otherMm, pointMm };
        }
      }
      otherRun += otherLong;
    }
  }
  return best;
}

/** How two lines pass one another, looked at once while neither of them moves. */
const crossing = derive(
  'close crossing',
  (one: Passing, other: Passing, withinMm: number) => [
    one.points,
    other.points,
    one.odMm,
    other.odMm,
    withinMm,
  ],
  (points, otherPoints, odMm, otherOdMm, withinMm) =>
    pass({ points, odMm }, { points: otherPoints, odMm: otherOdMm }, withinMm),
  32,
);

/** Pairs of lines that come within `withinMm` of one another away from their ends, each pair once. */
export function closeCrossings(lines: readonly LineView[], withinMm: number): CloseCrossing[] {
  const bent = lines.flatMap((view) => {
    if (!view.card) return [];
    const points = pointsOf(view.pieces);
    return [{ view, box: around(points), passing: { points, odMm: view.tube.odMm } }];
  });
  return bent.flatMap((one, i) =>
    bent.slice(i + 1).flatMap((other): CloseCrossing[] => {
      if (
        boxGap(one.box, other.box.min, other.box.max) >
        withinMm + one.passing.odMm + other.passing.odMm
      )
        return [];
      const found = crossing(one.passing, other.passing, withinMm);
      return found ? [{ a: one.view, b: other.view, ...found }] : [];
    }),
  );
}

/** The box round a line's points. */
const around = derive(
  'box round a line',
  (points: readonly Vec3[]) => [points],
  (points): Box => boxRound(points),
);
