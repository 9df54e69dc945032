import { derive } from '../../lib/derive/index.ts';
import {
  naturalHz,
  spanForHz,
  stretchesLeft,
  type Beam,
  type Stretch,
} from '../../shape/clips/index.ts';
import {
  boxGap,
  boxRound,
  clearanceTo,
  gapTo,
  keptFrom,
  obstaclesOf,
  stretchesNear,
  type Clearance,
  type Hole,
  type Obstacle,
  type Thing,
} from '../../shape/obstacles/index.ts';
import { polyline, type Piece } from '../../shape/tube/index.ts';
import { addScaled, distance, dot, pointAt, sub, type Vec3 } from '../../lib/vec/index.ts';
import { TUBE_MATTER } from './line-figures.ts';
import type { LineView } from './line-view.ts';
import type { ClipSettings, Line, Plan } from '../model/index.ts';

/** Density of glycol brake fluid, kg/m³. Common practice. */
const FLUID_KG_M3 = 1060;
/** A heat sleeve lets a tube this much nearer to something hot, but never nearer than this. Common practice; the sleeve maker's sheet comes first. */
const SLEEVE_SHARE = 0.4;
export const LEAST_KEPT_MM = 40;
/** How much further than wanted a thing is still worth showing, mm. */
const SHOWN_MM = 40;
/** Past this a clip no longer sits on what holds it: a bracket stands between. Common practice. */
const DIRECT_MM = 25;
/** Clips of two lines this near one another, on lines that run side by side, may be one clip. Common practice. */
const SHARED_MM = 40;

/** A thing that a line comes near to, with how far it should keep from it there. */
export interface Near extends Clearance {
  readonly wantedMm: number;
  /** Of the line, from where to where it is nearer than wanted; null where it keeps far enough. */
  readonly stretchMm: Stretch | null;
}
export interface ClipView {
  readonly atMm: number;
  readonly pointMm: Vec3;
  /** The way the tube runs there. */
  readonly along: Vec3;
  /** What it holds to; null where nothing is within reach. */
  readonly to: Thing | null;
  /** From the tube's surface to what holds it, and where that is; a bracket stands between past a few mm. */
  readonly gapMm: number;
  readonly footMm: Vec3 | null;
  readonly bracket: boolean;
}
export interface SpanView {
  readonly fromMm: number;
  readonly toMm: number;
  readonly lengthMm: number;
  readonly naturalHz: number;
  readonly excitationHz: number;
  readonly end: boolean;
  /** The longest it may be. */
  readonly mostMm: number;
}
/** A line among the things of the vehicle. */
export interface LineSpace {
  /** Its centre line as points, chords at bends. */
  readonly points: readonly Vec3[];
  readonly lengthMm: number;
  readonly near: readonly Near[];
  readonly clips: readonly ClipView[];
  readonly spans: readonly SpanView[];
}

const isEngine = ({ thing }: Obstacle): boolean =>
  thing.kind === 'engine' || thing.kind === 'gearbox';

export function beamOf({ tube }: Pick<LineView, 'tube'>): Beam {
  const { youngGPa, densityKgM3 } = TUBE_MATTER[tube.material];
  return { odMm: tube.odMm, wallMm: tube.wallMm, youngGPa, densityKgM3, fluidKgM3: FLUID_KG_M3 };
}

/** Stretches of a line that lie in a heat sleeve, and those that do not. */
function sleeved(
  sleeves: Line['sleeves'],
  lengthMm: number,
): { bare: Stretch[]; covered: Stretch[] } {
  const covered = sleeves
    .filter((s) => s.kind === 'heat' && s.toMm > s.fromMm)
    .map((s): Stretch => [s.fromMm, Math.min(s.toMm, lengthMm)]);
  return { bare: stretchesLeft(covered, lengthMm), covered };
}

/** A tube as it is laid, with what is on it. */
type Laid = Pick<LineView, 'pieces' | 'tube'> & {
  readonly line: Pick<Line, 'sleeves' | 'clipsMm' | 'shakes'>;
};

