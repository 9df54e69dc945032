import { mapVec, type Vec3 } from '../../lib/vec/index.ts';
import { derive } from '../../lib/derive/index.ts';
import {
  boxGap,
  boxOf,
  joinBoxes,
  nearestOn,
  segmentGap,
  type Box,
  type Gap,
  type Solid,
} from './distance.ts';
import type { Thing } from './shapes.ts';
import { envelopeOf, solidsOf } from './solids.ts';

/** Triangles that can be asked for their distance; built elsewhere, since it needs a library of its own. */
export interface MeshIndex {
  readonly box: Box;
  readonly triangles: number;
  /** Its triangles, nine numbers each, where they are kept to be drawn. */
  readonly positions?: Float32Array;
  /** The least distance to a segment, in the mesh's own units and frame; null where it is further than `within`. */
  nearest(from: Vec3, to: Vec3, within: number): Gap | null;
}

const loaded = new Map<string, MeshIndex>();
/** Makes a mesh known by the digest of its file. */
export const addMesh = (digest: string, index: MeshIndex): void => void loaded.set(digest, index);
export const meshOf = (digest: string): MeshIndex | undefined => loaded.get(digest);

/** A thing made ready to be measured to. */
export interface Obstacle {
  readonly thing: Thing;
  readonly solids: readonly Solid[];
  readonly boxes: readonly Box[];
  readonly growMm: number;
  /** Of an imported mesh: its triangles; null for one that is not known here, and for all else. */
  readonly mesh: MeshIndex | null;
  /** Round all of it; null for a mesh that is not known here. */
  readonly box: Box | null;
}
const meshOfThing = ({ shape }: Thing): MeshIndex | null =>
  shape.kind === 'mesh' ? (loaded.get(shape.digest) ?? null) : null;

/** What a thing fills, all of its travel counted: its name and its nature do not matter. */
const bodyOf = derive(
  'body of a thing',
  ({ shape, travel }: Thing, mesh: MeshIndex | null) => [shape, travel, mesh],
  (shape, travel, mesh): Omit<Obstacle, 'thing'> => {
    const { solids, growMm } = envelopeOf(solidsOf(shape), travel);
    const boxes = solids.map(boxOf);
    const box =
      shape.kind === 'mesh'
        ? mesh && meshBox(shape, mesh.box)
        : boxes.length
          ? joinBoxes(boxes)
          : null;
    return { solids, boxes, growMm, mesh, box };
  },
);
/** The same thing is made ready once; a mesh anew when it has become known. */
export const obstacleOf = derive(
  'obstacle',
  (thing: Thing) => [thing, bodyOf(thing, meshOfThing(thing))],
  (thing, body): Obstacle => ({ thing, ...body }),
);
const NO_MESH = {};
/** All things of a list made ready, the same list while none of them changes and no mesh of theirs becomes known. */
export const obstaclesOf = derive(
  'obstacles',
  ({ things }: { readonly things: readonly Thing[] }): readonly [readonly Thing[], ...object[]] => [
    things,
    ...things.flatMap((thing) =>
      thing.shape.kind === 'mesh' ? [meshOfThing(thing) ?? NO_MESH] : [],
    ),
  ],
  (things, ..._meshes: object[]): readonly Obstacle[] => things.map((thing) => obstacleOf(thing)),
);

type MeshShape = Extract<Thing['shape'], { kind: 'mesh' }>;
const into = ({ scale, atMm }: MeshShape, p: Vec3): Vec3 =>
  mapVec(p, (v, i) => (v - atMm[i]!) / scale);
const outOf = ({ scale, atMm }: MeshShape, p: Vec3): Vec3 =>
  mapVec(p, (v, i) => v * scale + atMm[i]!);
const meshBox = (shape: MeshShape, { min, max }: Box): Box => ({
  min: outOf(shape, min),
  max: outOf(shape, max),
});

const away = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The least distance from a segment to a thing, its travel counted; null where it is further than `withinMm`. */
export function gapTo(
  { thing, solids, boxes, growMm, mesh, box }: Obstacle,
  from: Vec3,
  to: Vec3,
  withinMm: number,
): Gap | null {
  const reach = withinMm + growMm;
  if (!box || boxGap(box, from, to) > reach) return null;
  const { shape } = thing;
  if (shape.kind === 'mesh') {
    const found = mesh!.nearest(into(shape, from), into(shape, to), withinMm / shape.scale);
    return (
      found && {
        ...found,
        distanceMm: found.distanceMm * shape.scale,
        onLine: outOf(shape, found.onLine),
        onThing: outOf(shape, found.onThing),
      }
    );
  }
  let best: Gap | null = null;
  const middle: Vec3 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (from[2] + to[2]) / 2];
  const half = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]) / 2;
  for (let i = 0; i < solids.length; i++) {
    const limit = best ? best.distanceMm : reach;
    if (boxGap(boxes[i]!, from, to) > limit) continue;
    const solid = solids[i]!;
    // A segment comes no nearer than its middle by more than half its length.
    if (away(middle, nearestOn(solid, middle)) - half > limit) continue;
    const gap = segmentGap(solid, from, to);
    if (gap.distanceMm <= limit) best = gap;
  }
  return best && { ...best, distanceMm: Math.max(0, best.distanceMm - growMm) };
}

/** The least distance from a point to a thing's solids, its travel counted; `withinMm` where it is further. Meshes are asked by `gapTo`. */
export function pointGapMm(
  { solids, boxes, growMm, box }: Obstacle,
  p: Vec3,
  withinMm: number,
): number {
  let least = withinMm + growMm;
  if (!box || boxGap(box, p, p) >= least) return withinMm;
  for (let i = 0; i < solids.length; i++) {
    if (boxGap(boxes[i]!, p, p) >= least) continue;
    const near = nearestOn(solids[i]!, p);
    least = Math.min(least, away(near, p));
  }
  return least - growMm;
}
