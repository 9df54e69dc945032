import { stretchesLeft, type Stretch } from '../../shape/clips/index.ts';
import {
  boxGap,
  boxRound,
  clearanceTo,
  gapTo,
  keptFrom,
  stretchesNear,
  type Clearance,
  type Hole,
  type Obstacle,
  type Thing,
} from '../../shape/obstacles/index.ts';
import { addScaled, distance, dot, pointAt, sub, type Vec3 } from '../../lib/vec/index.ts';
import type { LineView } from './line-view.ts';
import type { Line } from '../model/index.ts';

/** Density of glycol brake fluid, kg/m³. Common practice. */
export const FLUID_KG_M3 = 1060;
/** A heat sleeve lets a tube this much nearer to something hot, but never nearer than this. Common practice; the sleeve maker's sheet comes first. */
const SLEEVE_SHARE = 0.4;
export const LEAST_KEPT_MM = 40;
/** How much further than wanted a thing is still worth showing, mm. */
const SHOWN_MM = 40;
/** Past this a clip no longer sits on what holds it: a bracket stands between. Common practice. */
const DIRECT_MM = 25;

/** A thing that a line comes near to, with how far it should keep from it there. */
export interface Near extends Clearance {
  readonly wantedMm: number;
  /** Of the line, from where to where it is nearer than wanted; null where it keeps far enough. */
  readonly stretchMm: Stretch | null;
  /** Of a line that is mounted on what moves, the state of its travel in which this is so. */
  readonly state?: string;
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

export const isEngine = ({ thing }: Obstacle): boolean =>
  thing.kind === 'engine' || thing.kind === 'gearbox';

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
export type Laid = Pick<LineView, 'pieces' | 'tube'> & {
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
export function nearOf(
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

export function clipView(
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
