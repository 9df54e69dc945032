import {
  limitsFor,
  size,
  squeezedKPa,
  type Axle,
  type AxleLines,
  type Booster,
  type Limits,
  type RearValve,
  type SizeInput,
} from '../../physics/hydraulics/index.ts';
import type { HoseFigures, Load, Plan, Sizing } from '../model/index.ts';
import { hoseOf } from '../layout/hose-figures.ts';
import { linesOf } from '../layout/line-figures.ts';
import type { LineView } from '../layout/line-view.ts';

export const LOADS = ['empty', 'laden'] as const;
export type LoadName = (typeof LOADS)[number];

const AXLES = ['front', 'rear'] as const;
/** The load between empty (0) and laden (1). */
export const loadAt = ({ empty, laden }: Pick<Sizing, 'empty' | 'laden'>, share: number): Load => {
  const between = (key: keyof Load): number => empty[key] + share * (laden[key] - empty[key]);
  return {
    massKg: between('massKg'),
    frontFraction: between('frontFraction'),
    cgHeightMm: between('cgHeightMm'),
  };
};

/** The limits of a vehicle's class, laden; null where none is known for its kind. */
export const limitsOf = (sizing: Sizing): Limits | null =>
  limitsFor(sizing.category, loadAt(sizing, 1).massKg, sizing.ruleClass);

const circuitsOf = ({ circuits }: Pick<Plan, 'circuits'>, axle: Axle): string[] =>
  circuits.filter((c) => c.work === 'brake' && c.axle === axle).map((c) => c.id);

/** Hose that the plan's own hoses make up for what a sheet sizes, by axle where it has axles: there the typed figure stands aside. */
export function plannedHoses(
  plan: Plan,
  of: string,
): readonly ({ readonly name: string } & HoseFigures)[] {
  const work = (kind: 'brake' | 'clutch'): string[] =>
    plan.circuits.filter((c) => c.work === kind).map((c) => c.id);
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
export const linesWith = (
  plan: Pick<Plan, 'hoses'>,
  lines: readonly LineView[],
  circuitIds: readonly string[],
  typed: HoseFigures,
): AxleLines => linesOf(lines, circuitIds, hoseOf(plan.hoses, circuitIds) ?? typed);

/** The booster as `size` reckons it: one that is not moved by vacuum helps up to what its sheet gives. */
function boosterOf({ booster, boosterBy }: Pick<Sizing, 'booster' | 'boosterBy'>): Booster | null {
  if (!booster || !boosterBy || !('mostN' in boosterBy)) return booster;
  return { gain: booster.gain, vacuumKPa: boosterBy.mostN, diaphragmMm2: 1000 };
}
/** The valve at a load: the knee of a load-sensing one moves with it. */
function valveAt({ rearValve, valveSheet }: Sizing, share: number): RearValve | null {
  const laden = valveSheet?.ladenKneeMPa ?? null;
  return rearValve && laden !== null
    ? { ...rearValve, kneeMPa: rearValve.kneeMPa + share * (laden - rearValve.kneeMPa) }
    : rearValve;
}

/** What `size` reads, from the plan at a load between empty (0) and laden (1). */
export function sizeInputOf(
  plan: Pick<Plan, 'circuits' | 'hoses'>,
  sizing: Sizing,
  lines: readonly LineView[],
  share: number,
): SizeInput {
  const { wheelbaseMm, tyreRadiusMm, pedal, master, front, rear, bulkGPa, airMl, mu } = sizing;
  const [booster, rearValve] = [boosterOf(sizing), valveAt(sizing, share)];
  const linesAt = (axle: Axle): AxleLines =>
    linesWith(plan, lines, circuitsOf(plan, axle), sizing.hoses[axle]);
  return atFullStroke(sizing, {
    vehicle: { ...loadAt(sizing, share), wheelbaseMm, tyreRadiusMm },
    pedal,
    booster,
    master,
    front,
    rear,
    rearValve,
    airMl,
    mu,
    lines: { front: linesAt('front'), rear: linesAt('rear') },
    fluid: { bulkGPa },
  });
}
/** More rounds than it takes for less help, less stroke and more vacuum to agree. */
const ROUNDS = 4;
/**
 * A vacuum booster at the end of the planned stroke: its diaphragm has swept its way, and the air left on the vacuum side
 * is squeezed into the rest of it. Source: Boyle.
 */
function atFullStroke({ booster, boosterBy, master }: Sizing, input: SizeInput): SizeInput {
  if (!booster || !boosterBy || !('chamberMl' in boosterBy)) return input;
  let now = input;
  for (let i = 0; i < ROUNDS; i++) {
    const strokeMm = Math.min(size(now).strokeMm, master.strokeMm);
    const sweptMl = (booster.diaphragmMm2 * strokeMm) / 1000;
    const vacuumKPa = squeezedKPa(booster.vacuumKPa, boosterBy.chamberMl, sweptMl);
    now = { ...input, booster: { ...booster, vacuumKPa } };
  }
  return now;
}
