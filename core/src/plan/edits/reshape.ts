import { figure, InputError } from '../../lib/faults/index.ts';
import type { Thing } from '../../shape/obstacles/index.ts';
import { offset, unbend } from '../../shape/tube/index.ts';
import {
  add,
  addScaled,
  distance,
  dot,
  length,
  nearestTo,
  rotate,
  runsOf,
  scale,
  squareTo,
  sub,
  unit,
  type Vec3,
  tenths,
} from '../../lib/vec/index.ts';
import type { LineView } from '../layout/line-view.ts';

const mm = (value: number): string => `${figure(value, 1)} mm`;

/** Corners of a line without those strictly between two of its nodes. */
export const straightened = (cornersMm: readonly Vec3[], from: number, to: number): Vec3[] =>
  cornersMm.filter((_, i) => i + 1 <= Math.min(from, to) || i + 1 >= Math.max(from, to));

/**
 * Corners of a line that steps aside in the middle of its move `index`, by `riseMm` (a vector across the
 * move) in bends of `bendDeg`. An offset stays there: what follows goes with it, up to the last move,
 * which takes it up. A saddle comes back after `topMm`. Throws InputError where the move is too short.
 */
export function steppedAside(
  view: LineView,
  index: number,
  riseMm: Vec3,
  bendDeg: number,
  topMm: number | null,
): Vec3[] {
  const { nodesMm, bender } = view;
  const [from, to] = [nodesMm[index]!, nodesMm[index + 1]!];
  const along = unit(sub(to, from));
  const across = along && addScaled(riseMm, along, -dot(riseMm, along));
  if (!across || length(across) < 1)
    throw new InputError('riseMm', 'An offset goes across the tube. Use up, down, left or right.');
  const { advanceMm } = offset({ riseMm: length(across), bendDeg, clrMm: bender.dieRadiusMm });
  const wanted = topMm === null ? advanceMm : 2 * advanceMm + topMm;
  const spare = distance(from, to) - wanted;
  if (spare < 4 * bender.dieRadiusMm)
    throw new InputError(
      'riseMm',
      `This offset needs ${mm(wanted + 4 * bender.dieRadiusMm)} of straight, and there is ${mm(distance(from, to))}.`,
    );
  const start = addScaled(from, along, spare / 2);
  const up = add(addScaled(start, along, advanceMm), across);
  if (topMm !== null) {
    const back = addScaled(up, along, topMm);
    const down = sub(addScaled(back, along, advanceMm), across);
    return [
      ...nodesMm.slice(1, index + 1),
      ...[start, up, back, down].map(tenths),
      ...nodesMm.slice(index + 1, -1),
    ];
  }
  return [
    ...nodesMm.slice(1, index + 1),
    tenths(start),
    tenths(up),
    ...nodesMm.slice(index + 1, -1).map((at) => tenths(add(at, across))),
  ];
}

export const RAIL_SIDES = ['left', 'right', 'above', 'below'] as const;
export type RailSide = (typeof RAIL_SIDES)[number];
const SIDE_WAY: Record<RailSide, Vec3> = {
  left: [0, -1, 0],
  right: [0, 1, 0],
  above: [0, 0, 1],
  below: [0, 0, -1],
};

