import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';

/** Ratio of specific heats of air and nitrogen. Source: textbook. */
const GAMMA = 1.4;

/**
 * Energy that gas under a gauge pressure lets go when what holds it parts, J. Source: adiabatic expansion to the
 * atmosphere, E = p·V/(γ − 1)·(1 − (pa/p)^((γ − 1)/γ)) (textbook).
 */
export function gasEnergyJ(pressureMPa: number, volumeMl: number): number {
  const absolute = pressureMPa + ATMOSPHERE_MPA;
  const left = (ATMOSPHERE_MPA / absolute) ** ((GAMMA - 1) / GAMMA);
  // 1 MPa in 1 mL is 1 J.
  return ((absolute * volumeMl) / (GAMMA - 1)) * (1 - left);
}
