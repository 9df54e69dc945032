import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
import { pushN } from './balance.ts';
import { usableZ, type ResidualBrakingRule } from './limits.ts';
import { type Booster, type SizeInput } from './types.ts';

/** Stops after which a vacuum booster without its supply must still help as much as its rule asks. Source: UN R13-H annex 4 part B (from memory). */
const BEFORE_IT_COUNTS = 4;

/** What a vacuum booster has left once its engine or pump has stopped. */
export interface Reserve {
  /** Vacuum before each stop, kPa, the first one as it was measured. */
  readonly vacuumKPa: readonly number[];
  /** Stops in which it gives all that the foot asks of it. */
  readonly stops: number;
  /** Deceleration that can be had in the fifth, at the foot force of the rule. */
  readonly fifthZ: number;
}

/**
 * Each stop lets air of the swept volume into the booster, which its vacuum side takes up when the foot
 * lets go: the pressure in there rises by the atmosphere times swept volume over its own (isothermal).
 * `chamberMl` is that side at rest with its tank, `strokeMm` the master's stroke in such a stop.
 */
export function reserveOf(
  input: SizeInput & { readonly booster: Booster },
  chamberMl: number,
  strokeMm: number,
  rule: ResidualBrakingRule | null,
): Reserve {
  const { booster, pedal } = input;
  const sweptMl = (booster.diaphragmMm2 * strokeMm) / 1000;
  const lostKPa = (1000 * ATMOSPHERE_MPA * sweptMl) / chamberMl;
  const vacuumKPa = Array.from({ length: BEFORE_IT_COUNTS + 1 }, (_, i) =>
    Math.max(0, booster.vacuumKPa - i * lostKPa),
  );
  const asksN = (booster.gain - 1) * pushN(pedal);
  const needsKPa = (1000 * asksN) / booster.diaphragmMm2;
  const stops =
    booster.vacuumKPa < needsKPa
      ? 0
      : 1 + Math.floor((booster.vacuumKPa - needsKPa) / lostKPa + 1e-9);
  const foot = rule ? { ...pedal, forceN: rule.footMostN } : pedal;
  return {
    vacuumKPa,
    stops,
    fifthZ: usableZ({
      ...input,
      pedal: foot,
      booster: { ...booster, vacuumKPa: vacuumKPa.at(-1)! },
    }),
  };
}
