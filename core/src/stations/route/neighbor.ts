import type { Pose, Settled } from '../../shape/rod/index.ts';

const apart = (one: Pose, other: Pose): number =>
  Math.abs(one.heave - other.heave) +
  Math.abs(one.lock - other.lock) +
  Math.abs(one.roll - other.roll) +
  Math.abs(one.float - other.float);

/** The one before a pose in the order of `posesOf` that is at rest: its nearest neighbor toward ride. */
export const neighbor = <T extends { readonly pose: Pose; readonly rods: readonly Settled[] }>(
  before: readonly T[],
  pose: Pose,
): T | undefined =>
  before.reduce<T | undefined>(
    (best, one) =>
      one.rods.length && (!best || apart(one.pose, pose) < apart(best.pose, pose)) ? one : best,
    undefined,
  );