/** A line through a hole is near its panel for this much to either side of it, mm. */
const THROUGH_MM = 45;
/** Where a line passes through holes of a thing that it fits. */
export function throughHoles(
  { holes = [] }: Pick<Thing, 'holes'>,
  points: readonly Vec3[],
  odMm: number,
): (Stretch & { readonly hole?: Hole })[] {
  return holes.flatMap((hole) => {
    let [run, best, at] = [0, Infinity, 0];
    for (let i = 1; i < points.length; i++) {
      const [from, to] = [points[i - 1]!, points[i]!];
      const long = distance(from, to);
      const way = sub(to, from);
      const share =
        long > 0 ? Math.min(1, Math.max(0, dot(sub(hole.atMm, from), way) / (long * long))) : 0;
      const off = distance(hole.atMm, addScaled(from, way, share));
      if (off < best) [best, at] = [off, run + share * long];
      run += long;
    }
    return best <= (hole.diameterMm - odMm) / 2
      ? [Object.assign([at - THROUGH_MM, at + THROUGH_MM] as [number, number], { hole })]
      : [];
  });
}

/** The nearest a line comes to each thing that it is not fixed to, where that is worth showing. */
function nearOf(
  view: Laid,
  points: readonly Vec3[],
  lengthMm: number,
  obstacles: readonly Obstacle[],
): Near[] {
  const found: Near[] = [];
  const { min, max } = boxRound(points);
  for (const obstacle of obstacles) {
    const { thing, box, growMm } = obstacle;
    // Things that lie far from all of the line are passed over at once.
    if (!box || boxGap(box, min, max) > keptFrom(thing) + SHOWN_MM + growMm + view.tube.odMm)
      continue;
    const measure = (stretches: readonly Stretch[], wantedMm: number): void => {
      let best: Clearance | null = null;
      for (const [from, to] of stretches) {
        const one = clearanceTo(
          obstacle,
          points,
          view.tube.odMm,
          thing.holds ? wantedMm : wantedMm + SHOWN_MM,
          from,
          to,
        );
        if (one && (!best || one.distanceMm < best.distanceMm)) best = one;
      }
      if (!best) return;
      const { atMm, distanceMm } = best;
      const close =
        distanceMm < wantedMm ? stretchesNear(obstacle, points, view.tube.odMm, wantedMm) : [];
      found.push({
        ...best,
        wantedMm,
        stretchMm: close.find(([from, to]) => atMm >= from - 1 && atMm <= to + 1) ?? null,
      });
    };
    const passed = throughHoles(thing, points, view.tube.odMm);
    if (thing.nature !== 'hot')
      measure(passed.length ? stretchesLeft(passed, lengthMm) : [[0, lengthMm]], thing.keepMm);
    else {
      const { bare, covered } = sleeved(view.line.sleeves, lengthMm);
      const keepMm = keptFrom(thing);
      measure(bare, keepMm);
      measure(covered, Math.min(keepMm, Math.max(LEAST_KEPT_MM, keepMm * SLEEVE_SHARE)));
    }
  }
  return found;
}

function clipView(
  view: Laid,
  points: readonly Vec3[],
  atMm: number,
  holders: readonly Obstacle[],
  reachMm: number,
): ClipView {
  const { at, along } = pointAt(points, atMm);
  let best: Pick<ClipView, 'to' | 'gapMm' | 'footMm'> = { to: null, gapMm: Infinity, footMm: null };
  for (const holder of holders) {
    const gap = gapTo(holder, at, at, Math.min(best.gapMm, reachMm) + view.tube.odMm / 2);
    if (!gap) continue;
    const gapMm = Math.max(0, gap.distanceMm - view.tube.odMm / 2);
    if (gapMm < best.gapMm) best = { to: holder.thing, gapMm, footMm: gap.onThing };
  }
  return { atMm, pointMm: at, along, ...best, bracket: best.to !== null && best.gapMm > DIRECT_MM };
}

/**
 * What shakes a line hardest from one place along it to another, Hz: what the user set down for its
 * stretches, and between those the engine's figure where it runs near, else the frame's.
 */
