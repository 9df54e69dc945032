/** All of a drawing of circuits lies on this grid, px. */
export const GRID_PX = 12;

/** From one port to the next on a side of a box. */
const PORT_PX = 6 * GRID_PX;
const NARROWEST_PX = 14 * GRID_PX;

/** How wide a box is that has as many ports on one side. */
export const boxWidthPx = (ports: number): number =>
  NARROWEST_PX + PORT_PX * Math.max(0, ports - 2);
/** How far a port is from the left edge of its box: the ports of a side stand about its middle. */
export const portOffsetPx = (widthPx: number, i: number, ports: number): number =>
  (widthPx - PORT_PX * (ports - 1)) / 2 + PORT_PX * i;
/** Room for the name of a port, one of as many on its side. */
export const portRoomPx = (widthPx: number, ports: number): number =>
  ports <= 2 ? widthPx / ports : PORT_PX;

export interface DrawnPort {
  readonly id: string;
  /** Side of the box that it is on. */
  readonly face: 'top' | 'bottom';
}
/** What is to be drawn of a part, and where the part is on the vehicle. */
export interface BoxToPlace {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly ports: readonly DrawnPort[];
  readonly aftMm: number;
  readonly rightMm: number;
  /** Of a brake: the side of the vehicle that it is on. */
  readonly corner: 'left' | 'middle' | 'right' | null;
}
export interface WireToRoute {
  readonly id: string;
  readonly name: string;
  /** Ports. */
  readonly from: string;
  readonly to: string;
}
export type Px = { readonly x: number; readonly y: number };
export type PxBox = Px & { readonly width: number; readonly height: number };

/** By the vehicle as it is seen from above, its front on top. By the flow: from the masters down. */
export type Arrangement = 'vehicle' | 'flow';

export const overlap = (a: PxBox, b: PxBox): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
