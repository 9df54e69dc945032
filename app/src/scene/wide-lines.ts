import type { Vec3 } from '@firm-line/core/lib/vec';
import { LineMaterial } from 'three/addons/lines/LineMaterial.js';
import { LineSegments2 } from 'three/addons/lines/LineSegments2.js';
import { LineSegmentsGeometry } from 'three/addons/lines/LineSegmentsGeometry.js';
import { token } from './colors';
import { kept } from './stage-pieces';

interface Wide {
  /** Width on the screen, however far off it is. */
  readonly px: number;
  /** Seen through what is in front of it. */
  readonly through?: boolean;
  readonly opacity?: number;
  readonly order: number;
}
/** How center lines are drawn: the chosen one with a dark halo under it and a ghost that shows through what hides it. */
const WIDE = {
  other: { px: 3, order: 0 },
  halo: { px: 10, order: 1 },
  chosen: { px: 6, order: 2 },
  ghost: { px: 5, through: true, opacity: 0.6, order: 3 },
} satisfies Record<string, Wide>;

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
/** Center lines ready to be drawn as wide as it takes, in as many ways as it takes. */
export const centerLines = (lines: readonly (readonly Vec3[])[]): LineSegmentsGeometry =>
  new LineSegmentsGeometry().setPositions(piecesOf(lines));

/** Center lines of one ink that keep their width on the screen, as one thing to draw. */
export function wideLines(
  lines: LineSegmentsGeometry,
  ink: string,
  how: keyof typeof WIDE,
): LineSegments2 {
  const { px, through = false, opacity = 1, order }: Wide = WIDE[how];
  const material = kept(
    `wide ${ink} ${how}`,
    () =>
      new LineMaterial({
        color: token(ink),
        linewidth: px,
        depthTest: !through,
        transparent: opacity < 1,
        opacity,
      }),
  );
  const made = new LineSegments2(lines, material);
  made.renderOrder = order;
  made.frustumCulled = false;
  return made;
}
