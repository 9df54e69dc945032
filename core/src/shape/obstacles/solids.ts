import {
  add,
  addScaled,
  distance,
  radians,
  rotate,
  sub,
  unit,
  type Vec3,
} from '../../lib/vec/index.ts';
import { barAxes, type Solid } from './distance.ts';
import type { Shape, Thing, Travel } from './shapes.ts';

const middle = (a: Vec3, b: Vec3): Vec3 => addScaled(a, sub(b, a), 0.5);

/** One straight of a bar: a box or a rod, or the web and two flanges of a channel. */
function barSolids(shape: Extract<Shape, { kind: 'bar' }>, from: Vec3, to: Vec3): Solid[] {
  const along = unit(sub(to, from));
  if (!along) return [];
  const { section, widthMm, heightMm, wallMm, opens } = shape;
  if (section === 'round') return [{ kind: 'rod', from, to, radiusMm: widthMm / 2 }];
  const axes = barAxes(along);
  const long = distance(from, to) / 2;
  const at = (right: number, up: number): Vec3 =>
    addScaled(addScaled(middle(from, to), axes[1], right), axes[2], up);
  const plate = (right: number, up: number, wide: number, high: number): Solid => ({
    kind: 'box',
    center: at(right, up),
    axes,
    half: [long, wide / 2, high / 2],
  });
  if (section === 'box') return [plate(0, 0, widthMm, heightMm)];
  // The level axis may point to either side of the vehicle, as the path runs fore or aft.
  const toRight = axes[1][1] >= 0 ? 1 : -1;
  const web = (opens === 'left' ? 1 : -1) * toRight * ((widthMm - wallMm) / 2);
  const flange = (heightMm - wallMm) / 2;
  return [
    plate(web, 0, wallMm, heightMm),
    plate(0, flange, widthMm, wallMm),
    plate(0, -flange, widthMm, wallMm),
  ];
}

/** A shape as convex solids where it stands; none for a mesh, which is measured by its triangles. */
export function solidsOf(shape: Shape): Solid[] {
  const straights = (pathMm: readonly Vec3[], solids: (from: Vec3, to: Vec3) => Solid[]): Solid[] =>
    pathMm.slice(1).flatMap((to, i) => solids(pathMm[i]!, to));
  switch (shape.kind) {
    case 'bar':
      return straights(shape.pathMm, (from, to) => barSolids(shape, from, to));
    case 'pipe':
      return straights(shape.pathMm, (from, to) => [
        { kind: 'rod', from, to, radiusMm: shape.diameterMm / 2 },
      ]);
    case 'block':
      return [
        {
          kind: 'box',
          center: middle(shape.minMm, shape.maxMm),
          axes: [
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ],
          half: sub(shape.maxMm, middle(shape.minMm, shape.maxMm)),
        },
      ];
    case 'wheel': {
      const axis = unit(shape.axis);
      return axis
        ? [
            {
              kind: 'drum',
              center: shape.centreMm,
              axis,
              radiusMm: shape.radiusMm,
              halfMm: shape.widthMm / 2,
            },
          ]
        : [];
    }
    case 'mesh':
      return [];
  }
}

/** A place of a moving thing's travel: how far up, rolled and turned. */
export interface ThingPose {
  readonly heaveMm: number;
  readonly rollDeg: number;
  readonly lockDeg: number;
}
const ROLL: Vec3 = [1, 0, 0];
const STEER: Vec3 = [0, 0, 1];

/** What a pose of a travel does to directions and to places that go with it. */
export function carrying(
  { aboutMm }: Travel,
  { heaveMm, rollDeg, lockDeg }: ThingPose,
): { readonly turn: (v: Vec3) => Vec3; readonly move: (p: Vec3) => Vec3 } {
  const turn = (v: Vec3): Vec3 => rotate(rotate(v, STEER, lockDeg), ROLL, rollDeg);
  return {
    turn,
    move: (p) => add(addScaled(aboutMm, [0, 0, 1], heaveMm), turn(sub(p, aboutMm))),
  };
}

