import { posedThing } from '@firm-line/core/plan';
import { clampAt, type HoseState, type HoseView } from '@firm-line/core/stations/route';
import type { Thing } from '@firm-line/core/shape/obstacles';
import { judge, mover, type Pose, type Settled } from '@firm-line/core/shape/rod';
import { addScaled, distance, type Vec3 } from '@firm-line/core/lib/vec';

/** How a hose hung last, so that the next pose is followed from there. */
export interface Held {
  readonly view: HoseView;
  readonly rods: readonly Settled[];
}

/** The hose as it hangs in a pose: one that is known already, or worked out from how it hung before. */
export function hangIn(
  view: HoseView,
  pose: Pose,
  before: readonly Settled[] | null,
): HoseState | null {
  if (!view.states.length) return null;
  const known = view.states.find((state) =>
    (Object.keys(pose) as (keyof Pose)[]).every((key) => state.pose[key] === pose[key]),
  );
  if (known) return known;
  const clampB = clampAt(view.hose.motion, view.ends.b, pose);
  if (!clampB) return null;
  const { verdict, chordMm, shape, rods } = judge(
    view.freeMm,
    view.ends.a.clamp,
    clampB,
    view.stock.minRadiusMm,
    before ?? view.states[0]!.rods,
  );
  return {
    name: 'this position',
    pose,
    cell: [0, 0],
    verdict,
    chordMm,
    shape,
    rods,
    clampB,
    minRadiusMm: shape?.minRadiusMm ?? null,
    slackMm: view.freeMm - chordMm,
    near: null,
    hot: null,
  };
}

/** Moving things within this distance of the hose end are drawn in the current pose, mm. */
const NEAR_MM = 700;
/** Both fittings from their seats to the hose, the second one moved with its end. */
export function fittingsOf({ ends, fittings, hose }: HoseView, pose: Pose): Vec3[][] {
  const moved = mover(hose.motion, pose);
  const way = (end: 'a' | 'b'): Vec3[] => [
    ends[end].seatMm,
    addScaled(ends[end].seatMm, ends[end].thread, fittings[end].stemMm),
    ends[end].clamp.pointMm,
  ];
  return [way('a'), moved ? way('b').map(moved.place) : []].filter((points) => points.length);
}
function isNear({ shape }: Thing, at: Vec3): boolean {
  if (shape.kind === 'wheel') return distance(shape.centreMm, at) < NEAR_MM;
  return shape.kind === 'bar' && shape.pathMm.some((p) => distance(p, at) < NEAR_MM);
}
/** Moving things near the hose end, placed for a pose. */
export const movingBy = ({ ends }: HoseView, pose: Pose, things: readonly Thing[]): Thing[] =>
  things
    .filter((thing) => thing.travel && isNear(thing, ends.b.seatMm))
    .map((thing) => posedThing(thing, pose));
/** Room round a place, so that a picture brought to it shows what is about it. */
export const around = (p: Vec3): Vec3[] => [
  [p[0] - 120, p[1] - 120, p[2] - 80],
  [p[0] + 120, p[1] + 120, p[2] + 80],
];
