import { derive } from '../../lib/derive/index.ts';
import {
  gapTo,
  obstacleOf,
  thingAt,
  type Obstacle,
  type Thing,
  type Travel,
} from '../../shape/obstacles/index.ts';
import { partOf, posesOf, type Pose } from '../../shape/rod/index.ts';
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

/** A thing as it stands in a pose of its travel. */
export const posedThing = (thing: Thing, pose: Pose): Thing =>
  thingAt(thing, (travel) => ({
    heaveMm: partOf(pose.heave, travel.heaveMm),
    rollDeg: pose.roll * travel.rollDeg,
    lockDeg: pose.lock * travel.lockDeg,
  }));

const posesOfTravel = ({ heaveMm, rollDeg, lockDeg, aboutMm }: Travel) =>
  posesOf({
    kind: 'axle',
    heaveMm,
    rollDeg,
    aboutMm,
    axis: [1, 0, 0],
    measuredAtMm: aboutMm,
    floatMm: 0,
    floatAxis: [0, 1, 0],
    steer: lockDeg > 0 ? { aboutMm, axis: [0, 0, 1] as const, lockDeg: [-lockDeg, lockDeg] } : null,
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
  const others = obstacles.filter((one) => !isCarried(one));
  const worst = new Map<string, Near>();
  const keep = (near: Near): void => {
    // In a heat sleeve another distance is wanted.
    const key = `${near.thing.id} ${near.wantedMm}`;
    const so = worst.get(key);
    if (!so || near.distanceMm < so.distanceMm) worst.set(key, near);
  };
  for (const { name, pose } of posesOfTravel(ridden.travel!)) {
    const carrying = posedThing({ ...ridden, shape: { ...PATH, pathMm: points } }, pose).shape;
    const moved = 'pathMm' in carrying ? carrying.pathMm : points;
    const around = others.map((one) =>
      one.thing.travel ? obstacleOf(posedThing(one.thing, pose)) : one,
    );
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
const PATH = { kind: 'pipe', diameterMm: 1 } as const;