/** Corners of a line that follows a rail at a standoff between two of its nodes: the rail's own stations beside it, and nothing else between. */
export function followed(
  view: LineView,
  from: number,
  to: number,
  rail: Thing,
  side: RailSide,
  standoffMm: number,
): Vec3[] {
  const { shape } = rail;
  if (shape.kind !== 'bar')
    throw new InputError(
      'thingId',
      `${rail.name} is not a rail. A line follows rails and members.`,
    );
  const { nodesMm } = view;
  const axis = side === 'left' || side === 'right' ? 'widthMm' : 'heightMm';
  const off = scale(
    SIDE_WAY[side],
    (shape.section === 'round' ? shape.widthMm : shape[axis]) / 2 + standoffMm + view.tube.odMm / 2,
  );
  const [first, last] = [nodesMm[from]!, nodesMm[to]!];
  // Along the rail, by where each of the two nodes lies beside it.
  const stations = shape.pathMm;
  const [a, b] = [nearestTo(stations, first), nearestTo(stations, last)];
  if (Math.abs(a.runMm - b.runMm) < 1)
    throw new InputError('thingId', `${rail.name} does not run between these corners.`);
  const runs = runsOf(stations);
  const [low, high] = [Math.min(a.runMm, b.runMm) + 1, Math.max(a.runMm, b.runMm) - 1];
  const between = stations.filter((_, i) => runs[i]! > low && runs[i]! < high);
  const path = [a.at, ...(a.runMm < b.runMm ? between : between.reverse()), b.at].map((at) =>
    tenths(add(at, off)),
  );
  return [...nodesMm.slice(1, from + (from ? 1 : 0)), ...path, ...nodesMm.slice(to, -1)];
}

/** One bend of a wire template or an old line, as it is read off it. */
export interface TemplateBend {
  readonly feedMm: number;
  /** Turn of the bend plane from the bend before, clockwise along the tube; the first is 0. */
  readonly rotateDeg: number;
  readonly bendDeg: number;
}
export interface LaidTemplate {
  readonly cornersMm: readonly Vec3[];
  /** From where the template ends to the port that it should end at. */
  readonly misclosureMm: Vec3;
  /** How the template was rolled about its first straight. */
  readonly rollDeg: number;
}

/**
 * A template laid from end A of a line: out of its port, rolled so that it ends as near to end B as it
 * can. `takeUp` is the leg (from 0) that gives way for what is missing: all that follows it is shifted.
 * Throws InputError for a template that cannot be, or a leg it does not have.
 */
export function laidTemplate(
  view: LineView,
  bends: readonly TemplateBend[],
  tailMm: number,
  takeUp: number,
): LaidTemplate {
  const [start, goal, port] = [view.nodesMm[0], view.nodesMm.at(-1), view.ports.a];
  if (!start || !goal || !port)
    throw new InputError(
      'id',
      'A template needs two end positions. Join end A, and enter the position of end B.',
    );
  if (!bends.length) throw new InputError('bends', 'A template needs at least one bend.');
  if (takeUp < 0 || takeUp > bends.length)
    throw new InputError('takeUp', `Choose a leg from 1 to ${bends.length + 1}.`);
  const direction = unit(port.port.direction)!;
  const seed = squareTo(direction);
  const laid = (rollDeg: number): Vec3[] =>
    unbend({
      startMm: start,
      direction,
      normal: rotate(seed, direction, rollDeg),
      clrMm: view.bender.dieRadiusMm,
      bends: bends.map((b, i) => ({ ...b, rotateDeg: i ? b.rotateDeg : 0 })),
      tailMm,
    }).nodesMm;
  const miss = (rollDeg: number): number => distance(laid(rollDeg).at(-1)!, goal);
  // How far it misses is a smooth wave over one turn: the best of a coarse look, then narrowed.
  let [best, step] = [0, 10];
  for (let roll = 0; roll < 360; roll += step) if (miss(roll) < miss(best)) best = roll;
  for (; step > 1e-6; step /= 2)
    for (const roll of [best - step / 2, best + step / 2]) if (miss(roll) < miss(best)) best = roll;
  const nodes = laid(best);
  const misclosureMm = sub(goal, nodes.at(-1)!);
  const cornersMm = nodes
    .slice(1, -1)
    .map((at, i) => tenths(i >= takeUp ? add(at, misclosureMm) : at));
  return { cornersMm, misclosureMm, rollDeg: (best + 360) % 360 };
}

/** A place mirrored to the vehicle's other side. */
export const mirrored = ([x, y, z]: Vec3): Vec3 => [x, y === 0 ? 0 : -y, z];
