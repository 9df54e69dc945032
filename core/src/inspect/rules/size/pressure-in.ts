import type { Circuit } from '../../../plan/index.ts';
import { pressureOf } from '../../../plan/results/index.ts';
import type { Reading } from '../../define-rule.ts';

/** What a rule must read to ask it. */
export const PRESSURE_READ = [
  'plan.clutch',
  'plan.singles',
  'plan.sizing',
  'plan.trailer',
  'size',
  'works',
] as const;

/** Most pressure that a circuit comes to, MPa, with the most force that the rule allows the foot; 0 where no figures are begun. */
export const pressureIn = (
  view: Reading<'plan.singles' | 'plan.trailer' | 'size' | 'works'>,
  circuit: Circuit,
): number => pressureOf(circuit, view)?.mostMPa ?? 0;
