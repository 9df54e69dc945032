import {
  NUTS,
  tubeBoreMm,
  TUBES,
  type EndForm,
  type SeatForm,
  type Thread,
} from '../stock/index.ts';
import { basicOf } from '../threads/index.ts';
import { radians } from '../../lib/vec/index.ts';

/** Where on a joint a form seals: at the bottom of the port, on its face, in its chamfer, or in the thread itself. */
export type Zone = 'bottom' | 'face' | 'chamfer' | 'thread';

/**
 * The sealing surface of a half, turned about the axis: x = k·r + c between two radii, x along the axis
 * into the port. `k` is 0 for a flat face, positive where the surface comes forward away from the axis.
 */
export interface Surface {
  readonly zone: Zone;
  readonly k: number;
  readonly rInMm: number;
  readonly rOutMm: number;
}

/** Outside diameter of a finished flare by tube, mm. Source: SAE J533, ISO 4038 (from memory). */
const FLARE_DIAMETER_MM: readonly (readonly [odMm: number, flareMm: number])[] = [
  [4.75, 7.0],
  [6, 8.6],
  [6.35, 9.0],
  [7.94, 10.9],
  [9.53, 12.5],
];
/** Share of a thread's minor diameter that the tube in its nut has, where no nut of that thread is stocked. Common practice. */
const TUBE_SHARE = 0.55;
const WALL_MM = 0.71;

/** Radii of what goes through a thread: the bore, the tube round it and the flare on its end, mm. */
export interface Radii {
  readonly boreMm: number;
  readonly tubeMm: number;
  readonly flareMm: number;
  readonly minorMm: number;
  readonly majorMm: number;
}
export function radiiOf(thread: Thread): Radii {
  const { minorMm, majorMm } = basicOf(thread);
  const nut = NUTS.find((one) => one.thread === thread.name);
  const odMm = nut?.tubeOdMm ?? TUBE_SHARE * minorMm;
  const stock = TUBES.find((tube) => Math.abs(tube.odMm - odMm) <= 0.1);
  const [, flareMm] = FLARE_DIAMETER_MM.find(([od]) => Math.abs(od - odMm) <= 0.1) ?? [
    odMm,
    Math.min(1.45 * odMm, 0.92 * minorMm),
  ];
  return {
    boreMm: (stock ? tubeBoreMm(stock) : odMm - 2 * WALL_MM) / 2,
    tubeMm: odMm / 2,
    flareMm: flareMm / 2,
    minorMm: minorMm / 2,
    majorMm: majorMm / 2,
  };
}

const cot = (deg: number): number => 1 / Math.tan(radians(deg));
/** Half-angles to the axis. Sources: SAE J512 and J533 (45°), ISO 8434-2 and SAE J514 (37°), ISO 4038 (seat 118° across), SAE J1926 (12°); all from memory. */
/** The flare of 45° is drawn down on a seat of 42°, and is of its shape then. */
const K_INVERTED = cot(45);
export const INVERTED_SEAT_DEG = 42;
const K_BUBBLE = -cot(59);
const K_37 = -cot(37);
const K_45 = -cot(45);
const K_CHAMFER = -cot(12);
/** How far the spot face of a port and a sealing washer reach past the thread. Common practice. */
const FACE_MM = 3;

export function surfaceOf(form: EndForm | SeatForm, side: 'end' | 'seat', thread: Thread): Surface {
  const { boreMm, flareMm, minorMm, majorMm } = radiiOf(thread);
  // A seat is a little wider than the flare that comes on it.
  const rOutMm = side === 'seat' ? Math.min(flareMm + 0.3, minorMm) : flareMm;
  const bottom = (k: number): Surface => ({ zone: 'bottom', k, rInMm: boreMm, rOutMm });
  switch (form) {
    case 'double-flare-45':
    case 'inverted-flare-45':
      return bottom(K_INVERTED);
    case 'bubble':
      return bottom(K_BUBBLE);
    case 'cone-45':
    case 'flare-45':
      return bottom(K_45);
    case 'cone-37':
    case 'flare-37':
      return bottom(K_37);
    case 'banjo':
    case 'flat':
    case 'banjo-face':
      return { zone: 'face', k: 0, rInMm: majorMm + 0.4, rOutMm: majorMm + FACE_MM };
    case 'o-ring-boss':
      return { zone: 'chamfer', k: K_CHAMFER, rInMm: majorMm + 0.1, rOutMm: majorMm + 0.6 };
    case 'npt-taper':
    case 'bspt-taper':
      return { zone: 'thread', k: 0, rInMm: minorMm, rOutMm: majorMm };
  }
}
export { FACE_MM };
