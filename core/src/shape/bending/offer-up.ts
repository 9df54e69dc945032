import { add, length, sub, type Vec3 } from '../../lib/vec/index.ts';
import { homeWith, type Goal } from './home.ts';
import { leastSquares } from './least-squares.ts';
import type { MadeBend } from './shape.ts';

/** One change at one bend, and what it leaves of a miss. */
export interface OneChange {
  /** Which bend, from 0. */
  readonly bend: number;
  readonly kind: 'angle' | 'turn';
  /** Degrees: an angle below nothing opens the bend, which is never done in a bender. */
  readonly byDeg: number;
  readonly leftMm: number;
}

/**
 * What one change at one bend does for a finished tube that misses its port: seated at A and free to
 * roll, each bend's angle or turn changed by what brings B nearest and its last straight into line
 * (1 mm counts as 1°). The one that leaves least first. `isRead`: the bends are as they were read; else
 * they are only planned, and how the last straight leans is not known.
 * `missMm`: from B's port to where the tube comes to lie, in the vehicle's axes.
 */
export function oneChange(
  made: readonly MadeBend[],
  missMm: Vec3,
  goal: Goal,
  isRead = true,
): OneChange[] {
  const now = homeWith(made, 0, goal);
  /** Where B then misses, and how its last straight leans. */
  const then = (
    bend: number,
    kind: OneChange['kind'],
    byDeg: number,
    rollDeg: number,
  ): { miss: Vec3; lean: Vec3 } => {
    const field = kind === 'angle' ? 'bendDeg' : 'rotateDeg';
    const bends = made.map((one, k) =>
      k === bend ? { ...one, [field]: one[field] + byDeg } : one,
    );
    const { miss, lean } = homeWith(bends, rollDeg, goal);
    return { miss: add(missMm, sub(miss, now.miss)), lean };
  };
  const change = (bend: number, kind: OneChange['kind']): OneChange & { readonly sum: number } => {
    const { x, sum } = leastSquares(
      ([by, roll]) => {
        const { miss, lean } = then(bend, kind, by!, roll!);
        // Of equals the smallest change and turn; how it leans is known where its bends were read.
        return [...miss, ...(isRead ? lean : []), 0.02 * by!, 0.02 * roll!];
      },
      [0, 0],
    );
    return { bend, kind, byDeg: x[0]!, leftMm: length(then(bend, kind, x[0]!, x[1]!).miss), sum };
  };
  return made
    .flatMap((_, bend) =>
      bend ? [change(bend, 'angle'), change(bend, 'turn')] : [change(bend, 'angle')],
    )
    .sort((a, b) => a.sum - b.sum)
    .map(({ sum: _, ...rest }) => rest);
}
