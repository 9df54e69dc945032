import {
  add,
  addScaled,
  cross,
  degrees,
  dot,
  radians,
  rotate,
  scale,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** How the end of a hose moves against the frame. */
export interface Motion {
  /** `axle`: a solid axle lifts and rolls about a line fore and aft; `corner`: an arm swings about an inboard line; `still`: it does not move. */
  readonly kind: 'axle' | 'corner' | 'still';
  /** Down to droop (negative) and up to bump, of `measuredAtMm`. */
  readonly heaveMm: readonly [droop: number, bump: number];
  /** A place on the line it rolls or swings about. */
  readonly aboutMm: Vec3;
  /** That line's direction. */
  readonly axis: Vec3;
  /** Where heave is measured: the wheel's center. */
  readonly measuredAtMm: Vec3;
  /** Of an axle, to either side. */
  readonly rollDeg: number;
  /** Kingpin line with the locks to the left and to the right; null where it does not steer. */
  readonly steer: {
    readonly aboutMm: Vec3;
    readonly axis: Vec3;
    readonly lockDeg: readonly [left: number, right: number];
  } | null;
  /** How far a sliding caliper moves as its pads wear, and which way. */
  readonly floatMm: number;
  readonly floatAxis: Vec3;
}

/** An end that does not move: what others are made of. */
export const STILL: Motion = {
  kind: 'still',
  heaveMm: [0, 0],
  aboutMm: [0, 0, 0],
  axis: [1, 0, 0],
  measuredAtMm: [0, 0, 0],
  rollDeg: 0,
  steer: null,
  floatMm: 0,
  floatAxis: [0, 1, 0],
};

/** A place of the travel: shares from −1 (droop, left, rolled left) over 0 (ride, straight) to 1; float 0 to 1. */
export interface Pose {
  readonly heave: number;
  readonly lock: number;
  readonly roll: number;
  readonly float: number;
}
export const RIDE: Pose = { heave: 0, lock: 0, roll: 0, float: 0 };
const about = (p: Vec3, center: Vec3, axis: Vec3, deg: number): Vec3 =>
  add(center, rotate(sub(p, center), axis, deg));
/** What a share of a travel is: −1 its low end, 0 rest, 1 its high end. */
export const partOf = (share: number, [low, high]: readonly [number, number]): number =>
  share < 0 ? -share * low : share * high;

/**
 * The swing about a line that lifts a place by so much, degrees, the smallest; null where the arm is too
 * short to reach that high. z(φ) = a + b·cos φ + c·sin φ.
 */
export function swingDeg(place: Vec3, aboutMm: Vec3, axis: Vec3, liftMm: number): number | null {
  const along = unit(axis)!;
  const arm = sub(place, aboutMm);
  const held = scale(along, dot(arm, along));
  const [b, c] = [arm[2] - held[2], cross(along, arm)[2]];
  const reach = Math.hypot(b, c);
  const wanted = (b + liftMm) / reach;
  if (!(Math.abs(wanted) <= 1)) return null;
  // b·cos φ + c·sin φ = reach·cos(φ − δ)
  const lead = Math.atan2(c, b);
  const turns = [lead + Math.acos(wanted), lead - Math.acos(wanted)].map((turn) =>
    Math.atan2(Math.sin(turn), Math.cos(turn)),
  );
  const least = turns.reduce((best, one) => (Math.abs(one) < Math.abs(best) ? one : best));
  return least / radians(1);
}

/** What a motion does to places and to directions in a pose. Null where the arm cannot go that far. */
export function mover(
  motion: Motion,
  pose: Pose,
): { readonly place: (p: Vec3) => Vec3; readonly direction: (d: Vec3) => Vec3 } | null {
  const liftMm = partOf(pose.heave, motion.heaveMm);
  const axis = unit(motion.axis) ?? [1, 0, 0];
  const swing =
    motion.kind === 'corner'
      ? swingDeg(motion.measuredAtMm, motion.aboutMm, axis, liftMm)
      : pose.roll * motion.rollDeg;
  if (swing === null) return null;
  const lift: Vec3 = [0, 0, motion.kind === 'axle' ? liftMm : 0];
  const still = motion.kind === 'still';
  const carried = (p: Vec3): Vec3 => (still ? p : add(about(p, motion.aboutMm, axis, swing), lift));
  const turned = (d: Vec3): Vec3 => (still ? d : rotate(d, axis, swing));
  const { steer } = motion;
  const kingpin = steer && unit(steer.axis);
  const lockDeg = steer ? partOf(pose.lock, steer.lockDeg) : 0;
  // It floats and steers as it stands at ride, and is then carried with arm or axle.
  const steered = (p: Vec3): Vec3 => (kingpin ? about(p, steer.aboutMm, kingpin, lockDeg) : p);
  const slid = (p: Vec3): Vec3 =>
    addScaled(p, unit(motion.floatAxis) ?? [0, 0, 0], pose.float * motion.floatMm);
  return {
    place: (p) => carried(steered(slid(p))),
    direction: (d) => turned(kingpin ? rotate(d, kingpin, lockDeg) : d),
  };
}

const HEAVES = ['droop', 'ride', 'bump'] as const;
const LOCKS = ['left', 'straight', 'right'] as const;
const ROLLS = ['rolled left', 'level', 'rolled right'] as const;

export interface NamedPose {
  readonly name: string;
  readonly pose: Pose;
  /** Row and column of the cell it belongs to: heave, and lock (or roll, where nothing steers). */
  readonly cell: readonly [heave: -1 | 0 | 1, side: -1 | 0 | 1];
}

/** The corners of a travel and its middles, from ride outwards so that each has a neighbor before it. */
export function posesOf(motion: Motion): NamedPose[] {
  if (motion.kind === 'still') return [{ name: 'rest', pose: RIDE, cell: [0, 0] }];
  const out = [0, -1, 1] as const;
  const locks = motion.steer ? out : ([0] as const);
  const rolls = motion.kind === 'axle' && motion.rollDeg > 0 ? out : ([0] as const);
  const floats = motion.floatMm > 0 ? [0, 1] : [0];
  return out.flatMap((heave) =>
    locks.flatMap((lock) =>
      rolls.flatMap((roll) =>
        floats.map((float) => ({
          name: [
            HEAVES[heave + 1],
            ...(motion.steer ? [LOCKS[lock + 1]] : []),
            ...(rolls.length > 1 ? [ROLLS[roll + 1]] : []),
            ...(float ? ['pads worn'] : []),
          ].join(', '),
          pose: { heave, lock, roll, float },
          cell: [heave, motion.steer ? lock : roll] as const,
        })),
      ),
    ),
  );
}

/** Toward the middle of the vehicle, for what stands at a y. */
const inward = (y: number): number => (y > 0 ? -1 : 1);
/** The line of a kingpin whose top leans back and inward by these angles, as seen from the side and from ahead. */
export const kingpinAxis = (backDeg: number, inwardDeg: number, y: number): Vec3 =>
  unit([Math.tan(radians(backDeg)), inward(y) * Math.tan(radians(inwardDeg)), 1])!;
/** By how much the top of a kingpin leans back and inward. */
export function kingpinLean(
  [x, across, z]: Vec3,
  y: number,
): { readonly backDeg: number; readonly inwardDeg: number } {
  const deg = (by: number): number => degrees(Math.atan2(by * Math.sign(z || 1), Math.abs(z)));
  return { backDeg: deg(x), inwardDeg: deg(inward(y) * across) };
}
