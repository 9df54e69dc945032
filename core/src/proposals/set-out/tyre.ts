import { INCH_MM } from '../../lib/units/index.ts';
import { InputError } from '../../lib/faults/index.ts';

/** Height over width where the side wall names none: full-section tyres of the old series. Source: ETRTO standards manual (from memory). */
const OLD_SERIES = 0.82;
/** How much of its free radius a standing tyre keeps. Common practice. */
const STANDING = 0.97;
const LEAST_MM = 100;
const MOST_MM = 1000;

export interface Tyre {
  /** Off the ground. */
  readonly freeRadiusMm: number;
  /** Hub to ground, standing; what brakes are reckoned with. */
  readonly radiusMm: number;
  readonly widthMm: number;
  /** Radius of the rim it sits on; null where only a radius was given. */
  readonly rimRadiusMm: number | null;
}

const number = (text: string | undefined): number => Number(text!.replace(',', '.'));
const METRIC =
  /^[PC]?(?:LT)?\s*(\d{3})(?:\s*\/\s*(\d{2,3}))?\s*Z?[RBD-]{1,2}\s*(\d{2}(?:[.,]5)?)\s*C?\b/i;
const FLOTATION =
  /^(\d{2}(?:[.,]\d+)?)\s*[x×]\s*(\d{1,2}(?:[.,]\d+)?)\s*[-RBD]\s*(\d{2}(?:[.,]5)?)/i;
const NUMERIC = /^(\d{1,2}[.,]\d{1,2})\s*[-RBD]\s*(\d{1,2}(?:[.,]5)?)/i;

function made(rimIn: number, wallMm: number, widthMm: number, text: string): Tyre {
  const rimRadiusMm = (rimIn * INCH_MM) / 2;
  const freeRadiusMm = rimRadiusMm + wallMm;
  if (wallMm <= 0 || freeRadiusMm < LEAST_MM || freeRadiusMm > MOST_MM)
    throw new InputError(
      'tyre',
      `${text} would stand ${Math.round(freeRadiusMm)} mm from hub to ground. Read the size again.`,
    );
  return { freeRadiusMm, radiusMm: STANDING * freeRadiusMm, widthMm, rimRadiusMm };
}

/**
 * A tyre as it is written on its wall: `205/65 R16` (width mm, height in % of it, rim in), `195 R14`, `31x10.5R15`
 * (outside diameter, width, rim, all in), `6.50-16` (width and rim in). Throws InputError where it is none.
 * Source: ISO 4000-1 for `205/65 R16`: rim radius plus width times the height ratio; the others as their series are
 * drawn up (ETRTO and TRA yearbooks, from memory).
 */
export function tyreOf(written: string): Tyre {
  const text = written.trim();
  const metric = METRIC.exec(text);
  if (metric) {
    const widthMm = number(metric[1]);
    const ratio = metric[2] === undefined ? OLD_SERIES : number(metric[2]) / 100;
    return made(number(metric[3]), ratio * widthMm, widthMm, text);
  }
  const flotation = FLOTATION.exec(text);
  if (flotation) {
    const [outsideIn, widthIn, rimIn] = [
      number(flotation[1]),
      number(flotation[2]),
      number(flotation[3]),
    ];
    return made(rimIn, ((outsideIn - rimIn) / 2) * INCH_MM, widthIn * INCH_MM, text);
  }
  const numeric = NUMERIC.exec(text);
  if (numeric) {
    const widthMm = number(numeric[1]) * INCH_MM;
    return made(number(numeric[2]), widthMm, widthMm, text);
  }
  throw new InputError(
    'tyre',
    `“${text}” is not a known tire size. Enter it as marked: 205/65 R16, 31x10.5R15 or 6.50-16.`,
  );
}
