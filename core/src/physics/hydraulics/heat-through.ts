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

/** A wheel as it is: its layers from the face on, and piston, fluid and body of its caliper, °C. */
interface State {
  readonly layers: readonly number[];
  readonly piston: number;
  readonly fluid: number;
  readonly body: number;
}
/** What stays the same of a wheel. */
interface Parts {
  readonly slab: Slab;
  readonly lump: Record<keyof typeof CALIPER, number>;
  readonly ambientC: number;
  readonly layerJK: number;
  readonly betweenWK: number;
  /** The layer that meets the air. */
  readonly cooled: number;
}
/** What a surface radiates to what is round it, W/(m²·K) of the difference between both. Source: Stefan and Boltzmann. */
export function radiatesWm2K(surfaceC: number, ambientC: number): number {
  const [surface, air] = [surfaceC + KELVIN, ambientC + KELVIN];
  return EMISSIVITY * STEFAN * (surface ** 2 + air ** 2) * (surface + air);
}
/** To the air and by radiation, W/K, at a temperature of what is cooled. */
const airWK = (
  { slab: { faceM2 }, ambientC }: Parts,
  surfaceC: number,
  coolsWm2K: number,
): number => faceM2 * (coolsWm2K + radiatesWm2K(surfaceC, ambientC));
/** The layers after a while: each ties to its neighbors, the first to the pads, one to the air. */
function layersAfter(
  parts: Parts,
  { layers, piston }: State,
  { coolsWm2K }: Spell,
  padWK: number,
  watts: number,
  dt: number,
): number[] {
  const { layerJK, betweenWK, cooled, ambientC } = parts;
  const toAirWK = airWK(parts, layers[cooled]!, coolsWm2K);
  const perS = layerJK / dt;
  const last = layers.length - 1;
  return tridiagonal(
    layers.map((_, k) => (k ? -betweenWK : 0)),
    layers.map(
      (_, k) =>
        perS +
        (k ? betweenWK : 0) +
        (k < last ? betweenWK : 0) +
        (k === cooled ? toAirWK : 0) +
        (k ? 0 : padWK),
    ),
    layers.map((_, k) => (k < last ? -betweenWK : 0)),
    layers.map(
      (celsius, k) =>
        perS * celsius + (k === cooled ? toAirWK * ambientC : 0) + (k ? 0 : watts + padWK * piston),
    ),
  );
}
/** Everything after a while of a spell, with so much heat into the faces. */
function after(parts: Parts, now: State, spell: Spell, watts: number, dt: number): State {
  const { lump, ambientC } = parts;
  const padWK = spell.pressed ? lump.pressedWK : lump.awayWK;
  const layers = layersAfter(parts, now, spell, padWK, watts, dt);
  const { piston, fluid, body } = now;
  const toFluidW = lump.pistonFluidWK * (piston - fluid);
  const toBodyW = lump.pistonBodyWK * (piston - body);
  const fluidToBodyW = lump.fluidBodyWK * (fluid - body);
  const toAirW = (lump.airWK + lump.airByKmhWK * spell.kmh) * (body - ambientC);
  return {
    layers,
    piston: piston + (dt / lump.pistonJK) * (padWK * (layers[0]! - piston) - toFluidW - toBodyW),
    fluid: fluid + (dt / lump.fluidJK) * (toFluidW - fluidToBodyW),
    body: body + (dt / lump.bodyJK) * (toBodyW + fluidToBodyW - toAirW),
  };
}

/**
 * Temperatures of a wheel's disc or drum through its thickness, and of the fluid behind its pads, along what happens to
 * it: one-dimensional conduction by backward Euler, cooled by air and radiation, its pads drawing heat to piston and
 * fluid. Source: Fourier's law; a row of lumps for the caliper.
 */
export function warmThrough(
  slab: Slab,
  kind: Brake['kind'],
  ambientC: number,
  spells: readonly Spell[],
): Warmth[] {
  const dx = slab.depthM / LAYERS;
  const parts: Parts = {
    slab,
    lump: kind === 'disc' ? CALIPER : CYLINDER,
    ambientC,
    layerJK: IRON.kgM3 * IRON.jKgK * dx * slab.faceM2,
    betweenWK: (IRON.wMK * slab.faceM2) / dx,
    cooled: slab.coolsAtFace ? 0 : LAYERS - 1,
  };
  let now: State = {
    layers: new Array<number>(LAYERS).fill(ambientC),
    piston: ambientC,
    fluid: ambientC,
    body: ambientC,
  };
  // The face lies half a layer before the middle of its first one.
  const shown = (minutes: number, watts: number): Warmth => ({
    minutes,
    faceC: now.layers[0]! + ((watts / slab.faceM2) * (dx / 2)) / IRON.wMK,
    meanC: now.layers.reduce((sum, t) => sum + t, 0) / LAYERS,
    fluidC: now.fluid,
  });
  const out = [shown(0, 0)];
  let at = 0;
  for (const spell of spells) {
    const steps = Math.max(1, Math.ceil(spell.seconds / spell.stepS));
    const dt = spell.seconds / steps;
    for (let i = 0; i < steps; i++) {
      const watts = spell.fromW + (spell.toW - spell.fromW) * ((i + 0.5) / steps);
      now = after(parts, now, spell, watts, dt);
      at += dt;
      out.push(shown(at / 60, watts));
    }
  }
  return out;
}
