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
 * How grave it is that a figure falls short of its limit; null where it does not. `sigma` is how well the figure is
 * known: what is not known well is never just inside. Grades are ours, said to be judgement.
 */
export function severity(
  value: number,
  limit: number,
  sigma: number,
  { slight, grave }: Grades,
): Severity | null {
  if (value >= limit - 1e-6) return null;
  if (value <= grave) return { level: 'stop', grade: 'will touch' };
  return limit - value <= slight && sigma <= slight
    ? { level: 'note', grade: 'just inside' }
    : { level: 'caution', grade: 'too close' };
}

/** What a sentence of a shortfall begins with. */
export const LEADS: Readonly<Record<Severity['grade'], string>> = {
  'just inside': 'Just inside: ',
  'too close': '',
  'will touch': 'It will touch: ',
};
