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

/**
 * How far the figures of a fluid may be off, as shares: surface tension of glycol fluid is said to be 0.030 to
 * 0.035 N/m; viscosity changes by about a quarter over 8 °C of a shop's temperature. Both from memory.
 */
const DOUBT = { tension: 0.0025 / 0.0325, viscosity: 0.25 };
/** A fluid as air moves fastest in it, and as it moves slowest, within what is not known of it. */
export const extremesOf = (fluid: AirFluid): readonly [fast: AirFluid, slow: AirFluid] => {
  const moved = (by: 1 | -1): AirFluid => ({
    ...fluid,
    tensionNM: fluid.tensionNM * (1 + by * DOUBT.tension),
    viscosityPaS: fluid.viscosityPaS * (1 + by * DOUBT.viscosity),
  });
  return [moved(-1), moved(1)];
};

/** Eötvös' number of a bore, ρ·g·D²/σ. */
const eotvosOf = (boreMm: number, { densityKgM3, tensionNM }: AirFluid): number =>
  (densityKgM3 * G_M_S2 * (boreMm / 1000) ** 2) / tensionNM;
/** ρ·g·R²/σ of a bore. */
export const bondOf = (boreMm: number, fluid: AirFluid): number => eotvosOf(boreMm, fluid) / 4;
/** Below this ρ·g·R²/σ a bubble that fills a wetted upright bore holds still. Source: F. P. Bretherton, J. Fluid Mech. 10 (1961), from memory. */
export const HOLDS_BELOW = 0.842;
/** From this Eötvös number on the data of Viana et al. reach. */
const FILLED_FROM = 6;
/** √(g·D), mm/s: what a Froude number is a share of. */
const unitMmS = (boreMm: number): number => 1000 * Math.sqrt(G_M_S2 * boreMm * 1e-3);

/**
 * Froude number U/√(g·D) of a long bubble in an upright tube that is wide enough for it to climb freely. `reynolds` is
 * ρ·√(D³·g)/μ, infinite for a fluid that is not thick at all. Source: Viana, Pardo, Yánez, Trallero and Joseph,
 * J. Fluid Mech. 494 (2003), from memory.
 */
function vianaFroude(eotvos: number, reynolds: number): number {
  const level = (x: number, [a, b, c, d]: readonly [number, number, number, number]): number =>
    a / (1 + (x / b) ** c) ** d;
  const a = level(eotvos, [0.34, 14.793, -3.06, 0.58]);
  if (reynolds === Infinity) return a;
  const b = level(eotvos, [31.08, 29.868, -1.96, -0.49]);
  const c = level(eotvos, [-1.45, 24.867, -9.93, -0.094]);
  return level(reynolds, [a, b, c, -1.0295 / c]);
}
/** How fast a bubble creeps a little over the threshold, mm/s: ρgR²/σ − 0.842 = 1.25·Ca^(2/9) + 2.24·Ca^(1/3) with Ca = μU/σ. Source: Bretherton (1961), from memory. */
function creepMmS(overBond: number, fluid: AirFluid): number {
  // Both terms grow with Ca: halve in its logarithm.
  let [low, high] = [-60, 5];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (1.25 * Math.exp((2 / 9) * mid) + 2.24 * Math.exp(mid / 3) < overBond) low = mid;
    else high = mid;
  }
  return (1000 * Math.exp(low) * fluid.tensionNM) / fluid.viscosityPaS;
}
/**
 * How fast a bubble that fills a wetted upright bore climbs in fluid at rest, mm/s: nothing below Bretherton's threshold,
 * by Viana et al. in bores that are wide enough, and between the two from the one to the other, evenly in its logarithm.
 */
export function climbMmS(boreMm: number, fluid: AirFluid): number {
  const eotvos = eotvosOf(boreMm, fluid);
  const over = eotvos / 4 - HOLDS_BELOW;
  if (over <= 0) return 0;
  const reynolds =
    (fluid.densityKgM3 * Math.sqrt((boreMm * 1e-3) ** 3 * G_M_S2)) / fluid.viscosityPaS;
  const free = unitMmS(boreMm) * vianaFroude(eotvos, reynolds);
  if (eotvos >= FILLED_FROM) return free;
  const share = over / (FILLED_FROM / 4 - HOLDS_BELOW);
  return Math.exp((1 - share) * Math.log(creepMmS(over, fluid)) + share * Math.log(free));
}

