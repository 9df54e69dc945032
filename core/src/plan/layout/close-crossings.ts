import { derive, derivePair } from '../../lib/derive/index.ts';
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

/** Lines nearer than this rub when they tremble, mm. Common practice: sleeve them, or tie them so that they move as one. */
const APART_MM = 5;
const passingOf = ({ pieces, tube }: LineView): Passing => ({
  points: pointsOf(pieces),
  odMm: tube.odMm,
});
/** How two lines pass one another, looked at once while neither of them moves. */
const crossing = derivePair('close crossing', (a: LineView, b: LineView) => {
  const [one, other] = [passingOf(a), passingOf(b)];
  const box = around(other.points);
  const isFar = boxGap(around(one.points), box.min, box.max) > APART_MM + one.odMm + other.odMm;
  return isFar ? null : pass(one, other, APART_MM);
});

/** Pairs of lines that nearly touch away from their ends, each pair once. */
export function closeCrossings(lines: readonly LineView[]): CloseCrossing[] {
  const bent = lines.filter(({ card }) => card);
  return bent.flatMap((a, i) =>
    bent.slice(i + 1).flatMap((b): CloseCrossing[] => {
      const found = crossing(a, b);
      return found ? [{ a, b, ...found }] : [];
    }),
  );
}

/** The box round the center line of a line that has one. */
export const boxOfLine = ({ pieces }: LineView): Box => around(pointsOf(pieces));
/** The box round a line's points. */
const around = derive(
  'box round a line',
  (points: readonly Vec3[]) => [points],
  (points): Box => boxRound(points),
);
