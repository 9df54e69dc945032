import type { Diagnosis, Excess } from '../../physics/hydraulics/index.ts';
import type { HeldAgainst } from './expected-pedal.ts';
import type { Symptom } from './fault-tables.ts';
import type { Evidence } from './faults.ts';

/** What was found, without what was not. */
export const defined = (evidence: Partial<Record<Symptom, boolean | null | undefined>>): Evidence =>
  Object.fromEntries(
    Object.entries(evidence).filter(([, is]) => is !== undefined && is !== null),
  ) as Evidence;
/** Yes from the second figure on, no under the first, and neither between them. */
export const between = (mm: number | null, no: number, yes: number): boolean | null =>
  mm === null ? null : mm >= yes ? true : mm < no ? false : null;

/** More than allowed, not more, or undefined where twice its doubt reaches over the limit. */
function isOver(mm: number, sigmaMm: number, limitMm: number): boolean | undefined {
  if (mm - sigmaMm > limitMm) return true;
  return mm + sigmaMm <= limitMm ? false : undefined;
}
/** What a curve that was held against the calculated pedal says of faults; what it cannot tell is left out. */
export function curveEvidence(
  { excess, excessSigma }: Pick<Diagnosis, 'excess' | 'excessSigma'>,
  { limitMm }: Pick<HeldAgainst, 'limitMm'>,
): Evidence {
  if (!excess || !excessSigma) return {};
  const over = (part: keyof Excess): boolean | undefined =>
    isOver(excess[part], excessSigma[part], limitMm);
  return defined({
    curveAir: over('airMm'),
    curveFlex: over('flexMm'),
    curvePlay: over('freeMm'),
    curveNoPlay: isOver(-excess.freeMm, 2 * excessSigma.freeMm, 0),
  });
}
/** On the way back a sound pedal lags by less than the first, and one that hangs by more than the second, mm. Ours, said to be a judgement. */
const LAG_MM = [4, 6] as const;
/** What the lag of a pedal on its way back says, mm; null: nobody read it. */
export const lagEvidence = (mm: number | null): Evidence =>
  defined({ curveLag: between(mm, ...LAG_MM) });
