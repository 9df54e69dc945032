import type { Vec3 } from '@firm-line/core/lib/vec';
import { LineMaterial } from 'three/addons/lines/LineMaterial.js';
import { LineSegments2 } from 'three/addons/lines/LineSegments2.js';
import { LineSegmentsGeometry } from 'three/addons/lines/LineSegmentsGeometry.js';
import { token } from './colors';
import { kept } from './stage-pieces';

/** Widths on the screen, px: a line is never thinner than this, however far off it is. */
export const WIDE_PX = { other: 3, chosen: 6, halo: 10, ghost: 5 } as const;
export type Wide = keyof typeof WIDE_PX;
/** What a wide line is, besides its width: the chosen one's halo lies under it, its ghost shows through what hides it. */
const HOW: Record<
  Wide,
  { readonly through: boolean; readonly opacity: number; readonly order: number }
> = {
  other: { through: false, opacity: 1, order: 0 },
  halo: { through: false, opacity: 1, order: 1 },
  chosen: { through: false, opacity: 1, order: 2 },
  ghost: { through: true, opacity: 0.6, order: 3 },
};

/** The pieces of polylines, end to end, as the coordinates of both ends of each. */
export function piecesOf(lines: readonly (readonly Vec3[])[]): Float32Array {
  const count = lines.reduce((sum, points) => sum + Math.max(0, points.length - 1), 0);
  const made = new Float32Array(count * 6);
  let at = 0;
  for (const points of lines)
    for (let i = 1; i < points.length; i++) {
      made.set(points[i - 1]!, at);
      made.set(points[i]!, at + 3);
      at += 6;
    }
  return made;
}
/** Center lines as wide as they must be to be seen, all of one ink as one thing to draw. */
export function wideLines(
  lines: readonly (readonly Vec3[])[],
  ink: string,
  wide: Wide,
): LineSegments2 {
  const { through, opacity, order } = HOW[wide];
  const material = kept(
    `wide ${ink} ${wide}`,
    () =>
      new LineMaterial({
        color: token(ink),
        linewidth: WIDE_PX[wide],
        depthTest: !through,
        transparent: opacity < 1,
        opacity,
      }),
  );
  const made = new LineSegments2(
    new LineSegmentsGeometry().setPositions(piecesOf(lines)),
    material,
  );
  made.renderOrder = order;
  made.frustumCulled = false;
  return made;
}