export function excitationAt(
  { line, tube }: Laid,
  points: readonly Vec3[],
  lengthMm: number,
  obstacles: readonly Obstacle[],
  { nearMm, engineHz, frameHz }: ClipSettings,
): (fromMm: number, toMm: number) => number {
  const left = stretchesLeft(
    line.shakes.map(({ fromMm, toMm }): Stretch => [fromMm, toMm]),
    lengthMm,
  );
  const engine = left.length
    ? obstacles.filter(isEngine).flatMap((one) => stretchesNear(one, points, tube.odMm, nearMm, 50))
    : [];
  const by = [
    ...line.shakes.map(({ fromMm, toMm, hz }) => [fromMm, toMm, hz] as const),
    ...left.flatMap(([from, to]) => [
      [from, to, frameHz] as const,
      ...engine.map(
        ([start, end]) => [Math.max(from, start), Math.min(to, end), engineHz] as const,
      ),
    ]),
  ];
  return (fromMm, toMm) =>
    Math.max(
      0,
      ...by
        .filter(([from, to]) => Math.min(to, toMm) > Math.max(from, fromMm))
        .map(([, , hz]) => hz),
    );
}

function spansOf(
  view: Laid,
  lengthMm: number,
  hzBetween: (fromMm: number, toMm: number) => number,
  { margin, maxSpanMm, endMm }: ClipSettings,
): SpanView[] {
  const beam = beamOf(view);
  const edges = [0, ...view.line.clipsMm.filter((at) => at > 0 && at < lengthMm), lengthMm];
  return edges.slice(1).map((toMm, i): SpanView => {
    const fromMm = edges[i]!;
    const end = i === 0 || i === edges.length - 2;
    const excitationHz = hzBetween(fromMm, toMm);
    const mostMm = Math.min(end ? endMm : maxSpanMm, spanForHz(beam, margin * excitationHz));
    return {
      fromMm,
      toMm,
      lengthMm: toMm - fromMm,
      naturalHz: naturalHz(beam, Math.max(toMm - fromMm, 1)),
      excitationHz,
      end,
      mostMm,
    };
  });
}

/** What of a plan a line's surroundings come from. */
export type Around = Pick<Plan, 'things' | 'clipSettings'>;

const spaceOf = derive(
  'line among things',
  ({ pieces, tube, line }: Laid, obstacles: readonly Obstacle[], holding: ClipSettings) => [
    pieces,
    tube,
    line.sleeves,
    line.clipsMm,
    line.shakes,
    obstacles,
    holding,
  ],
  (pieces, tube, sleeves, clipsMm, shakes, obstacles, holding): LineSpace => {
    const view: Laid = { pieces, tube, line: { sleeves, clipsMm, shakes } };
    const points = pointsOf(pieces);
    const lengthMm = pieces.at(-1)!.endMm;
    const holders = obstacles.filter(({ thing }) => thing.holds);
    return {
      points,
      lengthMm,
      near: nearOf(view, points, lengthMm, obstacles),
      clips: clipsMm.map((atMm) => clipView(view, points, atMm, holders, holding.reachMm)),
      spans: spansOf(
        view,
        lengthMm,
        excitationAt(view, points, lengthMm, obstacles, holding),
        holding,
      ),
    };
  },
);
/** The centre line of a tube as points, chords at its bends. */
export const pointsOf = derive(
  'centre line as points',
  (pieces: readonly Piece[]) => [pieces],
  (pieces): readonly Vec3[] => polyline(pieces, 10),
);
/** What a line is among; null while it has no centre line. The same tube among the same things is computed once. */
export const lineSpace = (plan: Around, view: LineView): LineSpace | null =>
  view.card ? spaceOf(view, obstaclesOf(plan), plan.clipSettings) : null;

/** Lets `lineSpace` know what a line is among where that was computed elsewhere, such as in a worker. */
export const keepSpace = (plan: Around, view: LineView, space: LineSpace): void =>
  spaceOf.put(space, view, obstaclesOf(plan), plan.clipSettings);

/** Clips of other lines that one clip may be one with: near it, on a tube that runs the same way. */
export const sharesWith = (clip: ClipView, others: readonly ClipView[]): ClipView[] =>
  others.filter(
    (other) =>
      distance(other.pointMm, clip.pointMm) <= SHARED_MM &&
      Math.abs(dot(other.along, clip.along)) > 0.95,
  );
