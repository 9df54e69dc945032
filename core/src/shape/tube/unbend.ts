import { InputError, figure } from '../../lib/faults/index.ts';
import { addScaled, angleDeg, dot, rotate, unit, type Vec3 } from '../../lib/vec/index.ts';
import { tangentMm } from './bend.ts';

export interface UnbendInput {
  readonly startMm: Vec3;
  readonly direction: Vec3;
  readonly normal: Vec3;
  readonly clrMm: number | readonly number[];
  readonly bends: readonly {
    readonly feedMm: number;
    readonly rotateDeg: number;
    readonly bendDeg: number;
  }[];
  readonly tailMm: number;
}

/** The plane's normal may lean this much on the tube before the two say different things. */
const LEAST_BETWEEN_DEG = 45;

const directionAt = (path: string, v: Vec3): Vec3 => {
  const u = unit(v);
  if (!u) throw new InputError(path, 'The direction has zero length.');
  return u;
};

/**
 * The corner points of a bend table: the inverse of `bendTable`. `direction` is that of the first
 * straight, the first bend turns it about `normal` (right hand). Throws InputError where they nearly agree.
 */
export function unbend({ startMm, direction, normal, clrMm, bends, tailMm }: UnbendInput): {
  nodesMm: Vec3[];
} {
  if (typeof clrMm !== 'number' && clrMm.length !== bends.length) {
    throw new InputError(
      'clrMm',
      `There are ${bends.length} bends and ${clrMm.length} radii: give one radius, or one for each.`,
    );
  }
  if (bends.length && bends[0]!.rotateDeg !== 0)
    throw new InputError('bends[0].rotateDeg', 'The first bend sets the plane. Enter rotation 0.');
  let along = directionAt('direction', direction);
  const given = directionAt('normal', normal);
  const between = Math.min(angleDeg(along, given), 180 - angleDeg(along, given));
  if (between < LEAST_BETWEEN_DEG)
    throw new InputError(
      'normal',
      `The plane’s normal stands ${figure(between)}° from the direction; ${LEAST_BETWEEN_DEG}° is the lower limit.`,
    );
  let plane = unit(addScaled(given, along, -dot(given, along)))!;
  let at = startMm;
  let carried = 0;
  const nodesMm: Vec3[] = [at];
  for (const [i, bend] of bends.entries()) {
    const tangent = tangentMm(bend.bendDeg, typeof clrMm === 'number' ? clrMm : clrMm[i]!);
    at = addScaled(at, along, carried + bend.feedMm + tangent);
    nodesMm.push(at);
    plane = rotate(plane, along, bend.rotateDeg);
    along = rotate(along, plane, bend.bendDeg);
    carried = tangent;
  }
  nodesMm.push(addScaled(at, along, carried + tailMm));
  return { nodesMm };
}
