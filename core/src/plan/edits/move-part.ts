import { mapVec, add, rotate, sub, type Vec3, tenths } from '../../lib/vec/index.ts';
import type { Shape } from '../../shape/obstacles/index.ts';
import { layPlan } from '../layout/laid-plan.ts';
import type { Plan, PositionSource } from '../model/index.ts';
import { linesFollow } from './follow.ts';
import { changeRecord } from './records.ts';

/** Which way a part is turned, a quarter at a time: about the line fore and aft, across, or upright. */
export type TurnAxis = 'fore' | 'across' | 'upright';
const AXES: Record<TurnAxis, Vec3> = { fore: [1, 0, 0], across: [0, 1, 0], upright: [0, 0, 1] };

/** A shape under a move of whole quarters. */
function movedShape(
  shape: Shape,
  place: (at: Vec3) => Vec3,
  way: (direction: Vec3) => Vec3,
): Shape {
  if (shape.kind === 'block') {
    const [a, b] = [place(shape.minMm), place(shape.maxMm)];
    const each = (of: typeof Math.min): Vec3 => mapVec(a, (v, i) => of(v, b[i]!));
    return { ...shape, minMm: tenths(each(Math.min)), maxMm: tenths(each(Math.max)) };
  }
  if (shape.kind === 'pipe' || shape.kind === 'bar')
    return { ...shape, pathMm: shape.pathMm.map((at) => tenths(place(at))) };
  if (shape.kind === 'wheel')
    return { ...shape, centreMm: tenths(place(shape.centreMm)), axis: way(shape.axis) };
  return { ...shape, atMm: tenths(place(shape.atMm)) };
}

/**
 * A part moved, or turned by quarters about its first port, with its ports, its body and the lines there. A port whose
 * place was taped is a guess afterwards: its tapes were read to where it was.
 */
export function movePart(
  plan: Plan,
  {
    id,
    byMm,
    turn = null,
    quarters = 0,
  }: { id: string; byMm: Vec3; turn?: TurnAxis | null; quarters?: number },
): Plan {
  const { ports } = layPlan(plan);
  const pivot = ports.get(plan.parts.find((part) => part.id === id)?.ports[0]?.id ?? '')?.fixed
    .atMm ?? [0, 0, 0];
  const way = (direction: Vec3): Vec3 =>
    turn
      ? mapVec(rotate(direction, AXES[turn], 90 * quarters), (v) => (Math.abs(v) < 1e-12 ? 0 : v))
      : direction;
  const place = (at: Vec3): Vec3 => add(add(pivot, way(sub(at, pivot))), byMm);
  const known = (portId: string, was: PositionSource): PositionSource => {
    const { fixed } = ports.get(portId)!;
    const how = was.how === 'taped' ? 'guessed' : was.how;
    return { how, atMm: tenths(place(fixed.atMm)), sigmaMm: fixed.sigmaMm };
  };
  const moved = changeRecord(plan, 'part', id, (part) => ({
    ...part,
    ports: part.ports.map((port) => ({
      ...port,
      direction: way(port.direction),
      known: known(port.id, port.known),
    })),
  }));
  const things = moved.things.map((one) =>
    one.partId === id ? { ...one, shape: movedShape(one.shape, place, way) } : one,
  );
  return linesFollow(plan, {
    ...moved,
    things: things.some((one, i) => one !== moved.things[i]) ? things : moved.things,
  });
}
