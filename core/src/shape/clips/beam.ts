/** A tube full of fluid, as a beam. */
export interface Beam {
  readonly odMm: number;
  readonly wallMm: number;
  readonly youngGPa: number;
  readonly densityKgM3: number;
  readonly fluidKgM3: number;
}

/** √(EI/m) in m²/s: stiffness of the tube's wall against its mass with the fluid in it. */
function stiffness({ odMm, wallMm, youngGPa, densityKgM3, fluidKgM3 }: Beam): number {
  const [od, id] = [odMm / 1000, (odMm - 2 * wallMm) / 1000];
  const inertia = (Math.PI / 64) * (od ** 4 - id ** 4);
  const mass = (Math.PI / 4) * ((od ** 2 - id ** 2) * densityKgM3 + id ** 2 * fluidKgM3);
  return Math.sqrt((youngGPa * 1e9 * inertia) / mass);
}

/**
 * First natural frequency of a span between two clips, Hz: (π/2)·√(EI/(m·L⁴)), m the tube and the fluid in it.
 * Source: Blevins, Formulas for Natural Frequency and Mode Shape, pinned beam (from memory).
 */
export const naturalHz = (beam: Beam, spanMm: number): number =>
  ((Math.PI / 2) * stiffness(beam)) / (spanMm / 1000) ** 2;

/** The longest span that rings at `hz` or above, mm; without end where `hz` is 0. */
export const spanForHz = (beam: Beam, hz: number): number =>
  hz > 0 ? 1000 * Math.sqrt(((Math.PI / 2) * stiffness(beam)) / hz) : Infinity;
