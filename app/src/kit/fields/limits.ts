import type { NumberLimits } from '@firm-line/core/plan';
import { parseQuantity, unitIn } from '@firm-line/core/lib/units/quantity';
import type { Read } from './text-input';

export type Limits = Pick<NumberLimits, 'least' | 'most' | 'over' | 'under' | 'whole'>;

/** A figure if it keeps the limits of its record and those of the form; else a sentence in the form's own words. */
export function within(
  value: number,
  text: string,
  limits: readonly Limits[],
  words: (value: number) => string,
): Read<number> {
  const refused = (message: string): Read<number> => ({
    ok: false,
    message: `${text} cannot be used: ${message}.`,
  });
  for (const { least, most, over, under, whole } of limits) {
    if (whole && !Number.isInteger(value)) return refused('enter a whole number');
    if (over && value <= least) return refused(`it must be over ${words(least)}`);
    if (value < least) return refused(`${words(least)} is the least`);
    if (under && value >= most) return refused(`it must be under ${words(most)}`);
    if (value > most) return refused(`${words(most)} is the most`);
  }
  return { ok: true, value };
}

/** A plain number as people write it, with a comma or a point; under a label that ends in a unit also in another of its kind. */
export function readNumber(text: string, label: string): Read<number> {
  const unit = unitIn(label);
  if (unit) return parseQuantity(text, unit);
  const [figure] = /^-?\d+([.,]\d+)?(?=\s*°?$)/.exec(text) ?? [];
  return figure
    ? { ok: true, value: Number(figure.replace(',', '.')) }
    : { ok: false, message: `"${text}" is not a number.` };
}
