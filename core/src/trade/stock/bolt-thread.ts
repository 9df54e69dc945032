import { figure } from '../../lib/faults/index.ts';
import { INCH_MM, inchSize } from '../../lib/units/index.ts';

export interface BoltThread {
  readonly dMm: number;
  readonly pitchMm: number;
}

/** Coarse pitches, mm. Source: ISO 261 (from memory). */
const COARSE_MM: Readonly<Record<number, number>> = {
  5: 0.8,
  6: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  18: 2.5,
  20: 2.5,
};
/** A bolt's thread out of words: "M10", "M12x1.5", "7/16-20"; null where it cannot be read. */
export function boltThread(text: string): BoltThread | null {
  const metric = /^M\s*(\d+(?:[.,]\d+)?)(?:\s*[x×]\s*(\d+(?:[.,]\d+)?))?$/i.exec(text.trim());
  const number = (part: string): number => Number(part.replace(',', '.'));
  if (metric) {
    const dMm = number(metric[1]!);
    const pitchMm = metric[2] ? number(metric[2]) : COARSE_MM[dMm];
    return pitchMm && pitchMm < dMm / 2 && dMm <= 60 ? { dMm, pitchMm } : null;
  }
  const inch = /^(\d+)\/(\d+)\s*-\s*(\d+)$/.exec(text.trim());
  if (!inch) return null;
  const [over, under, perInch] = inch.slice(1).map(Number) as [number, number, number];
  const dMm = (25.4 * over) / under;
  const pitchMm = 25.4 / perInch;
  return Number.isFinite(pitchMm) && dMm <= 60 && pitchMm < dMm / 2 ? { dMm, pitchMm } : null;
}

/** How far a measured thread may be off a sold one: diameter, mm, and threads in an inch. */
const NEAR = { mm: 0.06, perInch: 0.15 };
/** A thread as it is sold: inch ones in sixteenths and threads per inch, `9/16-18`, others as `M12x1.5`. */
export function boltThreadName({ dMm, pitchMm }: BoltThread): string {
  const sixteenthsMm = (Math.round((dMm / INCH_MM) * 16) * INCH_MM) / 16;
  const sold = inchSize(sixteenthsMm);
  const perInch = INCH_MM / pitchMm;
  const isInch =
    sold !== null &&
    Math.abs(dMm - sixteenthsMm) <= NEAR.mm &&
    Math.abs(perInch - Math.round(perInch)) <= NEAR.perInch;
  return isInch
    ? `${sold.replace(' in', '')}-${Math.round(perInch)}`
    : `M${figure(dMm, 2)}x${figure(pitchMm, 3)}`;
}
