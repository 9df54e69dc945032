import type { Vec3 } from '../../lib/vec/index.ts';
import type { Solid } from './solids.ts';

/** How a bender stands: in the hands, on the bench, or held in a vice. */
export type Standing = 'hand' | 'fixed' | 'vice';
/** A bender's body and what stands about it, with the lever that sweeps round the die. */
export interface BenchSolids {
  readonly solids: readonly Solid[];
  /** The lever: it lies outside the straight that is swept and turns with it. */
  readonly lever: { readonly lengthMm: number; readonly wideMm: number; readonly highMm: number };
}

/**
 * Solids to begin with, to be replaced by the user's own: how far the lever reaches, what the body
 * takes up, and how high the die stands over the bench. Common practice.
 */
export function usualSolids(standing: Standing, dieRadiusMm: number): BenchSolids {
  const r = dieRadiusMm;
  const box = (name: string, minMm: Vec3, maxMm: Vec3): Solid => ({
    kind: 'box',
    name,
    minMm,
    maxMm,
  });
  switch (standing) {
    case 'hand':
      return {
        solids: [box('the handle in the hand', [-230, r - 8, -9], [-25, r + 12, 9])],
        lever: { lengthMm: 220, wideMm: 22, highMm: 18 },
      };
    case 'fixed':
      return {
        solids: [
          box('the bender’s body', [-90, -45, -42], [70, 2 * r + 50, -14]),
          box('the clamp', [-55, -34, -14], [-12, -7, 14]),
          box('the bench', [-700, -160, -62], [700, 640, -42]),
        ],
        lever: { lengthMm: 280, wideMm: 24, highMm: 20 },
      };
    case 'vice':
      return {
        solids: [
          box('the vice', [-75, r - 45, -150], [75, r + 45, -30]),
          box('the bench', [-700, r - 60, -190], [700, 800, -150]),
        ],
        lever: { lengthMm: 300, wideMm: 24, highMm: 20 },
      };
  }
}
/** The die itself, up to the middle of its groove. */
export const dieSolid = (dieRadiusMm: number, odMm: number): Solid => ({
  kind: 'cylinder',
  name: 'the die',
  footMm: [0, dieRadiusMm, -odMm / 2 - 5],
  radiusMm: Math.max(dieRadiusMm - odMm / 2, 0.1),
  heightMm: odMm + 10,
});
