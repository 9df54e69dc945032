import type { AxleLines } from '../../physics/hydraulics/index.ts';
import { tubeBoreMm, tubeById, type TubeStock } from '../../trade/stock/index.ts';
import type { LineView } from './line-view.ts';

/**
 * Young's modulus, Poisson's ratio, density and least yield of brake tube as it is sold, annealed. Source: handbook
 * values and what tube standards guarantee (from memory); the coil's sheet comes first.
 */
export const TUBE_MATTER: Record<
  TubeStock['material'],
  {
    readonly youngGPa: number;
    readonly poisson: number;
    readonly densityKgM3: number;
    readonly yieldMPa: number;
  }
> = {
  steel: { youngGPa: 207, poisson: 0.3, densityKgM3: 7850, yieldMPa: 172 },
  stainless: { youngGPa: 193, poisson: 0.3, densityKgM3: 8000, yieldMPa: 205 },
  'copper-nickel': { youngGPa: 135, poisson: 0.34, densityKgM3: 8900, yieldMPa: 110 },
  'plain-copper': { youngGPa: 117, poisson: 0.34, densityKgM3: 8940, yieldMPa: 60 },
  'seam-steel': { youngGPa: 207, poisson: 0.3, densityKgM3: 7850, yieldMPa: 170 },
};
/** What circuits without lines yet are reckoned with: no length of an ordinary tube. */
const NO_TUBE = tubeById('3-16-steel')!;

/** The lines of some circuits put together with their hose: all their length, of the tube that most of it is made of. */
export function linesOf(
  lines: readonly LineView[],
  circuitIds: readonly string[],
  hose: Pick<AxleLines, 'hoseMm' | 'hoseMlPerMPaM'>,
): AxleLines {
  const own = lines.filter((line) => circuitIds.includes(line.line.circuitId) && line.card);
  const longest = own.reduce<LineView | null>(
    (most, line) => (!most || line.card!.developedMm > most.card!.developedMm ? line : most),
    null,
  );
  const tube = longest?.tube ?? NO_TUBE;
  return {
    tubeMm: own.reduce((sum, line) => sum + line.card!.developedMm, 0),
    idMm: tubeBoreMm(tube),
    odMm: tube.odMm,
    youngGPa: TUBE_MATTER[tube.material].youngGPa,
    poisson: TUBE_MATTER[tube.material].poisson,
    ...hose,
  };
}
