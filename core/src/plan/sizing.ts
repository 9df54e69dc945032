import type {
  Axle, Axles, AxleLines, Booster, Brake, Category, Combination, Disc, Drum, Master, Pedal, RearValve, SizeInput,
} from '../hydraulics/index.ts'; // prettier-ignore
import { allGuessed, numberPaths, type Sheet } from './figures.ts';
import { hoseOf } from './hose-figures.ts';
import { linesOf } from './line-figures.ts';
import type { LineView } from './line-view.ts';
import type { Plan } from './types.ts';

/** How a vehicle stands on its axles in one state of loading. */
export interface Load {
  readonly massKg: number;
  readonly frontFraction: number;
  readonly cgHeightMm: number;
}
export const LOADS = ['empty', 'laden'] as const;
export type LoadName = (typeof LOADS)[number];

export type Hose = Pick<AxleLines, 'hoseMm' | 'hoseMlPerMPaM'>;
/** What the foot does to the road, as the user gave it. Tube lengths are the plan's own. */
export interface Sizing extends Sheet {
  readonly category: Category;
  readonly wheelbaseMm: number;
  readonly tyreRadiusMm: Axles<number>;
  readonly empty: Load;
  readonly laden: Load;
  readonly pedal: Pedal;
  readonly booster: Booster | null;
  readonly master: Master;
  readonly front: Brake;
  readonly rear: Brake;
  readonly rearValve: RearValve | null;
  /** How far one turn of the valve's adjuster moves its knee, by the maker's sheet; null where that is not known. */
  readonly kneePerTurnMPa: number | null;
  readonly combination: Combination | null;
  readonly hoses: Axles<Hose>;
  readonly bulkGPa: number;
  readonly airMl: Axles<number>;
  readonly mu: number;
  /** Lining that may wear away before it is renewed. */
  readonly wearMm: Axles<number>;
}

const AXLES = ['front', 'rear'] as const;
/** The load between empty (0) and laden (1). */
export const loadAt = ({ empty, laden }: Pick<Sizing, 'empty' | 'laden'>, share: number): Load => {
  const between = (key: keyof Load): number => empty[key] + share * (laden[key] - empty[key]);
  return { massKg: between('massKg'), frontFraction: between('frontFraction'), cgHeightMm: between('cgHeightMm') };
};

const circuitsOf = ({ circuits }: Plan, axle: Axle): string[] => circuits.filter((c) => c.work === 'brake' && c.axle === axle).map((c) => c.id); // prettier-ignore

/** Hose that the plan's own hoses make up for what a sheet sizes, by axle where it has axles: there the typed figure stands aside. */
export function plannedHoses(plan: Plan, of: string): readonly ({ readonly name: string } & Hose)[] {
  const work = (kind: 'brake' | 'clutch'): string[] => plan.circuits.filter((c) => c.work === kind).map((c) => c.id);
  const [sheet, index] = of.split('.');
  const circuits: Record<string, readonly (readonly [name: string, ids: readonly string[]])[]> = {
    sizing: AXLES.map((axle) => [axle, circuitsOf(plan, axle)] as const),
    trailer: [['', work('brake')]],
    clutch: [['', work('clutch')]],
    singles: [['', [plan.singles[Number(index)]?.circuitId ?? '']]],
  };
  return (circuits[sheet!] ?? []).flatMap(([name, ids]) => {
    const hose = hoseOf(plan.hoses, ids);
    return hose ? [{ name, ...hose }] : [];
  });
}
/** Tubes and hose of some circuits; the typed hose counts only where the plan has none of its own for them. */
export const linesWith = (plan: Plan, lines: readonly LineView[], circuitIds: readonly string[], typed: Hose): AxleLines =>
  linesOf(lines, circuitIds, hoseOf(plan.hoses, circuitIds) ?? typed);

/** What `size` reads, from the plan at a load between empty (0) and laden (1). */
export function sizeInputOf(plan: Plan, sizing: Sizing, lines: readonly LineView[], share: number): SizeInput {
  const { wheelbaseMm, tyreRadiusMm, pedal, booster, master, front, rear, rearValve, bulkGPa, airMl, mu } = sizing;
  const linesAt = (axle: Axle): AxleLines => linesWith(plan, lines, circuitsOf(plan, axle), sizing.hoses[axle]);
  return {
    vehicle: { ...loadAt(sizing, share), wheelbaseMm, tyreRadiusMm },
    pedal, booster, master, front, rear, rearValve, airMl, mu,
    lines: { front: linesAt('front'), rear: linesAt('rear') },
    fluid: { bulkGPa },
  }; // prettier-ignore
}

/** An ordinary brake of each kind. Common practice. */
export const TYPICAL_BRAKE: { readonly disc: Disc; readonly drum: Drum } = {
  disc: { kind: 'disc', pistonsMm: [54], opposed: false, padMu: 0.4, effectiveRadiusMm: 115, clearanceMm: 0.15, complianceMmPerMPa: 0.015 },
  drum: { kind: 'drum', cylinderMm: 19.05, brakeFactor: 2.4, drumRadiusMm: 114, travelMm: 2.2 },
}; // prettier-ignore

const TYPICAL: Omit<Sizing, 'category' | 'open'> = {
  wheelbaseMm: 2700,
  tyreRadiusMm: { front: 320, rear: 320 },
  empty: { massKg: 1400, frontFraction: 0.52, cgHeightMm: 600 },
  laden: { massKg: 1900, frontFraction: 0.46, cgHeightMm: 680 },
  pedal: { forceN: 400, ratio: 6, efficiency: 0.9, strokeMm: 150 },
  booster: null,
  master: { kind: 'tandem', boreMm: 22.225, strokeMm: 34, deadMm: 1.5 },
  front: TYPICAL_BRAKE.disc,
  rear: TYPICAL_BRAKE.drum,
  rearValve: null,
  kneePerTurnMPa: null,
  combination: null,
  hoses: { front: { hoseMm: 800, hoseMlPerMPaM: 0.2 }, rear: { hoseMm: 400, hoseMlPerMPaM: 0.2 } },
  bulkGPa: 1.7,
  airMl: { front: 0, rear: 0 },
  mu: 0.8,
  wearMm: { front: 8, rear: 3 },
};

/** Figures of an ordinary vehicle to begin with: every one of them a guess. Common practice. */
export const typicalSizing = (category: Category): Sizing => ({ category, ...allGuessed(TYPICAL) });

/** A brake of a kind with typical figures, each a guess under `path`. */
export const typicalBrake = (kind: Brake['kind'], path: string): { readonly brake: Brake; readonly open: string[] } => ({
  brake: TYPICAL_BRAKE[kind],
  open: numberPaths(TYPICAL_BRAKE[kind], path),
});
