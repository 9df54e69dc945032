import { derive } from '../../lib/derive/index.ts';
import { clearanceTo, keptFrom, type Obstacle, type Thing } from '../../shape/obstacles/index.ts';
import {
  judge,
  mover,
  posesOf,
  type Clamp,
  type HoseVerdict,
  type Motion,
  type NamedPose,
  type Pose,
  type Settled,
  type Shape,
} from '../../shape/rod/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { inPose, MOST_POSES, type HoseEnd, type PortView } from '../../plan/index.ts';
import { hoseFittingById, type HoseStock } from '../../trade/stock/index.ts';
import { neighbor } from './neighbor.ts';
import {
  addScaled,
  radians,
  rotate,
  scale,
  squareTo,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';

/** How near to a thing is still worth saying, mm. */
const SHOWN_MM = 60;
/** So much of a hose next to its fittings may lie on what these are mounted on. Common practice. */
const SPARED_MM = 35;

/** A hose's end as it stands at ride: its seat, and where and which way the hose leaves it. */
export interface EndPlace {
  readonly seatMm: Vec3;
  readonly thread: Vec3;
  readonly clamp: Clamp;
}
export interface HoseNear {
  readonly thing: Thing;
  readonly distanceMm: number;
  readonly wantedMm: number;
}
/** A hose in one pose of its travel. */
export interface HoseState extends NamedPose {
  readonly verdict: HoseVerdict;
  readonly minRadiusMm: number | null;
  readonly chordMm: number;
  readonly slackMm: number;
  readonly shape: Shape | null;
  readonly rods: readonly Settled[];
  readonly clampB: Clamp;
  /** What it comes nearest to touching, and what heats it most; null where nothing is near. */
  readonly near: HoseNear | null;
  readonly hot: HoseNear | null;
}

/** Where an end of a hose stands. */
export function placeEnd(end: HoseEnd, ports: ReadonlyMap<string, PortView>): EndPlace {
  const at = ports.get(end.portId ?? '');
  return seatOf(end, at?.fixed.atMm, at?.port.direction);
}
/** The same from its port's place and direction; without a port the end's own count. */
export function seatOf(end: Hung, portAt?: Vec3, portWay?: Vec3): EndPlace {
  const seatMm = portAt ?? end.atMm;
  const own = unit(portWay ?? end.direction)!;
  const thread = portAt && end.through ? scale(own, -1) : own;
  const { stemMm, legMm, bendDeg } = hoseFittingById(end.fittingId)!;
  const side = rotate(squareTo(thread), thread, end.turnDeg);
  const bend = radians(bendDeg);
  const direction = addScaled(scale(thread, Math.cos(bend)), side, Math.sin(bend));
  const pointMm = addScaled(addScaled(seatMm, thread, stemMm), direction, legMm);
  return { seatMm, thread, clamp: { pointMm, direction } };
}

/** End B's clamp in a pose of its travel; null where its arm cannot go that far. */
export function clampAt(motion: Motion, { clamp }: EndPlace, pose: Pose): Clamp | null {
  const moved = mover(motion, pose);
  return (
    moved && { pointMm: moved.place(clamp.pointMm), direction: moved.direction(clamp.direction) }
  );
}

interface Around {
  /** Heat is no matter of length: it is told apart from what a hose touches. */
  readonly hot: readonly Obstacle[];
  readonly cold: readonly Obstacle[];
}
const isHot = ({ thing }: Obstacle): boolean => thing.nature === 'hot';
const sorted = derive(
  'things by heat',
  (obstacles: readonly Obstacle[]) => [obstacles],
  (obstacles): Around => ({
    hot: obstacles.filter(isHot),
    cold: obstacles.filter((one) => !isHot(one)),
  }),
  MOST_POSES,
);
const thingsAt = (things: readonly Thing[], pose: Pose): Around => sorted(inPose(things, pose));

/** What a hose comes nearest to, against what is wanted there; what its ends stand on spared near them. */
function nearest(obstacles: readonly Obstacle[], shape: Shape, odMm: number): HoseNear | null {
  let best: HoseNear | null = null;
  for (const obstacle of obstacles) {
    const { thing } = obstacle;
    const gap = clearanceTo(
      obstacle,
      shape.pointsMm,
      odMm,
      keptFrom(thing) + SHOWN_MM,
      SPARED_MM,
      shape.lengthMm - SPARED_MM,
    );
    if (!gap) continue;
    const wantedMm = thing.holds ? 0 : keptFrom(thing);
    if (!best || gap.distanceMm - wantedMm < best.distanceMm - best.wantedMm)
      best = { thing, distanceMm: gap.distanceMm, wantedMm };
  }
  return best;
}

/**
 * A hose of a free length through its travel: found all round at ride, then from state to state, each
 * time with a few other starts besides, so that no state keeps a shape that it would jump out of. Ends
 * early after a state that is `enough`. `things` null: nothing is measured to. Throws InputError where
 * a shape does not come to rest or the arm does not reach.
 */
export function sweep(
  motion: Motion,
  a: Clamp,
  b: EndPlace,
  lengthMm: number,
  stock: HoseStock,
  things: readonly Thing[] | null,
  enough: (state: HoseState) => boolean = () => false,
): HoseState[] {
  const states: HoseState[] = [];
  for (const named of posesOf(motion)) {
    const moved = mover(motion, named.pose);
    if (!moved)
      throw new InputError(
        'motion',
        `The arm is too short for ${named.name}: check the travel and the pivot axis.`,
      );
    const clampB = {
      pointMm: moved.place(b.clamp.pointMm),
      direction: moved.direction(b.clamp.direction),
    };
    const { verdict, chordMm, shape, rods } = judge(
      lengthMm,
      a,
      clampB,
      stock.minRadiusMm,
      neighbor(states, named.pose)?.rods,
      named.name,
      true,
    );
    const beside = shape && things && thingsAt(things, named.pose);
    states.push({
      ...named,
      verdict,
      chordMm,
      shape,
      rods,
      clampB,
      minRadiusMm: shape?.minRadiusMm ?? null,
      slackMm: lengthMm - chordMm,
      near: beside && nearest(beside.cold, shape, stock.odMm),
      hot: beside && nearest(beside.hot, shape, stock.odMm),
    });
    if (enough(states.at(-1)!)) break;
  }
  return states;
}
export const HANG = ['fittingId', 'turnDeg', 'through', 'atMm', 'direction'] as const;
/** What of an end says how the hose hangs: not what it screws in with, nor what was done to that joint. */
export type Hung = Pick<HoseEnd, (typeof HANG)[number]>;
