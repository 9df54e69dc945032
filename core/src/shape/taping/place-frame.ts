import type { Vec3 } from '../../lib/vec/index.ts';
import { CORNERS, type Corner } from '../survey/index.ts';
import type { Square } from './square.ts';

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;

/**
 * Where four marks lie on the vehicle by their tapes: the figure of the six tapes, turned and moved as a whole so that it
 * lies as near as can be to where the marks were thought to be (least squares, the closed form in a plane); heights, where
 * they were read, move each up or down about their mean.
 */
export function placedMarks(
  { cornersMm }: Pick<Square, 'cornersMm'>,
  thoughtMm: Readonly<Record<Corner, Vec3>>,
  heightsMm: Readonly<Record<Corner, number>> | null = null,
): Record<Corner, Vec3> {
  const mid = (at: (corner: Corner) => number): number => meanOf(CORNERS.map(at));
  const [fx, fy] = [mid((c) => cornersMm[c][0]), mid((c) => cornersMm[c][1])];
  const [tx, ty, tz] = [0, 1, 2].map((axis) => mid((c) => thoughtMm[c][axis]!)) as [
    number,
    number,
    number,
  ];
  let [along, across] = [0, 0];
  for (const c of CORNERS) {
    const [x, y] = [cornersMm[c][0] - fx, cornersMm[c][1] - fy];
    const [u, v] = [thoughtMm[c][0] - tx, thoughtMm[c][1] - ty];
    along += x * u + y * v;
    across += x * v - y * u;
  }
  const turn = Math.atan2(across, along);
  const high = heightsMm && mid((c) => heightsMm[c]);
  return Object.fromEntries(
    CORNERS.map((c): [Corner, Vec3] => {
      const [x, y] = [cornersMm[c][0] - fx, cornersMm[c][1] - fy];
      return [
        c,
        [
          tx + x * Math.cos(turn) - y * Math.sin(turn),
          ty + x * Math.sin(turn) + y * Math.cos(turn),
          heightsMm ? tz + heightsMm[c] - high! : thoughtMm[c][2],
        ],
      ];
    }),
  ) as Record<Corner, Vec3>;
}
