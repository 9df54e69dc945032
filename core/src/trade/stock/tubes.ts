import { figure } from '../../lib/faults/index.ts';

export type TubeMaterial = 'steel' | 'copper-nickel' | 'stainless' | 'plain-copper' | 'seam-steel';
/** Tube that is no brake tube: it is known here since it is found on vehicles. Common practice; many places forbid it. */
export const REFUSED_TUBE: readonly TubeMaterial[] = ['plain-copper', 'seam-steel'];
export const MATERIAL_NAMES: Record<TubeMaterial, string> = {
  steel: 'steel', 'copper-nickel': 'copper-nickel', stainless: 'stainless', 'plain-copper': 'plain copper (not for brakes)', 'seam-steel': 'single-wall welded-seam steel (not for brakes)',
}; // prettier-ignore
export interface TubeStock {
  readonly id: string;
  /** Size as it is asked for at the counter. */
  readonly name: string;
  readonly material: TubeMaterial;
  readonly odMm: number;
  readonly wallMm: number;
  readonly source: string;
}

const SIZES = [
  {
    id: '3-16',
    name: '3/16 in',
    odMm: 4.7625,
    wallMm: 0.7112,
    source: 'SAE J1047 size 3/16 x 0.028 in (from memory)',
  },
  {
    id: '1-4',
    name: '1/4 in',
    odMm: 6.35,
    wallMm: 0.7112,
    source: 'SAE J1047 size 1/4 x 0.028 in (from memory)',
  },
  {
    id: '5-16',
    name: '5/16 in',
    odMm: 7.9375,
    wallMm: 0.7112,
    source: 'SAE J1047 size 5/16 x 0.028 in (from memory)',
  },
  {
    id: '3-8',
    name: '3/8 in',
    odMm: 9.525,
    wallMm: 0.7112,
    source: 'SAE J1047 size 3/8 x 0.028 in (from memory)',
  },
  {
    id: '4.75',
    name: '4.75 mm',
    odMm: 4.75,
    wallMm: 0.7,
    source: 'ISO 4038 size 4.75 x 0.7 mm (from memory)',
  },
  {
    id: '5',
    name: '5 mm',
    odMm: 5,
    wallMm: 0.75,
    source: 'DIN 74234 size 5 x 0.75 mm (from memory)',
  },
  { id: '6', name: '6 mm', odMm: 6, wallMm: 0.7, source: 'ISO 4038 size 6 x 0.7 mm (from memory)' },
  { id: '8', name: '8 mm', odMm: 8, wallMm: 1, source: 'DIN 74234 size 8 x 1 mm (from memory)' },
] as const;
const MATERIALS: readonly TubeMaterial[] = ['steel', 'copper-nickel', 'stainless', ...REFUSED_TUBE];

/** Brake tube as sold: the small sizes for pressure, the large ones for feeds, clutches and trailers too. Check the wall printed on the coil. */
export const TUBES: readonly TubeStock[] = MATERIALS.flatMap((material) =>
  SIZES.map((size) => ({ ...size, id: `${size.id}-${material}`, material })),
);

export const tubeById = (id: string): TubeStock | undefined => TUBES.find((tube) => tube.id === id);
export const tubeBoreMm = (tube: Pick<TubeStock, 'odMm' | 'wallMm'>): number =>
  tube.odMm - 2 * tube.wallMm;

/** Fluid in a length of tube, mL: bore area times length. */
export function tubeVolumeMl(tube: Pick<TubeStock, 'odMm' | 'wallMm'>, lengthMm: number): number {
  const boreMm = tubeBoreMm(tube);
  return ((Math.PI / 4) * boreMm * boreMm * lengthMm) / 1000;
}

/** How a tube is named on screen: `3/16 in copper-nickel, 4.76 x 0.71`. */
export const tubeLabel = (tube: TubeStock): string =>
  `${tube.name} ${MATERIAL_NAMES[tube.material]}, ${figure(tube.odMm, 2)} x ${figure(tube.wallMm, 2)}`;
