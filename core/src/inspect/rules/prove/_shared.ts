import type { Reading } from '../../define-rule.ts';
import { FILL_READS } from '../fill/_shared.ts';

/** What of a plan the rules of proving rest on. */
export const PROVE_READS = [
  ...FILL_READS,
  'size',
  'works',
  'plan.proving',
  'plan.parking',
  'plan.wheelEnds',
] as const;
export type ProveRead = Reading<(typeof PROVE_READS)[number]>;
/** Whether anything was proved or driven yet: before that nothing is asked. */
export const begunProving = (view: ProveRead): boolean => {
  const { curves, holds, rounds, pedal, stops, signed } = view.plan.proving;
  return [curves, holds, rounds, pedal, stops, signed].some((list) => list.length > 0);
};
