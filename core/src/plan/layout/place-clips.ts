import { clips, spanForHz, stretchesLeft, type Stretch } from '../../shape/clips/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { stretchesNear, type Obstacle } from '../../shape/obstacles/index.ts';
import { polyline } from '../../shape/tube/index.ts';
import { dot, sub, unit, type Vec3 } from '../../lib/vec/index.ts';
import { toolingOf, type LineView } from './line-view.ts';
import { beamOf, excitationAt } from './space.ts';
import { obstaclesOf } from '../../shape/obstacles/index.ts';
import type { Plan } from '../model/index.ts';

/** How finely a tube is felt along for something to hold to, mm. */
const STEP_MM = 10;
/** Tube longer than this must not be able to slide through its clips, mm. Common practice. */
export const SLIDES_MM = 1000;
/** Clips in planes this near to parallel let it slide; 10° is what a clip's rubber gives. */
const ALIKE = Math.cos((10 * Math.PI) / 180);

/** Room a clip wants beside a bend or a nut, mm along the tube. Common practice. */
const BESIDE_MM = 8;

/** What of a plan says how its lines are held. */
export type Held = Pick<Plan, 'things' | 'clipSettings' | 'bench'>;

/** Stretches where no clip can sit: bends, nuts, and where nothing is near enough to hold to. */
function closedTo(
  view: LineView,
  points: readonly Vec3[],
  lengthMm: number,
  plan: Held,
  holders: readonly Obstacle[],
): Stretch[] {
  const nut = (end: 'a' | 'b'): number =>
    toolingOf(view.line.ends[end], plan.bench).nutLengthMm + BESIDE_MM;
  const bends = view.pieces.flatMap((piece): Stretch[] =>
    piece.kind === 'arc' ? [[piece.startMm - BESIDE_MM, piece.endMm + BESIDE_MM]] : [],
  );
  const held = holders.flatMap((holder) =>
    stretchesNear(holder, points, view.tube.odMm, plan.clipSettings.reachMm - STEP_MM, STEP_MM),
  );
  // With nothing on the vehicle to hold to, clips are placed all the same: what they hold to is then an open point.
  return [
    [0, nut('a')],
    ...bends,
    ...(holders.length ? stretchesLeft(held, lengthMm) : []),
    [lengthMm - nut('b'), lengthMm],
  ];
}

/** Clips that the looser limit of the stretch they stand on does not need are left out, one after another. */
function thinned(
  places: readonly number[],
  mostMm: (fromMm: number, toMm: number) => number,
): number[] {
  const kept = [...places];
  for (let i = kept.length - 2; i > 0; i--) {
    const [before, after] = [kept[i - 1]!, kept[i + 1]!];
    if (after - before <= mostMm(before, after)) kept.splice(i, 1);
  }
  return kept;
}

/** True where clips along these directions let a long tube slide. */
export const oneWay = (alongs: readonly Vec3[], lengthMm: number): boolean =>
  lengthMm > SLIDES_MM &&
  alongs.length > 1 &&
  alongs.every((along) => Math.abs(dot(along, alongs[0]!)) > ALIKE);

/** Clips that all stand in one plane get one more, on the longest straight that runs another way and has room for it. */
function crossed(
  places: number[],
  view: LineView,
  open: readonly Stretch[],
  lengthMm: number,
): number[] {
  const straights = view.pieces.flatMap((piece) =>
    piece.kind === 'straight' && piece.endMm > piece.startMm
      ? [{ ...piece, along: unit(sub(piece.to, piece.from))! }]
      : [],
  );
  const at = (mm: number): Vec3 => straights.find(({ endMm }) => mm <= endMm)!.along;
  if (!oneWay(places.map(at), lengthMm)) return places;
  const room = straights
    .filter(({ along }) => Math.abs(dot(along, at(places[0]!))) <= ALIKE)
    .flatMap(({ startMm, endMm }) =>
      open.map(([from, to]): Stretch => [Math.max(from, startMm), Math.min(to, endMm)]),
    )
    .filter(([from, to]) => to > from)
    .sort((a, b) => b[1] - b[0] - (a[1] - a[0]))[0];
  return room ? [...places, (room[0] + room[1]) / 2].sort((a, b) => a - b) : places;
}

/**
 * Where this line wants its clips: the fewest that keep every span short and out of tune, each near
 * something to hold to and none on a bend or a nut. Each stretch keeps to what shakes it there.
 * Throws InputError where no clips can do it.
 */
export function placeClips(plan: Held, view: LineView): number[] {
  if (!view.card)
    throw new InputError(view.line.id, 'A line needs a possible shape before clips can be placed.');
  const { clipSettings: holding } = plan;
  const obstacles = obstaclesOf(plan);
  const points = polyline(view.pieces, 10);
  const lengthMm = view.pieces.at(-1)!.endMm;
  const hzBetween = excitationAt(view, points, lengthMm, obstacles, holding);
  const closed = closedTo(
    view,
    points,
    lengthMm,
    plan,
    obstacles.filter(({ thing }) => thing.holds),
  );
  // Where nut and first bend leave the first clip no place within the end's limit, it sits as near as it can.
  const open = stretchesLeft(closed, lengthMm);
  const endMm = Math.max(
    holding.endMm,
    open[0]?.[0] ?? 0,
    lengthMm - (open.at(-1)?.[1] ?? lengthMm),
  );
  const excitationHz = hzBetween(0, lengthMm);
  const { margin, maxSpanMm } = holding;
  const { positionsMm } = clips({
    ...beamOf(view),
    lengthMm,
    excitationHz,
    margin,
    maxSpanMm,
    endMm,
    forbiddenMm: closed,
  });
  const kept = thinned(positionsMm, (from, to) =>
    Math.min(maxSpanMm, spanForHz(beamOf(view), margin * hzBetween(from, to))),
  );
  return crossed(kept, view, open, lengthMm);
}
