import type { Brake } from './types.ts';

/** Gray cast iron, warm: conductivity W/(m·K), density kg/m³, specific heat J/(kg·K). Source: handbook tables (from memory). */
export const IRON = { wMK: 48, kgM3: 7200, jKgK: 500 } as const;
/** Emissivity of rusted iron that brakes polish, and Stefan and Boltzmann's constant, W/(m²·K⁴). Source: handbook tables (from memory). */
const EMISSIVITY = 0.55;
const STEFAN = 5.670374e-8;
const KELVIN = 273.15;
/** Layers between the face and the middle of a disc, or the outside of a drum. */
const LAYERS = 16;

/** One disc or drum as layers under its rubbed face. */
export interface Slab {
  /** All rubbed faces of one wheel, m². */
  readonly faceM2: number;
  /** From the face to the middle of a disc, or to the outside of a drum, m. */
  readonly depthM: number;
  /** The face itself meets the air, as a disc's does; a drum's outside does. */
  readonly coolsAtFace: boolean;
}
/** What happens to a wheel for a while: how long, heat into its faces at the start and at the end, how it is cooled, and whether its pads press. */
export interface Spell {
  readonly seconds: number;
  readonly stepS: number;
  readonly fromW: number;
  readonly toW: number;
  /** To the air, W/(m²·K), of what is cooled. */
  readonly coolsWm2K: number;
  readonly pressed: boolean;
  /** Speed, which cools the caliper too, km/h. */
  readonly kmh: number;
}
export interface Warmth {
  readonly minutes: number;
  readonly faceC: number;
  readonly meanC: number;
  readonly fluidC: number;
}

/**
 * From the face to the fluid: pads, piston, the fluid behind it, and the caliper round it, as three lumps in a row.
 * J/K and W/K of one wheel, for a common caliper: two pads of 45 cm², 12 mm thick, 2 W/(m·K). Ours, said to be a judgement: what comes of it is known to about a third.
 */
const CALIPER = {
  pistonJK: 300,
  fluidJK: 40,
  bodyJK: 2200,
  pressedWK: 1.5,
  awayWK: 0.4,
  pistonFluidWK: 1.2,
  pistonBodyWK: 0.8,
  fluidBodyWK: 1.5,
  airWK: 1.5,
  airByKmhWK: 0.05,
} as const;
/** The same of a drum's wheel cylinder: shoes and webs between, a drum that shuts its air in. */
const CYLINDER = {
  ...CALIPER,
  pressedWK: 0.4,
  awayWK: 0.15,
  bodyJK: 900,
  airByKmhWK: 0.01,
} as const;

/** Solves a row of equations that each tie a layer to its two neighbors. Source: Thomas's algorithm. */
function tridiagonal(
  below: readonly number[],
  middle: readonly number[],
  above: readonly number[],
  right: readonly number[],
): number[] {
  const n = middle.length;
  const [c, d] = [new Array<number>(n), new Array<number>(n)];
  for (let i = 0; i < n; i++) {
    const over = middle[i]! - (i ? below[i]! * c[i - 1]! : 0);
    c[i] = above[i]! / over;
    d[i] = (right[i]! - (i ? below[i]! * d[i - 1]! : 0)) / over;
  }
  for (let i = n - 2; i >= 0; i--) d[i] = d[i]! - c[i]! * d[i + 1]!;
  return d;
}

/**
 * Temperatures of a wheel's disc or drum through its thickness, and of the fluid behind its pads, along what happens to
 * it: one-dimensional conduction by backward Euler, cooled by air and radiation, its pads drawing heat to piston and
 * fluid. Source: Fourier's law; a row of lumps for the caliper.
 */
export function warmThrough(
  { faceM2, depthM, coolsAtFace }: Slab,
  kind: Brake['kind'],
  ambientC: number,
  spells: readonly Spell[],
): Warmth[] {
  const lump = kind === 'disc' ? CALIPER : CYLINDER;
  const dx = depthM / LAYERS;
  const layerJK = IRON.kgM3 * IRON.jKgK * dx * faceM2;
  const betweenWK = (IRON.wMK * faceM2) / dx;
  let layers = new Array<number>(LAYERS).fill(ambientC);
  let [piston, fluid, body] = [ambientC, ambientC, ambientC];
  const cooled = coolsAtFace ? 0 : LAYERS - 1;
  // The face lies half a layer before the middle of its first one.
  const faceOf = (watts: number): number => layers[0]! + ((watts / faceM2) * (dx / 2)) / IRON.wMK;
  const mean = (): number => layers.reduce((sum, t) => sum + t, 0) / LAYERS;
  const out: Warmth[] = [{ minutes: 0, faceC: ambientC, meanC: ambientC, fluidC: ambientC }];
  let at = 0;
  for (const { seconds, stepS, fromW, toW, coolsWm2K, pressed, kmh } of spells) {
    const steps = Math.max(1, Math.ceil(seconds / stepS));
    const dt = seconds / steps;
    for (let i = 0; i < steps; i++) {
      const watts = fromW + (toW - fromW) * ((i + 0.5) / steps);
      const padWK = pressed ? lump.pressedWK : lump.awayWK;
      const surface = layers[cooled]! + KELVIN;
      const air = ambientC + KELVIN;
      const radiatesWK = EMISSIVITY * STEFAN * faceM2 * (surface ** 2 + air ** 2) * (surface + air);
      const airWK = coolsWm2K * faceM2 + radiatesWK;
      const perS = layerJK / dt;
      const row = (k: number) => ({
        below: k ? -betweenWK : 0,
        above: k < LAYERS - 1 ? -betweenWK : 0,
        middle:
          perS +
          (k ? betweenWK : 0) +
          (k < LAYERS - 1 ? betweenWK : 0) +
          (k === cooled ? airWK : 0) +
          (k === 0 ? padWK : 0),
        right:
          perS * layers[k]! +
          (k === cooled ? airWK * ambientC : 0) +
          (k === 0 ? watts + padWK * piston : 0),
      });
      const rows = layers.map((_, k) => row(k));
      layers = tridiagonal(
        rows.map((one) => one.below),
        rows.map((one) => one.middle),
        rows.map((one) => one.above),
        rows.map((one) => one.right),
      );
      const bodyAirWK = lump.airWK + lump.airByKmhWK * kmh;
      piston +=
        (dt / lump.pistonJK) *
        (padWK * (layers[0]! - piston) -
          lump.pistonFluidWK * (piston - fluid) -
          lump.pistonBodyWK * (piston - body));
      fluid +=
        (dt / lump.fluidJK) *
        (lump.pistonFluidWK * (piston - fluid) - lump.fluidBodyWK * (fluid - body));
      body +=
        (dt / lump.bodyJK) *
        (lump.pistonBodyWK * (piston - body) +
          lump.fluidBodyWK * (fluid - body) -
          bodyAirWK * (body - ambientC));
      at += dt;
      out.push({ minutes: at / 60, faceC: faceOf(watts), meanC: mean(), fluidC: fluid });
    }
  }
  return out;
}
