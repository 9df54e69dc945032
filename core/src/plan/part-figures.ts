import type { PartKind } from './types.ts';

interface FigureSpec {
  readonly name: string;
  readonly kinds: readonly PartKind[] | 'all';
  readonly unit: 'length' | 'MPa' | 'mL';
  readonly least: number;
  readonly most: number;
}
/** Figures that a part may have, and the kinds of part that have them. */
export const PART_FIGURES = {
  ratingMPa: { name: 'Rated pressure', kinds: 'all', unit: 'MPa', least: 0.01, most: 200 },
  levelMm: { name: 'Fluid level over the ground, at its lowest mark', kinds: ['master', 'reservoir'], unit: 'length', least: -1000, most: 10_000 },
  reservoirMl: { name: 'Fluid between its two marks', kinds: ['master', 'reservoir', 'actuator'], unit: 'mL', least: 0, most: 10_000 },
  freePlayMm: { name: 'Free play of the pushrod', kinds: ['master'], unit: 'length', least: 0, most: 50 },
  residualMPa: { name: 'Residual pressure', kinds: ['residual-valve'], unit: 'MPa', least: 0.001, most: 1 },
} as const satisfies Record<string, FigureSpec>; // prettier-ignore

export type PartFigure = keyof typeof PART_FIGURES;
export type PartFigures = Readonly<Partial<Record<PartFigure, number>>>;

export const figuresOf = (kind: PartKind): PartFigure[] =>
  (Object.keys(PART_FIGURES) as PartFigure[]).filter((figure) => {
    const { kinds } = PART_FIGURES[figure] as FigureSpec;
    return kinds === 'all' || kinds.includes(kind);
  });
