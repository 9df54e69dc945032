import type { AxleLines } from '../../physics/hydraulics/index.ts';
import {
  hoseById,
  hoseFittingById,
  hoseMlPerM,
  type HoseFitting,
} from '../../trade/stock/index.ts';
import type { Hose } from '../model/index.ts';

/** Pressure at which the fluid that hoses take is reckoned, MPa: a hard stop. Common practice. */
export const HARD_MPA = 6.9;

/** A fitting's own length, from the seat's face to where the hose begins, along its middle. */
export const fittingMm = ({ stemMm, legMm }: HoseFitting): number => stemMm + legMm;

/** Length of free hose between its two fittings; not above nought where the fittings alone are longer than what is ordered. */
export const freeMm = ({
  orderMm,
  ends,
}: Pick<Hose, 'orderMm'> & {
  readonly ends: { readonly [E in 'a' | 'b']: { readonly fittingId: string } };
}): number =>
  orderMm -
  fittingMm(hoseFittingById(ends.a.fittingId)!) -
  fittingMm(hoseFittingById(ends.b.fittingId)!);

/** Fluid in a hose, its fittings counted like it, mL. */
export function hoseVolumeMl({ orderMm, stockId }: Pick<Hose, 'orderMm' | 'stockId'>): number {
  const { boreMm } = hoseById(stockId)!;
  return ((Math.PI / 4) * boreMm * boreMm * orderMm) / 1000;
}

/**
 * All pressure hose of some circuits with what a metre of it takes for each MPa, at a hard stop; null
 * where they have none, so that the figure typed in Size stands. A class without points counts as taking nothing.
 */
export function hoseOf(
  hoses: readonly Hose[],
  circuitIds: readonly string[],
): Pick<AxleLines, 'hoseMm' | 'hoseMlPerMPaM'> | null {
  const own = hoses.filter(
    (hose) => hose.service === 'pressure' && circuitIds.includes(hose.circuitId),
  );
  const lengths = own.map((hose) => ({
    mm: Math.max(0, freeMm(hose)),
    perMPa: (hoseMlPerM(hoseById(hose.stockId)!, HARD_MPA) ?? 0) / HARD_MPA,
  }));
  const hoseMm = lengths.reduce((sum, { mm }) => sum + mm, 0);
  if (hoseMm <= 0) return null;
  return {
    hoseMm,
    hoseMlPerMPaM: lengths.reduce((sum, { mm, perMPa }) => sum + mm * perMPa, 0) / hoseMm,
  };
}
