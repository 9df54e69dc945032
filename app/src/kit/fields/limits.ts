import type { NumberLimits } from '@firm-line/core/plan';
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
    if (over && value <= least) return refused(`must be over ${words(least)}`);
    if (value < least) return refused(`must be ${words(least)} or more`);
    if (under && value >= most) return refused(`must be under ${words(most)}`);
    if (value > most) return refused(`must be ${words(most)} or less`);
  }
  return { ok: true, value };
}
