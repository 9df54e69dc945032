type Px = readonly [number, number];

/** Where a polyline of the drawing comes nearest to a point of it: how far that is, px, on which piece, and how far along that. */
export function onPolyline(
  [px, py]: Px,
  points: readonly Px[],
): { readonly px: number; readonly piece: number; readonly share: number } {
  let best = { px: Infinity, piece: 0, share: 0 };
  for (let i = 1; i < points.length; i++) {
    const [ax, ay] = points[i - 1]!;
    const [dx, dy] = [points[i]![0] - ax, points[i]![1] - ay];
    const along =
      dx || dy
        ? Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy)))
        : 0;
    const off = Math.hypot(px - ax - along * dx, py - ay - along * dy);
    if (off < best.px) best = { px: off, piece: i - 1, share: along };
  }
  return best;
}
/** Distance from a point of the drawing to a polyline of it, px. */
export const toPolyline = (at: Px, points: readonly Px[]): number => onPolyline(at, points).px;

/** The nearest of some things within `reach` px, or null. */
export function nearest<T>(
  things: readonly T[],
  reach: number,
  distance: (thing: T) => number,
): T | null {
  let [best, least]: [T | null, number] = [null, reach];
  for (const thing of things) {
    const d = distance(thing);
    if (d < least) [best, least] = [thing, d];
  }
  return best;
}
