import { GRAVITY_MS2 } from './types.ts';

/** Residual pressures that valves are made for, MPa: 2 and 10 psi. Common practice. */
export const RESIDUAL_MPA = { disc: 2 * 0.006894757, drum: 10 * 0.006894757 } as const;
/** Density of glycol brake fluid, kg/m³. Common practice. */
export const FLUID_KG_M3 = 1060;

/** Pressure of a head of fluid, MPa. Source: ρ·g·h. */
export const headMPa = (heightMm: number, densityKgM3 = FLUID_KG_M3): number =>
  (densityKgM3 * GRAVITY_MS2 * heightMm) / 1e9;

export interface Residual {
  /** 0 where none is wanted. */
  readonly wantedMPa: number;
  readonly why: string;
}

/**
 * Which residual valve a brake wants, from the fluid level in its reservoir against the top of the
 * caliper, and from what it is; drums whose cups have expanders do without. Common practice; the head by arithmetic.
 */
export function residualFor(
  kind: 'disc' | 'drum',
  fluidLevelMm: number,
  topMm: number,
  cupExpanders = false,
): Residual {
  if (kind === 'drum' && cupExpanders)
    return {
      wantedMPa: 0,
      why: 'No residual valve needed: cup expanders press the cups to the bore.',
    };
  if (kind === 'drum')
    return {
      wantedMPa: RESIDUAL_MPA.drum,
      why: 'Drums need 10 psi to keep the cups pressed to the bore. It does not hold the shoes out; the return springs are far stronger.',
    };
  const below = topMm - fluidLevelMm;
  if (below <= 0)
    return {
      wantedMPa: 0,
      why: 'No residual valve needed: the fluid level is above the caliper and cannot drain back.',
    };
  return {
    wantedMPa: RESIDUAL_MPA.disc,
    why: `The fluid level is ${below.toFixed(0)} mm below the top of the caliper, so fluid drains back. 2 psi holds up to ${(RESIDUAL_MPA.disc / headMPa(1)).toFixed(0)} mm.`,
  };
}
