import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { pushN } from './balance.ts';
import { usableZ } from './limits.ts';
import type { ResidualBrakingRule } from './rules.ts';
import { type Booster, type SizeInput } from './types.ts';

/** Full applications of the pedal that a store must give with its source stopped, the next of which must still do what a failed system must. */
export const APPLICATIONS = { vacuum: 4, pump: 8, hydraulic: 8 } as const;
export const RESERVE_SOURCE = {
  vacuum: 'UN R13 annex 7 part B (from memory)',
  hydraulic: 'UN R13-H annex 4, UN R13 annex 7 part C (from memory)',
} as const;

/** What a vacuum booster has left once its engine or pump has stopped. */
export interface Reserve {
  /** Vacuum before each application, kPa, the first one as it was measured. */
  readonly vacuumKPa: readonly number[];
  /** Applications in which it gives all that the foot asks of it. */
  readonly stops: number;
  /** After how many full ones it counts. */
  readonly applications: number;
  /** Deceleration that can be had in the next, at the foot force of the rule. */
  readonly nextZ: number;
}

const ATMOSPHERE_KPA = 1000 * ATMOSPHERE_MPA;
/** Vacuum as the diaphragm has swept its way: the air left on its vacuum side is squeezed into what is left of it. */
export const squeezedKPa = (vacuumKPa: number, chamberMl: number, sweptMl: number): number =>
  chamberMl > sweptMl
    ? Math.max(
        0,
        ATMOSPHERE_KPA - ((ATMOSPHERE_KPA - vacuumKPa) * chamberMl) / (chamberMl - sweptMl),
      )
    : 0;

/**
 * Each full application lets air of the swept volume into the booster, which its vacuum side takes up when the foot lets
 * go: the pressure in there rises by the atmosphere times swept volume over its own; and within an application it is
 * squeezed (both isothermal). `chamberMl` is that side at rest with its tank, `strokeMm` the master’s whole stroke.
 * Source: Boyle; full applications as UN R13 annex 7 has it (from memory).
 */
export function reserveOf(
  input: SizeInput & { readonly booster: Booster },
  chamberMl: number,
  strokeMm: number,
  applications: number,
  rule: ResidualBrakingRule | null,
): Reserve {
  const { booster, pedal } = input;
  const sweptMl = (booster.diaphragmMm2 * strokeMm) / 1000;
  const lostKPa = (ATMOSPHERE_KPA * sweptMl) / chamberMl;
  const at = (i: number): number => Math.max(0, booster.vacuumKPa - i * lostKPa);
  const needsKPa = (1000 * (booster.gain - 1) * pushN(pedal)) / booster.diaphragmMm2;
  let stops = 0;
  while (stops < 100 && squeezedKPa(at(stops), chamberMl, sweptMl) >= needsKPa - 1e-9) stops++;
  const foot = rule ? { ...pedal, forceN: rule.footMostN } : pedal;
  const left = squeezedKPa(at(applications), chamberMl, sweptMl);
  return {
    vacuumKPa: Array.from({ length: applications + 1 }, (_, i) => at(i)),
    stops,
    applications,
    nextZ: usableZ({ ...input, pedal: foot, booster: { ...booster, vacuumKPa: left } }),
  };
}
