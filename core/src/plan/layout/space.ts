import { derive } from '../../lib/derive/index.ts';
import {
  naturalHz,
  spanForHz,
  stretchesLeft,
  type Beam,
  type Stretch,
} from '../../shape/clips/index.ts';
import { obstaclesOf, stretchesNear, type Obstacle } from '../../shape/obstacles/index.ts';
import { polyline, type Piece } from '../../shape/tube/index.ts';
import { distance, dot, type Vec3 } from '../../lib/vec/index.ts';
import { TUBE_MATTER } from './line-figures.ts';
import type { LineView } from './line-view.ts';
import type { ClipSettings, Plan } from '../model/index.ts';
import {
  type Near,
  type ClipView,
  FLUID_KG_M3,
  type Laid,
  isEngine,
  clipView,
} from './clip-view.ts';
import { nearThroughTravel } from './riding.ts';

/** Clips of two lines this near one another, on lines that run side by side, may be one clip. Common practice. */
const SHARED_MM = 40;
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
  /** Its center line as points, chords at bends. */
  readonly points: readonly Vec3[];
  readonly lengthMm: number;
  readonly near: readonly Near[];
  readonly clips: readonly ClipView[];
  readonly spans: readonly SpanView[];
}

export function beamOf({ tube }: Pick<LineView, 'tube'>): Beam {
  const { youngGPa, densityKgM3 } = TUBE_MATTER[tube.material];
  return { odMm: tube.odMm, wallMm: tube.wallMm, youngGPa, densityKgM3, fluidKgM3: FLUID_KG_M3 };
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
      near: nearThroughTravel(view, points, lengthMm, obstacles),
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
/** The center line of a tube as points, chords at its bends. */
export const pointsOf = derive(
  'center line as points',
  (pieces: readonly Piece[]) => [pieces],
  (pieces): readonly Vec3[] => polyline(pieces, 10),
);
/** What a line is among; null while it has no center line. The same tube among the same things is computed once. */
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
