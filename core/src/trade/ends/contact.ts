import {
  isTaper,
  threadByName,
  type FemaleHalf,
  type MaleHalf,
  type Thread,
} from '../stock/index.ts';
import { basicOf, fit, overBasicMm, TAPER, taperReach } from '../threads/index.ts';
import { surfaceOf, type Surface } from './surface.ts';

/** Where two halves touch once the thread has pulled them together. */
export interface Contact {
  readonly zone: Surface['zone'];
  /** Radii between which they touch; in the thread, depths under the port's mouth. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Along the surface. A line of no width lets fluid by. */
  readonly widthMm: number;
  readonly seals: boolean;
}
export interface Touch {
  /** Null where the thread does not press them together or nothing meets. */
  readonly contact: Contact | null;
  /** The thread carries load over its whole length. */
  readonly holds: boolean;
  /** In the thread zone: how deep the male's tip stands when it wedges or is at its end, mm. */
  readonly tipMm: number | null;
}

/** How much metal gives when a joint is pulled up, mm. Common practice. */
const CRUSH_MM = 0.02;
/** Least width of touching metal that keeps fluid in, mm. Common practice. */
const LEAST_WIDTH_MM = 0.3;
/** Flank that must hold before a thread can press a seat. Common practice. */
const LEAST_FLANK = 0.5;
/** Turns at a parallel thread's tip that are not whole. Common practice. */
const CHAMFER_TURNS = 1.5;

/** Two cones about one axis: along their common radii the gap is a straight line, so they touch at one edge or all along. */
function onCones(end: Surface, seat: Surface): Contact | null {
  const from = Math.max(end.rInMm, seat.rInMm);
  const to = Math.min(end.rOutMm, seat.rOutMm);
  if (to <= from) return null;
  const open = seat.k - end.k;
  const band = open === 0 ? to - from : Math.min(to - from, CRUSH_MM / Math.abs(open));
  // The gap is least where the surfaces lean toward one another.
  const [fromMm, toMm] = open >= 0 ? [from, from + band] : [to - band, to];
  const widthMm = band * Math.hypot(1, end.k);
  return { zone: end.zone, fromMm, toMm, widthMm, seals: widthMm >= LEAST_WIDTH_MM };
}

/** G is made to hold and not to be tight in its thread, however far a taper is driven into it. Source: ISO 228-1, scope (from memory). */
const isLoose = ({ family }: Thread): boolean => family === 'g';

/** A taper wedging: diameters along the thread, at the loosest that the female's own standard allows. */
function inThread(male: Thread, female: Thread): Pick<Touch, 'contact' | 'tipMm'> {
  const m = taperReach(male);
  const f = taperReach(female);
  const lengthMm = isTaper(male) ? m.beforeMm + m.behindMm : Math.max(f.beforeMm + f.behindMm, 8);
  const growM = isTaper(male) ? TAPER : 0;
  const growF = isTaper(female) ? TAPER : 0;
  const tipDiameter = basicOf(male).pitchDiameterMm - m.beforeMm * growM;
  const mouth = basicOf(female).pitchDiameterMm + overBasicMm(female);
  /** Gap between flanks at a depth, the tip standing at `tip`. */
  const gap = (x: number, tip: number): number =>
    mouth - x * growF - (tipDiameter + (tip - x) * growM);
  const least = (tip: number): number => Math.min(gap(0, tip), gap(tip, tip));
  if (least(lengthMm) > 0) return { contact: null, tipMm: lengthMm };
  let [low, high] = [0, lengthMm];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (least(middle) > 0) low = middle;
    else high = middle;
  }
  const tipMm = high;
  const whole = isTaper(male) ? tipMm : Math.max(0, tipMm - CHAMFER_TURNS * male.pitchMm);
  const open = growM - growF; // d(gap)/dx
  const band = Math.abs(open) < 1e-12 ? whole : Math.min(whole, CRUSH_MM / Math.abs(open));
  const [fromMm, toMm] =
    open > 0 ? [0, band] : open < 0 ? [tipMm - band, Math.min(tipMm, whole)] : [0, whole];
  const widthMm = Math.max(0, toMm - fromMm);
  return {
    contact: {
      zone: 'thread',
      fromMm,
      toMm,
      widthMm,
      seals: widthMm >= LEAST_WIDTH_MM && !isLoose(female),
    },
    tipMm,
  };
}

/**
 * Where a male and a female half touch, from their profiles alone: standard angles, diameters and
 * tolerances. The thread must hold first: unequal pitches or a thin flank press nothing together.
 */
export function touch(male: MaleHalf, female: FemaleHalf): Touch {
  const [m, f] = [threadByName(male.thread)!, threadByName(female.thread)!];
  const { starts, samePitch, overlap } = fit(m, f);
  const holds = starts && samePitch && overlap >= LEAST_FLANK;
  const [end, seat] = [surfaceOf(male.end, 'end', m), surfaceOf(female.seat, 'seat', f)];
  if (end.zone === 'thread' || seat.zone === 'thread') {
    const found = holds ? inThread(m, f) : { contact: null, tipMm: null };
    return { ...found, holds };
  }
  const meets = holds && end.zone === seat.zone ? onCones(end, seat) : null;
  return { contact: meets, holds, tipMm: null };
}