/** What of a bore and a fluid decides how fast air goes in it, worked out once for all slopes. */
export interface Climb {
  /** Upright, and into a level tube that drains at its end, mm/s. */
  readonly uprightMmS: number;
  readonly levelMmS: number;
}
/**
 * Upright by `climbMmS`. A level tube drains by itself at 0.54 − 1.76·Eo^−0.56 of √(g·D), and not at all below Eo 8.25:
 * 5.1 mm of glycol fluid. Source: Zukoski, J. Fluid Mech. 25 (1966), as fitted by Weber (1981), from memory. That a
 * thick fluid slows it by the share by which it slows an upright bubble is our assumption.
 */
export function climbOf(boreMm: number, fluid: AirFluid): Climb {
  const uprightMmS = climbMmS(boreMm, fluid);
  const eotvos = eotvosOf(boreMm, fluid);
  const level = Math.max(0, 0.54 - 1.76 * eotvos ** -0.56);
  const slowed = level && uprightMmS / vianaFroude(eotvos, Infinity);
  return { uprightMmS, levelMmS: level * slowed };
}
/** Flatter than this a bubble slows down to nothing: on a level it has nowhere to go. Our assumption. */
const NEARLY_LEVEL = 0.05;

/** How fast a long bubble goes up tube of a slope (the sine of its angle), mm/s. Source: Weber, Alarie and Ryan, Chem. Eng. Sci. 41 (1986), fitted to Zukoski's data, from memory. */
function longMmS(boreMm: number, sin: number, { uprightMmS, levelMmS }: Climb): number {
  const level = levelMmS * Math.min(1, sin / NEARLY_LEVEL);
  const more = Math.max(0, uprightMmS - level) / unitMmS(boreMm);
  const swell = 1.37 * unitMmS(boreMm) * Math.cbrt(more) ** 2 * sin * (1 - sin);
  return level * Math.sqrt(1 - sin * sin) + uprightMmS * sin + swell;
}
/**
 * How fast a ball of air rises along a slope, mm/s, in a tube that slows it as it slows a creeping ball. Source: drag by
 * Schiller and Naumann (1933), Cd = 24/Re·(1 + 0.15·Re^0.687); the wall by Francis (1933); both from memory.
 */
function ballMmS(boreMm: number, sin: number, ballMm: number, fluid: AirFluid): number {
  const share = ballMm / boreMm;
  if (share >= 1) return 0;
  const thin = fluid.viscosityPaS / fluid.densityKgM3;
  const pull = (G_M_S2 * sin * (ballMm * 1e-3) ** 3) / thin ** 2;
  // 18·Re·(1 + 0.15·Re^0.687) = pull: Newton in the logarithm of Re.
  const creeping = Math.log(Math.max(pull, 1e-30) / 18);
  let ln = creeping;
  for (let i = 0; i < 6; i++) {
    const drag = 0.15 * Math.exp(0.687 * ln);
    const off = ln + Math.log1p(drag) - creeping;
    ln -= off / (1 + (0.687 * drag) / (1 + drag));
  }
  const wall = ((1 - share) / (1 - 0.475 * share)) ** 4;
  return (1000 * Math.exp(ln) * thin * wall) / (ballMm * 1e-3);
}
/**
 * How fast air of so many mL climbs in tube of this bore and slope (the sine of its angle, signed), mm/s, with the sign
 * of the slope: as a long bubble where it fills the bore, as a small ball where it does not.
 */
export function driftMmS(
  boreMm: number,
  slope: number,
  ml: number,
  fluid: AirFluid,
  climb = climbOf(boreMm, fluid),
): number {
  const sin = Math.min(1, Math.abs(slope));
  if (sin < 1e-3) return 0;
  const ball = ballMmS(boreMm, sin, Math.cbrt((6000 * ml) / Math.PI), fluid);
  return Math.sign(slope) * Math.max(longMmS(boreMm, sin, climb), ball);
}

/** What so much air at rest (mL) is under a gauge pressure. Source: Boyle's law. */
export const pressedMl = (ml: number, gaugeMPa: number): number =>
  (ml * ATMOSPHERE_MPA) / (ATMOSPHERE_MPA + gaugeMPa);
/** What a fluid column of a height presses, MPa. */
export const headMPa = (heightMm: number, { densityKgM3 }: AirFluid): number =>
  densityKgM3 * G_M_S2 * heightMm * 1e-9;
