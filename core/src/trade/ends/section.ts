import { threadByName, type FemaleHalf, type MaleHalf, type Thread } from '../stock/index.ts';
import { basicOf, fit } from '../threads/index.ts';
import { degrees } from '../../lib/vec/index.ts';
import { touch, type Touch } from './contact.ts';
import { INVERTED_SEAT_DEG, surfaceOf, type Surface } from './surface.ts';
import {
  type Piece,
  type XR,
  taperAt,
  at,
  PORT_DIAMETERS,
  femalePieces,
  malePieces,
  NUT_DIAMETERS,
} from './section-pieces.ts';

export interface Section {
  /** The port's mouth is at x = 0. */
  readonly female: readonly Piece[];
  /** Drawn where the surfaces would meet. */
  readonly male: readonly Piece[];
  /** How far short of meeting the thread lets the male come, mm. */
  readonly shortMm: number;
  readonly touch: Touch;
  /** The touching surface as a line in the section, where there is one. */
  readonly contactLine: readonly [XR, XR] | null;
  /** How steep each surface stands to the axis, degrees; null for a face and for a thread. */
  readonly endDeg: number | null;
  readonly seatDeg: number | null;
}

const steepDeg = ({ k }: Surface): number | null =>
  k === 0 ? null : degrees(Math.atan(1 / Math.abs(k)));

/** How far short of home the thread stops the male: nothing where it holds, the whole way where it does not start. */
function shortOf(male: Thread, female: Thread, wayMm: number): number {
  const { starts, samePitch, overlap, turnsToBind } = fit(male, female);
  if (!starts) return overlap <= 0 ? 0 : wayMm;
  if (samePitch || turnsToBind === null) return 0;
  return Math.max(0, wayMm - turnsToBind * male.pitchMm);
}

function lineOf(
  { contact }: Touch,
  seat: Surface,
  bottomMm: number,
  female: Thread,
): readonly [XR, XR] | null {
  if (!contact) return null;
  if (contact.zone === 'thread') {
    const r = basicOf(female).pitchDiameterMm / 2;
    const grow = taperAt(female);
    return [
      [contact.fromMm, r + grow(contact.fromMm)],
      [contact.toMm, r + grow(contact.toMm)],
    ];
  }
  const x = (r: number): number =>
    contact.zone === 'bottom'
      ? at(seat, r, bottomMm)
      : seat.k === 0
        ? 0
        : (r - seat.rOutMm) * seat.k;
  return [
    [x(contact.fromMm), contact.fromMm],
    [x(contact.toMm), contact.toMm],
  ];
}

/** Two halves of a joint cut through along their axis, to scale, from the standards' angles and diameters. */
export function section(male: MaleHalf, female: FemaleHalf): Section {
  const [m, f] = [threadByName(male.thread)!, threadByName(female.thread)!];
  const touched = touch(male, female);
  const [end, seat] = [surfaceOf(male.end, 'end', m), surfaceOf(female.seat, 'seat', f)];
  // Deep enough that a raised seat does not stand in the thread.
  const bottomMm =
    PORT_DIAMETERS * f.dMm +
    (seat.zone === 'bottom' && seat.k > 0 ? 0.6 : 1.2) -
    Math.min(0, seat.k) * (seat.rOutMm - seat.rInMm);
  // Where both end at the bottom, the male goes until the first radii meet; else until its collar stands on the face.
  const meets = Math.max(end.rInMm, seat.rInMm);
  const parts = Math.min(end.rOutMm, seat.rOutMm);
  const home = Math.min(...[meets, parts].map((r) => at(seat, r, bottomMm) - at(end, r, 0)));
  const tip = touched.tipMm ?? 0.8 * f.dMm;
  const way = end.zone === 'bottom' ? home : tip;
  return {
    female: femalePieces(female, f, bottomMm),
    male: malePieces(male, m, end.zone === 'bottom' ? home : bottomMm, tip),
    shortMm: shortOf(m, f, Math.min(way, NUT_DIAMETERS * m.dMm)),
    touch: touched,
    contactLine: lineOf(touched, seat, bottomMm, f),
    endDeg: steepDeg(end),
    seatDeg: female.seat === 'inverted-flare-45' ? INVERTED_SEAT_DEG : steepDeg(seat),
  };
}
