export type FluidFamily = 'glycol' | 'silicone' | 'mineral';
export interface Fluid {
  readonly id: string;
  readonly name: string;
  readonly family: FluidFamily;
  /** Least boiling points, °C; null where the standard gives none. */
  readonly dryBoilC: number | null;
  readonly wetBoilC: number | null;
  readonly mixes: string;
  /** Thin enough in the cold for modulators that ask for it: at most 750 mm²/s at −40 °C. Source: ISO 4925 class 6 (from memory). */
  readonly thin?: boolean;
  readonly source: string;
}

const FMVSS = '49 CFR 571.116 S5.1.1 and S5.1.2 (from memory)';
const GLYCOL = 'Glycol: mixes with DOT 3, 4 and 5.1 only. Strips paint.';

/** Fluids by family; families never mix. */
export const FLUIDS: readonly Fluid[] = [
  { id: 'dot-3', name: 'DOT 3', family: 'glycol', dryBoilC: 205, wetBoilC: 140, mixes: GLYCOL, source: FMVSS },
  { id: 'dot-4', name: 'DOT 4', family: 'glycol', dryBoilC: 230, wetBoilC: 155, mixes: GLYCOL, source: FMVSS },
  { id: 'dot-4-thin', name: 'DOT 4 LV, low viscosity', family: 'glycol', dryBoilC: 250, wetBoilC: 165, mixes: GLYCOL, thin: true, source: 'ISO 4925 class 6 (from memory)' },
  { id: 'dot-5.1', name: 'DOT 5.1', family: 'glycol', dryBoilC: 260, wetBoilC: 180, mixes: GLYCOL, source: FMVSS },
  { id: 'dot-5', name: 'DOT 5 silicone', family: 'silicone', dryBoilC: 260, wetBoilC: 180, mixes: 'Silicone: mixes with nothing; color proves nothing. Foams: pump slowly.', source: FMVSS },
  { id: 'mineral', name: 'Mineral oil', family: 'mineral', dryBoilC: null, wetBoilC: null, mixes: 'Mineral oil: mixes with nothing, swells seals made for glycol.', source: 'Common practice' },
]; // prettier-ignore

export const fluidById = (id: string): Fluid | undefined => FLUIDS.find((fluid) => fluid.id === id);
