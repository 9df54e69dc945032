import {
  mapVec,
  addScaled,
  angleDeg,
  cross,
  dot,
  length,
  rotate,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { arcMm } from '../tube/index.ts';
import { leastSquares, slopes } from './least-squares.ts';
import { bendsOf, listOf } from './made.ts';
import { bent, clrAt, heldAs, type Bent, type Clr, type Held, type MadeBend } from './shape.ts';

const MOST_BEND_DEG = 179;
const LEAST_BEND_DEG = 0.01;
/** Rolled by less than this two first guesses lead to the same place. */
const NEAR_DEG = 5;
/** How much more a miss counts than a change, and a limit than a miss. */
const MISS_COUNTS = 1e3;
const LIMIT_COUNTS = 1e5;

/** Where B comes to lie: from the port to the nearest point of the last straight, its lean from the planned one, what is over. */
export interface Home {
  readonly miss: Vec3;
  readonly missMm: number;
  readonly lean: Vec3;
  readonly angleDeg: number;
  /** Tube beyond the nearest point; below nothing where it is too short. */
  readonly trimMm: number;
}
/** The port that a tube is to reach, and the way it is to come there. */
export interface Goal {
  readonly clrMm: Clr;
  readonly cutMm: number;
  readonly held: Held;
  readonly portMm: Vec3;
  readonly way: Vec3;
}

export function goalOf(
  nodesMm: readonly Vec3[],
  planned: readonly MadeBend[],
  clrMm: Clr,
  cutMm: number,
): Goal {
  const held = heldAs(nodesMm);
  return {
    clrMm,
    cutMm,
    held,
    portMm: nodesMm[nodesMm.length - 1]!,
    way: bent(planned, clrMm, cutMm, held).way,
  };
}

function homeOf({ lastMm, way, tailMm }: Bent, { portMm, way: plannedWay }: Goal): Home {
  const along = dot(sub(portMm, lastMm), way);
  const miss = sub(addScaled(lastMm, way, Math.min(Math.max(along, 0), tailMm)), portMm);
  const angle = angleDeg(way, plannedWay);
  const axis = unit(cross(plannedWay, way)) ?? [0, 0, 0];
  return {
    miss,
    missMm: length(miss),
    lean: mapVec(axis, (v) => v * angle),
    angleDeg: angle,
    trimMm: along < 0 ? tailMm : tailMm - along,
  };
}

/** Where B lies with these bends, the tube rolled about its first straight. */
export function homeWith(bends: readonly MadeBend[], rollDeg: number, goal: Goal): Home {
  const { held, clrMm, cutMm } = goal;
  return homeOf(
    bent(bends, clrMm, cutMm, { ...held, normal: rotate(held.normal, held.direction, rollDeg) }),
    goal,
  );
}

const leastOf = (starts: readonly (readonly number[])[], of: (x: readonly number[]) => number[]) =>
  starts.map((x) => leastSquares(of, x)).reduce((a, b) => (b.sum < a.sum - 1e-9 ? b : a));
/** A tube whose plane lies anywhere: the roll is looked for all round. */
const ALL_ROUND = [0, 60, 120, 180, -120, -60].map((deg) => [deg]);

/** The roll that brings B nearest with the bends as they are. */
export function bestRoll(bends: readonly MadeBend[], goal: Goal): number {
  return leastOf(ALL_ROUND, ([roll]) => {
    const { miss, lean } = homeWith(bends, roll!, goal);
    return [...miss, ...lean];
  }).x[0]!;
}

export interface Rest {
  readonly rest: readonly MadeBend[];
  readonly rollDeg: number;
  /** By how much the last bend made is taken further; 0 where it may not be. */
  readonly furtherDeg: number;
}

/**
 * The bends that are left, changed as little as brings B home best: least of miss² + angle² (1 mm
 * as 1°), of equals the least sum of squared changes; feeds not below nothing, angles up to 179°.
 * `further`: the last bend made may be taken further, which counts as a change too.
 */
export function bestRest(
  made: readonly MadeBend[],
  left: readonly MadeBend[],
  goal: Goal,
  further: boolean,
  plainRoll = bestRoll([...made, ...left], goal),
): Rest {
  const more = further && made.length ? 1 : 0;
  if (!left.length && !more) return { rest: [], rollDeg: plainRoll, furtherDeg: 0 };
  const start = listOf(left);
  const over = (v: number): number => LIMIT_COUNTS * Math.max(0, v);
  const taken = (deg: number): MadeBend[] =>
    made.map((bend, k) =>
      k === made.length - 1 ? { ...bend, bendDeg: bend.bendDeg + deg } : bend,
    );
  const residuals = (x: readonly number[]): number[] => {
    const furtherDeg = more ? x[1]! : 0;
    const bends = [...taken(furtherDeg), ...bendsOf(x.slice(1 + more))];
    const { miss, lean } = homeWith(bends, x[0]!, goal);
    const limits = bends.slice(made.length).flatMap(({ markMm, bendDeg }, i) => {
      const before = bends[made.length + i - 1];
      const feedMm =
        markMm -
        (before
          ? before.markMm + arcMm(before.bendDeg, clrAt(goal.clrMm, made.length + i - 1))
          : 0);
      return [over(-feedMm), over(bendDeg - MOST_BEND_DEG), over(LEAST_BEND_DEG - bendDeg)];
    });
    const changes = x.slice(1 + more).map((v, i) => v - start[i]!);
    return [
      ...[...miss, ...lean].map((v) => MISS_COUNTS * v),
      ...changes,
      ...limits,
      ...(more ? [furtherDeg] : []),
    ];
  };
  const begin = (roll: number): number[] => [roll, ...(more ? [0] : []), ...start];
  const { x } = leastOf(
    Math.abs(plainRoll) < NEAR_DEG ? [begin(plainRoll)] : [begin(0), begin(plainRoll)],
    residuals,
  );
  // Less would be best: then it stays as it is.
  if (more && x[1]! < 0) return bestRest(made, left, goal, false, plainRoll);
  return { rest: bendsOf(x.slice(1 + more)), rollDeg: x[0]!, furtherDeg: more ? x[1]! : 0 };
}

/** One sigma of the miss, from what is unsure of the bends made; the first bend's turn is none of it. */
export function missSigmaMm(
  made: readonly MadeBend[],
  rest: readonly MadeBend[],
  rollDeg: number,
  goal: Goal,
  unsure: readonly (readonly number[])[],
): number {
  const full = listOf(made);
  const x = full.filter((_, i) => i !== 1);
  const missOf = (y: readonly number[]): readonly number[] =>
    homeWith([...bendsOf([y[0]!, full[1]!, ...y.slice(1)]), ...rest], rollDeg, goal).miss;
  const by = slopes(missOf, x);
  const variance = [0, 1, 2].reduce(
    (sum, axis) =>
      sum +
      by.reduce(
        (total, a, i) =>
          total + by.reduce((row, b, k) => row + a[axis]! * b[axis]! * unsure[i]![k]!, 0),
        0,
      ),
    0,
  );
  return Math.sqrt(Math.max(0, variance));
}
