import { settle, type Settled, type Torsion } from './rod.ts';
import { chordOf, clampedAt, endsOf, type Clamp } from './shape.ts';
import { twistRad } from './twist.ts';

/** How the fittings of a tightened hose are turned, and what resists that. */
export type Tightened = Omit<Torsion, 'twistRad'>;

/** Turn between two marks along a rod, rad: what leaves it free of twist where it hangs so. */
export const turnAlong = ({ tangents }: Settled, marks: Torsion['marks']): number =>
  twistRad(tangents, marks);

/**
 * A hose whose ends are both held in roll, bending and twisting as costs it least: followed from where
 * it hung before, or, where that comes to no rest, the best of shapes that are free in roll. Null where
 * none comes to rest.
 */
export function twisted(
  lengthMm: number,
  a: Clamp,
  b: Clamp,
  turned: Tightened,
  before: Settled | null,
  free: readonly Settled[],
): Settled | null {
  const held = (rod: Settled, twistRad: number): Settled =>
    settle(clampedAt(rod, ...endsOf(a, b)), chordOf(a, b, lengthMm), undefined, {
      ...turned,
      twistRad,
    });
  const followed = before && held(before, before.twistRad);
  if (followed?.converged) return followed;
  return (
    free
      .map((rod) => held(rod, 0))
      .filter((rod) => rod.converged)
      .sort((one, other) => one.energy - other.energy)[0] ?? null
  );
}
