export { clearanceTo, stretchesNear, type Clearance, type Points } from './clearance.ts';
export {
  barAxes,
  boxGap,
  boxOf,
  boxRound,
  joinBoxes,
  nearestOn,
  segmentGap,
  segmentShares,
  type Box,
  type Gap,
  type Solid,
} from './distance.ts';
export {
  addMesh,
  gapTo,
  meshOf,
  obstacleOf,
  obstaclesOf,
  pointGapMm,
  type MeshIndex,
  type Obstacle,
} from './obstacles.ts';
export {
  NATURE_NAMES,
  LININGS,
  NATURES,
  SECTIONS,
  THING_KINDS,
  THING_SPECS,
  keptFrom,
  type Nature,
  type Section,
  type Shape,
  type ShapeKind,
  type Hole,
  type Thing,
  type ThingKind,
  type Travel,
} from './shapes.ts';
export {
  carrying,
  envelopeOf,
  solidsOf,
  thingAt,
  type Envelope,
  type ThingPose,
} from './solids.ts';
