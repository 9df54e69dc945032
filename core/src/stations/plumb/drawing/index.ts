import type { Arrangement, BoxToPlace, Px, PxBox, WireToRoute } from './drawn.ts';
import { placeBoxes } from './place-boxes.ts';
import { placeNames, type NamePlace } from './place-names.ts';
import { routeWires } from './route-wires.ts';

export { circuitGraph, drawnPorts, farSide } from './circuit-graph.ts';
export {
  overlap,
  portRoomPx,
  type Arrangement,
  type BoxToPlace,
  type Px,
  type PxBox,
  type WireToRoute,
} from './drawn.ts';

export interface CircuitsToDraw {
  readonly boxes: readonly BoxToPlace[];
  readonly wires: readonly WireToRoute[];
  readonly by: Arrangement;
}
/** A drawing of circuits, px from its upper left corner. */
export interface DrawnCircuits {
  readonly width: number;
  readonly height: number;
  readonly boxes: ReadonlyMap<string, Px>;
  readonly ports: ReadonlyMap<string, Px>;
  readonly wires: ReadonlyMap<string, readonly Px[]>;
  /** Where the names of the wires stand. */
  readonly names: ReadonlyMap<string, NamePlace>;
}

/** A port is drawn as a dot of this size. */
const DOT_PX = 12;

/** Lays circuits out: boxes by the vehicle or by the flow, wires at right angles around them, names beside the wires. */
export function layOutCircuits({ boxes, wires, by }: CircuitsToDraw): DrawnCircuits {
  const placed = placeBoxes(boxes, wires, by);
  const outlines = boxes.map(({ id, width, height }): PxBox => ({
    ...placed.boxes.get(id)!,
    width,
    height,
  }));
  const routed = routeWires(placed, outlines, wires);
  const dots = [...placed.ports.values()].map(({ x, y }) => ({
    x: x - DOT_PX / 2,
    y: y - DOT_PX / 2,
    width: DOT_PX,
    height: DOT_PX,
  }));
  const names = placeNames(wires, routed, [...outlines, ...dots]);
  const corners = [
    ...outlines.flatMap(({ x, y, width, height }) => [
      { x, y },
      { x: x + width, y: y + height },
    ]),
    ...[...routed.values()].flat(),
    ...[...names.values()].map(({ x, y }) => ({ x, y })),
  ];
  const least = (axis: 'x' | 'y'): number => Math.min(0, ...corners.map((p) => p[axis]));
  const most = (axis: 'x' | 'y'): number => Math.max(0, ...corners.map((p) => p[axis]));
  const [left, top] = [least('x'), least('y')];
  const moved = <P extends Px>(p: P): P => ({ ...p, x: p.x - left, y: p.y - top });
  const movedAll = <P extends Px>(all: ReadonlyMap<string, P>): Map<string, P> =>
    new Map([...all].map(([id, p]) => [id, moved(p)]));
  return {
    width: most('x') - left,
    height: most('y') - top,
    boxes: movedAll(placed.boxes),
    ports: movedAll(placed.ports),
    wires: new Map([...routed].map(([id, points]) => [id, points.map(moved)])),
    names: new Map(
      [...names].map(([id, name]) => [id, { ...moved(name), foot: moved(name.foot) }]),
    ),
  };
}
