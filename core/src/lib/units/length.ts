import { figure } from '../faults/index.ts';
import { INCH_MM } from './constants.ts';

/** Which system the screen shows; sizes that trade by inch stay in inches in either. */
export type UnitSystem = 'metric' | 'inch';

/** Millimeters in one of each length unit. Source: NIST SP 811 (1 in = 25.4 mm exactly, 1 ft = 12 in). */
export const MM_PER = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const;
type LengthUnit = keyof typeof MM_PER;

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };
export const parsed = <T>(value: T): Parsed<T> => ({ ok: true, value });
export const unread = (message: string): { readonly ok: false; readonly message: string } => ({
  ok: false,
  message,
});

const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
};

const VULGAR: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const TERM = /^(\d+(?:[.,]\d+)?|[.,]\d+)(?:(?:\s+|-)(\d+)\/(\d+)|\/(\d+))?\s*([a-z]+|"|')?\s*/;

/** Plain spellings of one typed length: primes, vulgar fractions, spaces and case made alike. */
function tidy(text: string): string {
  return text
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/[′’‘]/g, "'")
    .replace(/″|”|“|''/g, '"')
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .trim()
    .toLowerCase();
}

/**
 * A size that is sold by the inch, such as `7/8 in` or `1 in`; null where the figure is no exact sixteenth, or is a
 * whole number of millimeters.
 */
export function inchSize(mm: number): string | null {
  const sixteenths = Math.round((mm / INCH_MM) * 16);
  if (sixteenths < 1 || Math.abs((sixteenths * INCH_MM) / 16 - mm) > 1e-6 || mm % 1 === 0)
    return null;
  let [up, down] = [sixteenths % 16, 16];
  while (up && up % 2 === 0) [up, down] = [up / 2, down / 2];
  const whole = Math.floor(sixteenths / 16);
  return `${[whole || '', up ? `${up}/${down}` : ''].filter(Boolean).join(' ')} in`;
}

/** A size as it is sold: in inches where it is one of theirs, else in mm. */
export const soldSize = (mm: number): string => inchSize(mm) ?? `${mm} mm`;

/**
 * A length as people type it, in mm: `4 1/2 in`, `3/16"`, `7'6"`, `25 ft`, `420`, `42 cm`, `1.5 m`, `1,5 m`.
 * A bare number is in mm under 'metric' and in inches under 'inch'; a bare number after feet is inches.
 * What can be read two ways (`2,850`) or not at all comes back as a sentence, never as a guess.
 */
export function parseLength(text: string, system: UnitSystem = 'metric'): Parsed<number> {
  const clean = tidy(text);
  if (!clean) return unread(`Enter a length, such as 420, 16 1/2 in or 1'4".`);
  const sign = clean.startsWith('-') ? -1 : 1;
  let rest = clean.replace(/^[-+]\s*/, '');
  let totalMm = 0;
  let last: LengthUnit | null = null;
  const seen = new Set<LengthUnit>();
  while (rest) {
    const term = TERM.exec(rest);
    if (!term) return unread(`"${text.trim()}" is not a length: "${rest}" cannot be read.`);
    const [whole, number = '', above, below, over, word] = term;
    if (/^[1-9]\d{0,2},\d{3}$/.test(number)) {
      return unread(
        `"${number}" could be ${number.replace(',', '.')} or ${number.replace(',', '')}: enter it without the comma.`,
      );
    }
    if ((above || over) && /[.,]/.test(number))
      return unread(`"${text.trim()}" mixes a decimal and a fraction.`);
    const denominator = Number(below ?? over ?? 1);
    if (denominator === 0) return unread(`"${text.trim()}" divides by zero.`);
    const value = above
      ? Number(number) + Number(above) / denominator
      : Number(number.replace(',', '.')) / denominator;
    const unit: LengthUnit | undefined = word ? UNIT_WORDS[word] : last === 'ft' ? 'in' : undefined;
    if (word && !unit) return unread(`"${word}" is not a unit of length: use mm, cm, m, in or ft.`);
    rest = rest.slice(whole.length);
    if (!unit && (rest || last)) return unread(`"${text.trim()}" holds a number without its unit.`);
    const effective: LengthUnit = unit ?? (system === 'inch' ? 'in' : 'mm');
    if (seen.has(effective)) return unread(`"${text.trim()}" gives ${effective} twice.`);
    if (last && MM_PER[effective] >= MM_PER[last])
      return unread(`"${text.trim()}" puts ${last} before ${effective}.`);
    seen.add(effective);
    totalMm += value * MM_PER[effective];
    last = effective;
  }
  const mm = sign * totalMm;
  if (!Number.isFinite(mm) || Math.abs(mm) > 100_000)
    return unread(`${figure(mm / 1000)} m is too long: the limit is 100 m.`);
  return parsed(mm === 0 ? 0 : mm);
}

const fraction = (inches: number, parts: number): string => {
  const count = Math.round(Math.abs(inches) * parts);
  const sign = inches < 0 && count > 0 ? '-' : '';
  const whole = Math.floor(count / parts);
  let top = count % parts;
  let bottom = parts;
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${sign}${top === 0 ? whole : whole ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`}`;
};

/**
 * A length for the screen, without its unit: mm with up to `digits` decimals, or inches as a tape
 * reads them, to 1/32 (0.8 mm). Never grouped by commas, so that what is shown can be typed back.
 */
export function formatLength(mm: number, system: UnitSystem = 'metric', digits = 0): string {
  return system === 'inch' ? fraction(mm / MM_PER.in, 32) : figure(mm, digits);
}

/** The same with its unit: `420 mm`, `16 17/32 in`. */
export function formatLengthUnit(mm: number, system: UnitSystem = 'metric', digits = 0): string {
  return `${formatLength(mm, system, digits)} ${system === 'inch' ? 'in' : 'mm'}`;
}
