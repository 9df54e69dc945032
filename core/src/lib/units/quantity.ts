import { LBF_FT_NM } from './constants.ts';
import { parseTorque } from './torque.ts';

/**
 * Units of one kind by what they are in its first one. Source: NIST SP 811: lbf 4.4482216152605 N, kgf 9.80665 N,
 * psi 6.894757 kPa, inHg 3.386389 kPa, bar 100 kPa, in 25.4 mm, US fl oz 29.57353 mL, lb 0.45359237 kg, mile
 * 1.609344 km, ft 0.3048 m.
 */
const QUANTITIES: readonly Readonly<Record<string, number>>[] = [
  { N: 1, kN: 1000, lbf: 4.4482216152605, lb: 4.4482216152605, lbs: 4.4482216152605, kgf: 9.80665 },
  { MPa: 1, kPa: 0.001, Pa: 1e-6, bar: 0.1, psi: 0.006894757293168, inHg: 0.003386389 },
  { 'mm²': 1, mm2: 1, 'cm²': 100, cm2: 100, 'in²': 645.16, in2: 645.16, 'sq in': 645.16 },
  { mL: 1, cc: 1, 'cm³': 1, L: 1000, 'fl oz': 29.5735295625, floz: 29.5735295625 },
  { kg: 1, t: 1000, lb: 0.45359237, lbs: 0.45359237, g: 0.001 },
  { 'km/h': 1, kmh: 1, kph: 1, mph: 1.609344, 'm/s': 3.6 },
  {
    m: 1,
    ft: 0.3048,
    km: 1000,
    yd: 0.9144,
    cm: 0.01,
    mm: 0.001,
    in: 0.0254,
    feet: 0.3048,
    "'": 0.3048,
  },
  { 'N·m': 1, 'lbf·ft': LBF_FT_NM, 'lbf·in': LBF_FT_NM / 12 },
];
/** A figure in one unit in another of its kind. Throws where they are of two kinds. */
export function inUnit(value: number, from: string, to: string): number {
  const kind = QUANTITIES.find((one) => from in one && to in one);
  if (!kind) throw new Error(`${from} and ${to} are not of one kind.`);
  return (value * kind[from]!) / kind[to]!;
}
export type QuantityRead =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };
const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();
const find = (kind: Readonly<Record<string, number>>, name: string): string | undefined =>
  Object.keys(kind).find((one) => one === name) ?? Object.keys(kind).find((one) => same(one, name));

/** The unit that a label ends in, `Foot, N`; null where it ends in none that has others beside it. */
export function unitIn(label: string): string | null {
  const unit = /, ([^,]+)$/.exec(label)?.[1] ?? '';
  return QUANTITIES.some((kind) => unit in kind) ? unit : null;
}

/** A torque has many spellings, and says of a force that it is none. */
function torqueIn(text: string, unit: 'N·m' | 'lbf·ft'): QuantityRead {
  const read = parseTorque(text, unit);
  return read.ok ? { ok: true, value: inUnit(read.value, 'N·m', unit) } : read;
}

/** A figure in `unit` as people say it: alone, or with any unit of the same kind: `1,000 psi`, `70 bar`, `110 lbf`, `3.1 in²`, `20 inHg`. */
export function parseQuantity(text: string, unit: string): QuantityRead {
  if (unit === 'N·m' || unit === 'lbf·ft') return torqueIn(text, unit);
  const kind = QUANTITIES.find((one) => unit in one)!;
  const match = /^(-?\d{1,3}(?:,\d{3})+(?:\.\d+)?|-?\d+(?:[.,]\d+)?)\s*(.*)$/.exec(text.trim());
  if (!match || /^e\d/i.test(match[2]!))
    return { ok: false, message: `"${text.trim()}" is not a number.` };
  const [, digits = '', name = ''] = match;
  if (name === '') {
    // A comma alone may part thousands or a fraction: with nothing to tell by it is asked.
    if (/^-?\d{1,3},\d{3}$/.test(digits))
      return {
        ok: false,
        message: `${digits} may be ${digits.replace(',', '.')} or ${digits.replace(',', '')}. Enter which.`,
      };
    return { ok: true, value: Number(digits.replace(',', '.')) };
  }
  const from = find(kind, name);
  if (!from)
    return {
      ok: false,
      message: `"${name}" does not fit here. Enter it in ${unit}, or in ${Object.keys(kind)
        .filter((one) => one !== unit)
        .slice(0, 4)
        .join(', ')}.`,
    };
  const number = Number(
    /,\d{3}(\D|$)/.test(digits) ? digits.replaceAll(',', '') : digits.replace(',', '.'),
  );
  return { ok: true, value: (number * kind[from]!) / kind[unit]! };
}