function posed(solid: Solid, travel: Travel, pose: ThingPose): Solid {
  const { turn, move } = carrying(travel, pose);
  if (solid.kind === 'rod') return { ...solid, from: move(solid.from), to: move(solid.to) };
  if (solid.kind === 'drum')
    return { ...solid, center: move(solid.center), axis: turn(solid.axis) };
  return {
    ...solid,
    center: move(solid.center),
    axes: [turn(solid.axes[0]), turn(solid.axes[1]), turn(solid.axes[2])],
  };
}

/** A moving thing as it stands in one pose of its travel, and no longer moving; a block or a mesh is lifted and not turned. */
export function thingAt(thing: Thing, pose: (travel: Travel) => ThingPose): Thing {
  const { travel, shape } = thing;
  if (!travel) return thing;
  const at = pose(travel);
  const { turn, move } = carrying(travel, at);
  const lift = (p: Vec3): Vec3 => addScaled(p, [0, 0, 1], at.heaveMm);
  const moved = (): Shape => {
    if (shape.kind === 'wheel')
      return { ...shape, centreMm: move(shape.centreMm), axis: turn(shape.axis) };
    if (shape.kind === 'block')
      return { ...shape, minMm: lift(shape.minMm), maxMm: lift(shape.maxMm) };
    if (shape.kind === 'mesh') return { ...shape, atMm: lift(shape.atMm) };
    return { ...shape, pathMm: shape.pathMm.map(move) };
  };
  return { ...thing, shape: moved(), travel: null };
}

/** How far a moving thing may go from one pose to the next, mm: its envelope is grown by half of it, so that nothing is missed between. */
const STEP_MM = 10;
/** Poses of one motion; past this the steps grow and the envelope with them. */
const MOST = 15;

function steps(low: number, high: number, perStep: number): number[] {
  if (high - low < 1e-9) return [low];
  const count = Math.min(MOST, 1 + Math.ceil((high - low) / perStep));
  return Array.from({ length: count }, (_, i) => low + ((high - low) * i) / (count - 1));
}
const furthestMm = (solid: Solid, from: Vec3): number =>
  solid.kind === 'rod'
    ? Math.max(distance(solid.from, from), distance(solid.to, from)) + solid.radiusMm
    : distance(solid.center, from) +
      (solid.kind === 'box' ? Math.hypot(...solid.half) : Math.hypot(solid.radiusMm, solid.halfMm));

export interface Envelope {
  readonly solids: readonly Solid[];
  /** By how much the true envelope may reach past the solids, between one pose and the next. */
  readonly growMm: number;
}

/** All that a moving thing sweeps, as its solids in steps of its travel, the ends of it among them. */
export function envelopeOf(solids: readonly Solid[], travel: Travel | null): Envelope {
  if (!travel) return { solids, growMm: 0 };
  const armMm = Math.max(0, ...solids.map((solid) => furthestMm(solid, travel.aboutMm)));
  const perDeg = Math.max(armMm * radians(1), 1e-9);
  const [heaves, rolls, locks] = [
    steps(travel.heaveMm[0], travel.heaveMm[1], STEP_MM),
    steps(-travel.rollDeg, travel.rollDeg, STEP_MM / perDeg),
    steps(-travel.lockDeg, travel.lockDeg, STEP_MM / perDeg),
  ];
  const stepOf = (values: readonly number[], mmPer: number): number =>
    values.length > 1 ? (values[1]! - values[0]!) * mmPer : 0;
  const growMm = (stepOf(heaves, 1) + stepOf(rolls, perDeg) + stepOf(locks, perDeg)) / 2;
  const poses = heaves.flatMap((heaveMm) =>
    rolls.flatMap((rollDeg) => locks.map((lockDeg) => ({ heaveMm, rollDeg, lockDeg }))),
  );
  return {
    solids: poses.flatMap((pose) => solids.map((solid) => posed(solid, travel, pose))),
    growMm,
  };
}
