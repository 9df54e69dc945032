import type { Level } from '../define-rule.ts';

/** How a shortfall is graded, in the unit of the figure. */
export interface Grades {
  /** So little short is just inside, where the figure is known as well as that. */
  readonly slight: number;
  /** At this or less it touches, breaks or does not work. */
  readonly grave: number;
}
export interface Severity {
  readonly level: Level;
  readonly grade: 'just inside' | 'too close' | 'will touch';
}
/**
 * How grave a shortfall is. `sigma` is how well the figure is known: what is not known well is never just inside.
 * Grades are ours, said to be judgement.
 */
export function gradeOf(
  value: number,
  limit: number,
  sigma: number,
  { slight, grave }: Grades,
): Severity {
  if (value <= grave) return { level: 'stop', grade: 'will touch' };
  return limit - value <= slight && sigma <= slight
    ? { level: 'note', grade: 'just inside' }
    : { level: 'caution', grade: 'too close' };
}
/** The same of any figure; null where it does not fall short of its limit. */
export const severity = (
  value: number,
  limit: number,
  sigma: number,
  grades: Grades,
): Severity | null => (value >= limit - 1e-6 ? null : gradeOf(value, limit, sigma, grades));

/** What a sentence of a shortfall begins with. */
export const LEADS: Readonly<Record<Severity['grade'], string>> = {
  'just inside': 'Just inside: ',
  'too close': '',
  'will touch': 'It will touch: ',
};
