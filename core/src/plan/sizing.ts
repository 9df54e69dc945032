import type { Axles, AxleLines, Booster, Brake, Category, Master, Pedal, RearValve, SizeInput } from '../hydraulics/index.ts';
import { tubeBoreMm, tubeById, type TubeStock } from '../stock/index.ts';
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

/** What the foot does to the road, as the user gave it. Tube lengths are the plan's own. */
export interface Sizing {
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
  readonly hoses: Axles<{ readonly hoseMm: number; readonly hoseMlPerMPaM: number }>;
  readonly bulkGPa: number;
  readonly airMl: Axles<number>;
  readonly mu: number;
  /** Figures that are still guesses, by their path here (`pedal.ratio`). */
  readonly open: readonly string[];
}

/** Young's modulus and Poisson's ratio of brake tube. Source: handbook values (from memory). */
const STIFFNESS: Record<TubeStock['material'], { readonly youngGPa: number; readonly poisson: number }> = {
  steel: { youngGPa: 207, poisson: 0.3 },
  stainless: { youngGPa: 193, poisson: 0.3 },
  'copper-nickel': { youngGPa: 135, poisson: 0.34 },
};
/** What an axle without lines yet is reckoned with: no length of an ordinary tube. */
const NO_TUBE = tubeById('3-16-steel')!;

/** The lines of an axle put together: all their length, of the tube that most of it is made of. */
function axleLines(plan: Plan, sizing: Sizing, lines: readonly LineView[], axle: 'front' | 'rear'): AxleLines {
  const circuits = new Set(plan.circuits.filter((c) => c.work === 'brake' && c.axle === axle).map((c) => c.id));
  const own = lines.filter((line) => circuits.has(line.line.circuitId) && line.card);
  const longest = own.reduce<LineView | null>(
    (most, line) => (!most || line.card!.developedMm > most.card!.developedMm ? line : most),
    null,
  );
  const tube = longest?.tube ?? NO_TUBE;
  return {
    tubeMm: own.reduce((sum, line) => sum + line.card!.developedMm, 0),
    idMm: tubeBoreMm(tube),
    odMm: tube.odMm,
    ...STIFFNESS[tube.material],
    ...sizing.hoses[axle],
  };
}

/** The load between empty (0) and laden (1). */
export const loadAt = ({ empty, laden }: Pick<Sizing, 'empty' | 'laden'>, share: number): Load => {
  const between = (key: keyof Load): number => empty[key] + share * (laden[key] - empty[key]);
  return { massKg: between('massKg'), frontFraction: between('frontFraction'), cgHeightMm: between('cgHeightMm') };
};

/** What `size` reads, from the plan at a load between empty (0) and laden (1). */
export function sizeInputOf(plan: Plan, sizing: Sizing, lines: readonly LineView[], share: number): SizeInput {
  const { wheelbaseMm, tyreRadiusMm, pedal, booster, master, front, rear, rearValve, bulkGPa, airMl, mu } = sizing;
  return {
    vehicle: { ...loadAt(sizing, share), wheelbaseMm, tyreRadiusMm },
    pedal, booster, master, front, rear, rearValve, airMl, mu,
    lines: { front: axleLines(plan, sizing, lines, 'front'), rear: axleLines(plan, sizing, lines, 'rear') },
    fluid: { bulkGPa },
  }; // prettier-ignore
}

type Json = { readonly [key: string]: unknown };
const withAt = (value: unknown, path: readonly string[], to: unknown): unknown => {
  const [key, ...rest] = path;
  if (key === undefined) return to;
  if (Array.isArray(value)) return value.map((item, i) => (String(i) === key ? withAt(item, rest, to) : item));
  return { ...(value as Json), [key]: withAt((value as Json)[key], rest, to) };
};

/** A figure by its path, such as `pedal.ratio` or `front.pistonsMm.0`. */
export const figureAt = (sizing: Sizing, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => (value as Json | undefined)?.[key], sizing);

/** The sizing with one figure or part of it changed; what is set is no guess any more. */
export function withFigure(sizing: Sizing, path: string, to: unknown): Sizing {
  const changed = withAt(sizing, path.split('.'), to) as Sizing;
  return { ...changed, open: sizing.open.filter((open) => open !== path && !open.startsWith(`${path}.`)) };
}

/** Every path that leads to a number. */
function numberPaths(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, item]) => numberPaths(item, path ? `${path}.${key}` : key));
}

const TYPICAL: Omit<Sizing, 'category' | 'open'> = {
  wheelbaseMm: 2700,
  tyreRadiusMm: { front: 320, rear: 320 },
  empty: { massKg: 1400, frontFraction: 0.52, cgHeightMm: 600 },
  laden: { massKg: 1900, frontFraction: 0.46, cgHeightMm: 680 },
  pedal: { forceN: 400, ratio: 6, efficiency: 0.9, strokeMm: 150 },
  booster: null,
  master: { kind: 'tandem', boreMm: 22.225, strokeMm: 34, deadMm: 1.5 },
  front: {
    kind: 'disc',
    pistonsMm: [54],
    opposed: false,
    padMu: 0.4,
    effectiveRadiusMm: 115,
    clearanceMm: 0.15,
    complianceMmPerMPa: 0.015,
  },
  rear: { kind: 'drum', cylinderMm: 19.05, brakeFactor: 2.4, drumRadiusMm: 114, travelMm: 2.2 },
  rearValve: null,
  hoses: { front: { hoseMm: 800, hoseMlPerMPaM: 0.2 }, rear: { hoseMm: 400, hoseMlPerMPaM: 0.2 } },
  bulkGPa: 1.7,
  airMl: { front: 0, rear: 0 },
  mu: 0.8,
};

/** Figures of an ordinary vehicle to begin with: every one of them a guess. Common practice. */
export const typicalSizing = (category: Category): Sizing => ({ category, ...TYPICAL, open: numberPaths(TYPICAL) });

/** The other kind of brake with typical figures, each a guess under `axle`. */
export const typicalBrake = (kind: Brake['kind'], axle: 'front' | 'rear'): { readonly brake: Brake; readonly open: string[] } => {
  const brake = kind === 'disc' ? TYPICAL.front : TYPICAL.rear;
  return { brake, open: numberPaths(brake, axle) };
};
