import { figure } from '@firm-line/core/lib/faults';
import { shownUnitOf, type ShownUnits } from '@firm-line/core/lib/units';
import { inUnit, parseQuantity, unitIn } from '@firm-line/core/lib/units/quantity';
import type { Read } from './text-input';

/** Places of a figure that is turned into another unit: as many as tell two readings apart. */
const PLACES = 5;

/** How a plain number is shown and read, by the unit in its label: in the unit that was chosen for its kind. */
export interface ShownNumber {
  readonly label: string;
  readonly show: (value: number) => string;
  /** A limit with its unit. */
  readonly words: (value: number) => string;
  /** A figure alone is taken in the unit that is shown; with a unit, in any of its kind. */
  readonly read: (text: string) => Read<number>;
}

export function shownNumber(label: string, units: ShownUnits): ShownNumber {
  const stored = unitIn(label);
  if (!stored) return { label, show: (value) => figure(value, 4), words: String, read: readPlain };
  const unit = shownUnitOf(stored, units);
  const show = (value: number): string =>
    unit === stored
      ? figure(value, 4)
      : String(Number(inUnit(value, stored, unit).toPrecision(PLACES)));
  return {
    label: label.replace(/, [^,]+$/, `, ${unit}`),
    show,
    words: (value) => (unit === stored ? String(value) : `${show(value)} ${unit}`),
    read: (text) => {
      const read = parseQuantity(text, unit);
      return read.ok ? { ok: true, value: inUnit(read.value, unit, stored) } : read;
    },
  };
}

/** A figure without a unit, with a comma or a point. */
function readPlain(text: string): Read<number> {
  const [digits] = /^-?\d+([.,]\d+)?(?=\s*°?$)/.exec(text) ?? [];
  return digits
    ? { ok: true, value: Number(digits.replace(',', '.')) }
    : { ok: false, message: `"${text}" is not a number.` };
}
