import type { Vec3 } from '@firm-line/core/lib/vec';

export const VIEWS = ['around', 'above', 'left', 'right', 'front', 'rear'] as const;
/** From where the vehicle is looked at. */
export type Look = (typeof VIEWS)[number];
/** Toward the eye, and what is up there. Front lies to the left from above, as on the flat views. */
export const EYES: Record<Look, readonly [Vec3, Vec3]> = {
  around: [
    [-0.45, -0.72, 0.53],
    [0, 0, 1],
  ],
  above: [
    [0, 0, 1],
    [0, 1, 0],
  ],
  left: [
    [0, -1, 0],
    [0, 0, 1],
  ],
  right: [
    [0, 1, 0],
    [0, 0, 1],
  ],
  front: [
    [-1, 0, 0],
    [0, 0, 1],
  ],
  rear: [
    [1, 0, 0],
    [0, 0, 1],
  ],
};

export interface TubeShown {
  readonly points: readonly Vec3[];
  readonly radiusMm: number;
  readonly ink: string;
}
export interface HoseShown extends TubeShown {
  readonly chosen: boolean;
  /** Its two fittings, each from the seat to the hose. */
  readonly fittings: readonly TubeShown[];
}
export interface ChosenShown extends TubeShown {
  readonly corners: readonly Vec3[];
  readonly corner: number | null;
  readonly clips: readonly Vec3[];
  /** Pairs of points between which it is too near to something. */
  readonly gaps: readonly (readonly [Vec3, Vec3])[];
}
