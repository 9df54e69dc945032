export type Px = readonly [number, number];

/** The outline round points, in order. Source: A. M. Andrew, Another efficient algorithm for convex hulls in two dimensions (1979, from memory). */
export function hull(points: readonly Px[]): Px[] {
  const inOrder = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const bendsIn = (a: Px, b: Px, p: Px): boolean =>
    (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) <= 0;
  const side = (of: readonly Px[]): Px[] => {
    const kept: Px[] = [];
    for (const p of of) {
      while (kept.length > 1 && bendsIn(kept.at(-2)!, kept.at(-1)!, p)) kept.pop();
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return inOrder.length < 3 ? inOrder : [...side(inOrder), ...side(inOrder.reverse())];
}
