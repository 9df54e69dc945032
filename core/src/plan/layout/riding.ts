import { derive } from '../../lib/derive/index.ts';
import {
  carrying,
  gapTo,
  obstacleOf,
  obstaclesOf,
  thingAt,
  type Obstacle,
  type Thing,
  type ThingPose,
  type Travel,
} from '../../shape/obstacles/index.ts';
import { partOf, posesOf, STILL, type Pose } from '../../shape/rod/index.ts';
import { add, pointAt, sub, type Vec3 } from '../../lib/vec/index.ts';
import { nearOf, type Laid, type Near } from './clip-view.ts';

/** How near a port must lie to a thing to be mounted on it, mm. Common practice. */
const ON_MM = 30;
/** A wheel whose middle lies this near to an axle or an arm is carried by it, mm. Common practice. */
const CARRIED_MM = 200;

const still = (thing: Thing): Obstacle => obstacleOf({ ...thing, travel: null });
const standing = derive(
  'things standing still',
  (obstacles: readonly Obstacle[]) => [obstacles],
  (obstacles) => obstacles.map(({ thing }) => still(thing)),
);
/** Ids of the things that each end of a line is mounted on, as they stand. */
export const mountedOn = derive(
  'mounted on',
  (nodesMm: readonly Vec3[], obstacles: readonly Obstacle[]) => [nodesMm, obstacles],
  (nodesMm, obstacles): readonly [ReadonlySet<string>, ReadonlySet<string>] => {
    const on = (at: Vec3 | undefined): ReadonlySet<string> =>
      new Set(
        at ? standing(obstacles).flatMap((o) => (gapTo(o, at, at, ON_MM) ? [o.thing.id] : [])) : [],
      );
    return [on(nodesMm[0]), on(nodesMm.at(-1))];
  },
);

const placeIn = ({ heave, roll, lock }: Pose, travel: Travel): ThingPose => ({
  heaveMm: partOf(heave, travel.heaveMm),
  rollDeg: roll * travel.rollDeg,
  lockDeg: lock * travel.lockDeg,
});
/** A thing where one pose of its travel puts it. */
export const posedThing = (thing: Thing, pose: Pose): Thing =>
  thingAt(thing, (travel) => placeIn(pose, travel));

/** Poses in which the things of a vehicle are kept ready. */
export const MOST_POSES = 120;
const posed = derive(
  'things in a pose',
  // Floating of a caliper moves nothing but the caliper.
  (obstacles: readonly Obstacle[], { heave, lock, roll }: Pose) => [obstacles, heave, lock, roll],
  (obstacles, heave, lock, roll): readonly Obstacle[] =>
    obstacles.map((one) =>
      one.thing.travel ? obstacleOf(posedThing(one.thing, { heave, lock, roll, float: 0 })) : one,
    ),
  MOST_POSES,
);
/** Things where a pose puts them, ready to be measured to: made once for all lines, hoses and lengths. */
export const inPose = (things: readonly Thing[], pose: Pose): readonly Obstacle[] =>
  posed(obstaclesOf({ things }), pose);

const posesOfTravel = ({ heaveMm, rollDeg, lockDeg, aboutMm }: Travel) =>
  posesOf({
    ...STILL,
    kind: 'axle',
    heaveMm,
    rollDeg,
    aboutMm,
    steer: lockDeg > 0 ? { aboutMm, axis: [0, 0, 1], lockDeg: [-lockDeg, lockDeg] } : null,
  });

/** The moving thing that both ends of a line are mounted on; null where there is none. */
function riddenBy(points: readonly Vec3[], obstacles: readonly Obstacle[]): Thing | null {
  if (!obstacles.some(({ thing }) => thing.travel)) return null;
  const [a, b] = mountedOn(points, obstacles);
  const ridden = obstacles.find(({ thing }) => thing.travel && a.has(thing.id) && b.has(thing.id));
  return ridden?.thing ?? null;
}

/** Of what a thing carries, the travel that it has of its own. */
const ownTravel = (thing: Thing): Obstacle =>
  thing.travel?.lockDeg
    ? obstacleOf({ ...thing, travel: { ...thing.travel, heaveMm: [0, 0], rollDeg: 0 } })
    : still(thing);

/**
 * The nearest a line comes to each thing, as `nearOf`: one that is mounted on an axle or an arm goes through its travel
 * with it, and everything else stands as it does in the same state.
 */
export function nearThroughTravel(
  view: Laid,
  points: readonly Vec3[],
  lengthMm: number,
  obstacles: readonly Obstacle[],
): Near[] {
  const ridden = riddenBy(points, obstacles);
  if (!ridden) return nearOf(view, points, lengthMm, obstacles);
  const body = still(ridden);
  const isCarried = ({ thing }: Obstacle): boolean =>
    thing === ridden ||
    (thing.shape.kind === 'wheel' &&
      gapTo(body, thing.shape.centreMm, thing.shape.centreMm, CARRIED_MM) !== null);
  const carried = obstacles.filter(isCarried).map(({ thing }) => ownTravel(thing));
  const worst = new Map<string, Near>();
  const keep = (near: Near): void => {
    // In a heat sleeve another distance is wanted.
    const key = `${near.thing.id} ${near.wantedMm}`;
    const so = worst.get(key);
    if (!so || near.distanceMm < so.distanceMm) worst.set(key, near);
  };
  const travel = ridden.travel!;
  for (const { name, pose } of posesOfTravel(travel)) {
    const moved = points.map(carrying(travel, placeIn(pose, travel)).move);
    const around = posed(obstacles, pose).filter((_, i) => !isCarried(obstacles[i]!));
    for (const near of nearOf(view, moved, lengthMm, around)) {
      // Told as it lies on the line that is drawn, which stands at ride.
      const back = sub(pointAt(points, near.atMm).at, pointAt(moved, near.atMm).at);
      keep({
        ...near,
        thing: obstacles.find(({ thing }) => thing.id === near.thing.id)!.thing,
        onLine: add(near.onLine, back),
        onThing: add(near.onThing, back),
        state: name,
      });
    }
  }
  for (const near of nearOf(view, points, lengthMm, carried)) keep(near);
  return [...worst.values()];
}
