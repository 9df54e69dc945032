import { byAxis, type Vec3 } from '../../lib/vec/index.ts';
import type { LineView } from './line-view.ts';
import { obstaclesOf } from '../../shape/obstacles/index.ts';
import type { Plan } from '../model/index.ts';

/** A value of one axis that a dragged corner is drawn to, and what it is. */
export interface Snap {
  readonly mm: number;
  readonly what: string;
}
export type Snaps = readonly [readonly Snap[], readonly Snap[], readonly Snap[]];
export interface Snapped {
  readonly at: Vec3;
  /** What each axis was drawn to; '' where it was only rounded or not free. */
  readonly what: readonly [string, string, string];
}

/** From a rail's face to a tube in a clip on it, and from one tube to the next in a pair. Common practice. */
const STANDOFF_MM = 18;
const SPACING_MM = 20;
/** Dragged places land on this. */
const ROUND_MM = 5;

/** What the corners of a line may be drawn to: its own other corners, a rail's standoff, another line's spacing. */
export function snapsFor(
  plan: Plan,
  view: LineView,
  node: number,
  lines: readonly LineView[],
): Snaps {
  const half = view.tube.odMm / 2;
  const axes: [Snap[], Snap[], Snap[]] = [[], [], []];
  for (const axis of [0, 1, 2] as const) {
    for (const [i, at] of view.nodesMm.entries()) {
      const name = i === 0 ? 'end A' : i === view.nodesMm.length - 1 ? 'end B' : `corner ${i}`;
      if (i !== node) axes[axis].push({ mm: at[axis], what: `in line with ${name}` });
    }
    for (const { thing, box } of obstaclesOf(plan)) {
      if (!thing.holds || !box || axis === 0) continue;
      for (const mm of [box.min[axis] - STANDOFF_MM - half, box.max[axis] + STANDOFF_MM + half])
        axes[axis].push({ mm, what: `clip’s standoff from ${thing.name}` });
    }
    for (const other of lines) {
      if (other === view || axis === 0) continue;
      for (const at of other.line.cornersMm)
        for (const by of [-SPACING_MM, SPACING_MM])
          axes[axis].push({ mm: at[axis] + by, what: `${SPACING_MM} mm from ${other.line.name}` });
    }
  }
  return axes;
}

/** A place drawn to the nearest snap within reach on each axis that is free, else rounded there. */
export function snapPlace(
  at: Vec3,
  free: readonly [boolean, boolean, boolean],
  snaps: Snaps,
  reachMm: number,
): Snapped {
  const found = ([0, 1, 2] as const).map((axis): Snap => {
    if (!free[axis]) return { mm: at[axis], what: '' };
    const nearest = snaps[axis].reduce<Snap | null>(
      (best, snap) =>
        Math.abs(snap.mm - at[axis]) <= (best ? Math.abs(best.mm - at[axis]) - 1e-9 : reachMm)
          ? snap
          : best,
      null,
    );
    return nearest
      ? { ...nearest, mm: Math.round(nearest.mm * 10) / 10 }
      : { mm: Math.round(at[axis] / ROUND_MM) * ROUND_MM, what: '' };
  });
  return {
    at: byAxis((axis) => found[axis]!.mm),
    what: [found[0]!.what, found[1]!.what, found[2]!.what],
  };
}
