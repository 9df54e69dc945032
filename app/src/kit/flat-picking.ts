type Px = readonly [number, number];

/** Distance from a point of the drawing to a polyline of it, px. */
export function toPolyline([px, py]: Px, points: readonly Px[]): number {
  let least = Infinity;
  for (let i = 1; i < points.length; i++) {
    const [ax, ay] = points[i - 1]!;
    const [dx, dy] = [points[i]![0] - ax, points[i]![1] - ay];
    const along = dx || dy ? Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy))) : 0;
    least = Math.min(least, Math.hypot(px - ax - along * dx, py - ay - along * dy));
  }
  return least;
}

/** The nearest of some things within `reach` px, or null. */
export function nearest<T>(things: readonly T[], reach: number, distance: (thing: T) => number): T | null {
  let [best, least]: [T | null, number] = [null, reach];
  for (const thing of things) {
    const d = distance(thing);
    if (d < least) [best, least] = [thing, d];
  }
  return best;
}
