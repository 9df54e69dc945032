import { add, addScaled, cross, rotate, sub, type Vec3 } from '../../lib/vec/index.ts';
import type { Rod } from './solids.ts';

/** A bend as the bender makes it: where it begins on the tube, its turn from the bend before, its angle, its arc. */
export interface TubeBend {
  readonly markMm: number;
  readonly rotateDeg: number;
  readonly bendDeg: number;
  readonly arcMm: number;
}
/** A tube as it is at some moment. */
export interface TubeInBender {
  readonly bends: readonly TubeBend[];
  readonly cutMm: number;
  readonly odMm: number;
  /** What is slid on it: a stretch from end A and how thick it is. */
  readonly slid: readonly {
    readonly fromMm: number;
    readonly toMm: number;
    readonly radiusMm: number;
  }[];
}
/** A stretch of the tube in the die's frame; `own`: of the straights that the clamp and the shoe hold. */
export interface PosedRod extends Rod {
  readonly side: 'clamped' | 'free';
  readonly own: boolean;
  readonly slid: boolean;
}

const ARC_STEP_DEG = 15;

/** The tube between two places on it, mm from end A. */
interface Stretch {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * The tube laid out from the die both ways, `angles` saying how far round each bend is now. Bend `k`
 * begins at the origin, on its clamped side, where the tube comes along x; it turns towards y.
 */
function layOut(
  { bends, cutMm }: TubeInBender,
  k: number,
  clamped: 'a' | 'b',
  angles: readonly number[],
): Stretch[] {
  const stretches: Stretch[] = [];
  // Travel is always told from A to B, the normal is that of the bend at hand.
  let at: Vec3 = [0, 0, 0];
  let travel: Vec3 = [1, 0, 0];
  let normal: Vec3 = [0, 0, 1];
  let run = 0;
  const to = (next: Vec3, toMm: number): void => {
    if (toMm !== run) stretches.push({ from: at, to: next, fromMm: run, toMm });
    [at, run] = [next, toMm];
  };
  const straight = (toMm: number): void => to(addScaled(at, travel, toMm - run), toMm);
  /** An arc from where the tube is, towards B (1) or A (-1); what of it is not bent yet goes on straight. */
  const arc = ({ arcMm, bendDeg }: TubeBend, angle: number, sign: 1 | -1): void => {
    const endMm = run + sign * arcMm;
    const radiusMm = arcMm / ((bendDeg * Math.PI) / 180);
    const center = addScaled(at, cross(normal, travel), radiusMm);
    const [start, startMm] = [sub(at, center), run];
    const steps = Math.ceil(angle / ARC_STEP_DEG);
    for (let i = 1; i <= steps; i++)
      to(
        add(center, rotate(start, normal, (sign * angle * i) / steps)),
        startMm + (sign * arcMm * angle * i) / (bendDeg * steps),
      );
    travel = rotate(travel, normal, sign * angle);
    straight(endMm);
  };
  const [first, startMm] = [bends[k]!, bends[k]!.markMm + (clamped === 'a' ? 0 : bends[k]!.arcMm)];
  const begin = (): void => {
    [at, run] = [[0, 0, 0], startMm];
    [travel, normal] =
      clamped === 'a'
        ? [
            [1, 0, 0],
            [0, 0, 1],
          ]
        : [
            [-1, 0, 0],
            [0, 0, -1],
          ];
  };
  const toB = (): void => {
    for (let j = k + 1; j < bends.length; j++) {
      straight(bends[j]!.markMm);
      normal = rotate(normal, travel, bends[j]!.rotateDeg);
      arc(bends[j]!, angles[j]!, 1);
    }
    straight(cutMm);
  };
  const toA = (): void => {
    for (let j = k - 1; j >= 0; j--) {
      straight(bends[j]!.markMm + bends[j]!.arcMm);
      normal = rotate(normal, travel, -bends[j + 1]!.rotateDeg);
      arc(bends[j]!, angles[j]!, -1);
    }
    straight(0);
  };
  begin();
  arc(first, angles[k]!, clamped === 'a' ? 1 : -1);
  (clamped === 'a' ? toB : toA)();
  begin();
  (clamped === 'a' ? toA : toB)();
  return stretches;
}

/** A tube's rods while bend `k` is at an angle, `made` the bends before it; what the die, clamp and shoe hold is told apart. */
export function pose(
  tube: TubeInBender,
  k: number,
  clamped: 'a' | 'b',
  angleDeg: number,
  made: ReadonlySet<number>,
): PosedRod[] {
  const { bends, cutMm, odMm, slid } = tube;
  const angles = bends.map(({ bendDeg }, j) => (j === k ? angleDeg : made.has(j) ? bendDeg : 0));
  const bend = bends[k]!;
  const [startMm, endMm] = [bend.markMm, bend.markMm + bend.arcMm];
  const before = Math.max(
    0,
    ...[...made].filter((j) => j < k).map((j) => bends[j]!.markMm + bends[j]!.arcMm),
  );
  const after = Math.min(cutMm, ...[...made].filter((j) => j > k).map((j) => bends[j]!.markMm));
  const middleMm = clamped === 'a' ? startMm : endMm;
  return layOut(tube, k, clamped, angles).flatMap(({ from, to, fromMm, toMm }) => {
    const [low, high] = [Math.min(fromMm, toMm), Math.max(fromMm, toMm)];
    const isTowardsB = (low + high) / 2 > middleMm;
    const rod = {
      from,
      to,
      side: isTowardsB === (clamped === 'a') ? ('free' as const) : ('clamped' as const),
      own: low >= before - 1e-6 && high <= after + 1e-6,
    };
    const thicker = slid
      .filter((one) => one.fromMm < high && one.toMm > low)
      .map((one): PosedRod => {
        const at = (mm: number): Vec3 =>
          addScaled(from, sub(to, from), (mm - fromMm) / (toMm - fromMm));
        return {
          ...rod,
          from: at(Math.max(one.fromMm, low)),
          to: at(Math.min(one.toMm, high)),
          radiusMm: one.radiusMm,
          slid: true,
        };
      });
    return [{ ...rod, radiusMm: odMm / 2, slid: false }, ...thicker];
  });
}
