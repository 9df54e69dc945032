import { distance, rotate, add, type Vec3 } from '../../lib/vec/index.ts';
import { CORNERS, SPANS, type Corner, type Span } from '../survey/index.ts';
import { placedMarks, square } from './index.ts';

const MARKS: Record<Corner, Vec3> = {
  frontLeft: [0, -400, 500],
  frontRight: [6, 402, 501],
  rearRight: [2405, 398, 498],
  rearLeft: [2398, -401, 503],
};
const ends: Record<Span, readonly [Corner, Corner]> = {
  front: ['frontLeft', 'frontRight'],
  rear: ['rearLeft', 'rearRight'],
  left: ['frontLeft', 'rearLeft'],
  right: ['frontRight', 'rearRight'],
  diagonalLeft: ['frontLeft', 'rearRight'],
  diagonalRight: ['frontRight', 'rearLeft'],
};
const flat = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const readMm = Object.fromEntries(
  SPANS.map((span) => [span, flat(MARKS[ends[span][0]], MARKS[ends[span][1]])]),
) as Record<Span, number>;
const heights = Object.fromEntries(CORNERS.map((c) => [c, MARKS[c][2]])) as Record<Corner, number>;

test('marks thought to be where they are stay there, whatever the heights are read over', () => {
  const found = placedMarks(
    square({ readMm }),
    MARKS,
    Object.fromEntries(CORNERS.map((c) => [c, heights[c] - 77])) as Record<Corner, number>,
  );
  for (const c of CORNERS) expect(distance(found[c], MARKS[c])).toBeLessThan(1e-6);
});
test('thought askew and elsewhere, they keep their own figure and lie as near as can be: by a search over turns', () => {
  const askew = Object.fromEntries(
    CORNERS.map((c) => [c, add(rotate(MARKS[c], [0, 0, 1], 3), [40, -25, 10])]),
  ) as Record<Corner, Vec3>;
  // One mark is thought 30 mm off on top of that.
  const thought = { ...askew, rearLeft: add(askew.rearLeft, [30, 0, 0]) };
  const found = placedMarks(square({ readMm }), thought);
  for (const span of SPANS)
    expect(flat(found[ends[span][0]], found[ends[span][1]])).toBeCloseTo(readMm[span], 6);
  const cost = (at: Record<Corner, Vec3>): number =>
    CORNERS.reduce((sum, c) => sum + flat(at[c], thought[c]) ** 2, 0);
  for (const deg of [-0.05, 0.05])
    for (const by of [
      [0, 0, 0],
      [0.5, 0, 0],
      [0, -0.5, 0],
    ] as const)
      expect(cost(found)).toBeLessThan(
        cost(
          Object.fromEntries(
            CORNERS.map((c) => [c, add(rotate(found[c], [0, 0, 1], deg), by)]),
          ) as Record<Corner, Vec3>,
        ),
      );
});
