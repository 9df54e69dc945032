/**
 * Most stress in a tube under pressure, at its bore, MPa: von Mises of hoop, axial (ends closed) and radial.
 * √3·p·ro²/(ro² − ri²). Source: Lamé's thick cylinder (textbook).
 */
export function boreStressMPa(
  pressureMPa: number,
  { odMm, wallMm }: { readonly odMm: number; readonly wallMm: number },
): number {
  const [outer, inner] = [odMm / 2, odMm / 2 - wallMm];
  return (Math.sqrt(3) * pressureMPa * outer * outer) / (outer * outer - inner * inner);
}
