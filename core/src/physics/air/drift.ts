import { ATMOSPHERE_MPA } from '../../lib/units/index.ts';
/** What of a fluid decides how air moves in it. */
export interface AirFluid {
  readonly densityKgM3: number;
  readonly viscosityPaS: number;
  readonly tensionNM: number;
}
/** DOT 4 at 20 °C. Density and viscosity: makers' sheets, from memory; surface tension 0.030 to 0.035 N/m is said of it. */
export const GLYCOL_FLUID: AirFluid = { densityKgM3: 1060, viscosityPaS: 0.016, tensionNM: 0.0325 };
export const G_M_S2 = 9.81;

/** Below this a bubble that fills a wetted upright bore holds still. Source: F. P. Bretherton, J. Fluid Mech. 10 (1961), from memory. */
export const HOLDS_BELOW = 0.842;
/** ρ·g·R²/σ of a bore. */
export const bondOf = (boreMm: number, { densityKgM3, tensionNM }: AirFluid): number =>
  (densityKgM3 * G_M_S2 * (boreMm / 2000) ** 2) / tensionNM;

/**
 * How fast a bubble that fills a wetted upright bore climbs in fluid at rest, mm/s: a little over the threshold
 * ρgR²/σ − 0.842 = 1.25·Ca^(2/9) + 2.24·Ca^(1/3) with Ca = μU/σ (Bretherton 1961), in wide bores at most
 * 0.351·√(g·d) (Dumitrescu 1943). Both from memory.
 */
export function climbMmS(boreMm: number, fluid: AirFluid): number {
  const over = bondOf(boreMm, fluid) - HOLDS_BELOW;
  if (over <= 0) return 0;
  // Both terms grow with Ca: halve in its logarithm.
  let [low, high] = [-60, 5];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (1.25 * Math.exp((2 / 9) * mid) + 2.24 * Math.exp(mid / 3) < over) low = mid;
    else high = mid;
  }
  const slow = (Math.exp(low) * fluid.tensionNM) / fluid.viscosityPaS;
  return 1000 * Math.min(slow, 0.351 * Math.sqrt(G_M_S2 * boreMm * 1e-3));
}

/**
 * How fast air of so many mL climbs in tube of this bore and slope (the sine of its angle, signed), mm/s,
 * with the sign of the slope. What fills the bore goes as upright, in sloping tube by √sin·(1 + cos)^1.2 of it
 * (after Zukoski 1966, in the form of Hasan and Kabir 1988, from memory); what does not fill it rises as a small
 * ball does (Stokes, slowed by the wall after Francis 1933, from memory).
 */
export function driftMmS(
  boreMm: number,
  slope: number,
  ml: number,
  fluid: AirFluid,
  uprightMmS = climbMmS(boreMm, fluid),
): number {
  const sin = Math.min(1, Math.abs(slope));
  if (sin < 1e-3) return 0;
  const tilted = uprightMmS * Math.sqrt(sin) * (1 + Math.sqrt(1 - sin * sin)) ** 1.2;
  const ballMm = Math.cbrt((6000 * ml) / Math.PI);
  const share = ballMm / boreMm;
  const wall = share < 1 ? ((1 - share) / (1 - 0.475 * share)) ** 4 : 0;
  const ball =
    (1000 * fluid.densityKgM3 * G_M_S2 * (ballMm * 1e-3) ** 2 * sin * wall) /
    (18 * fluid.viscosityPaS);
  return Math.sign(slope) * Math.max(tilted, ball);
}

/** What so much air at rest (mL) is under a gauge pressure. Source: Boyle's law. */
export const pressedMl = (ml: number, gaugeMPa: number): number =>
  (ml * ATMOSPHERE_MPA) / (ATMOSPHERE_MPA + gaugeMPa);
/** What a fluid column of a height presses, MPa. */
export const headMPa = (heightMm: number, { densityKgM3 }: AirFluid): number =>
  densityKgM3 * G_M_S2 * heightMm * 1e-9;
