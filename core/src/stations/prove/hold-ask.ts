import { sumMl, takenMl } from '../../physics/hydraulics/index.ts';
import { fluidFor, hoseVolumeMl, type Circuit } from '../../plan/index.ts';
import { pressureOf, type PlanView } from '../../plan/results/index.ts';
import { onCircuit } from './on-circuit.ts';
import { fluidById, HOSE_HOLDS_MPA, type FluidFamily } from '../../trade/stock/index.ts';

/** What a circuit is held at, what the most force on the pedal makes of it, and how stiffly its fluid is shut in. */
export interface HoldAsk {
  readonly circuitId: string;
  readonly wantedMPa: number;
  /** With the most force that the rule allows the foot, booster and all; null where nothing is known of it. */
  readonly mostMPa: number | null;
  /** The least that a part, hose or gauge point of the circuit is made for, and its name; null where no rating is known. */
  readonly rated: { readonly mpa: number; readonly name: string } | null;
  /** Rise of the pressure of the fluid shut in a kelvin, with the pedal jacked rigidly, and how well that is known. */
  readonly stiffnessMPaPerK: number;
  readonly stiffnessSigmaMPaPerK: number;
}

/** Working pressure that a hold is taken at, MPa: between these where the plan's own is not. Common practice. */
const WORKING_MPA = [5, 10] as const;
/** A circuit of which nothing is known is held at this, MPa. Common practice. */
const USUAL_MPA = 7;
/** A clutch whose figures are not there is held at about what works it, MPa. Common practice. */
const CLUTCH_MPA = 3;
/** Expansion of fluid, a kelvin. Common practice (from memory); the fluid's sheet comes first. */
const EXPANSION: Record<FluidFamily, number> = { glycol: 7.5e-4, silicone: 9.5e-4, mineral: 8e-4 };
/** What shut-in fluid rises by where the plan cannot say, MPa/K: between soft hoses and rigid steel. Ours, said to be a judgement. */
const UNKNOWN_STIFFNESS = 0.4;
/** How well the plan's compliance is known, as a share. Ours, said to be a judgement. */
const STIFFNESS_DOUBT = 0.4;

/** Volume shut in between master and brakes, mL. */
function shutInMl(circuit: Circuit, { lines, plan }: PlanView): number {
  const own = onCircuit(circuit.id, lines, plan.hoses, plan.parts);
  return (
    own.lines.reduce((sum, { volumeMl }) => sum + volumeMl, 0) +
    own.hoses
      .filter(({ service }) => service === 'pressure')
      .reduce((sum, hose) => sum + hoseVolumeMl(hose), 0) +
    own.parts
      .filter(({ kind }) => kind !== 'master' && kind !== 'reservoir')
      .reduce((sum, { cavityMl }) => sum + cavityMl, 0)
  );
}

/** How far the pressure of shut-in fluid rises a kelvin: its expansion over what the circuit gives. Source: β·V ÷ (dV/dp), dV/dp as in Size. */
function stiffnessOf(circuit: Circuit, view: PlanView, atMPa: number): number {
  const { size, plan, bleeding } = view;
  if (!size || circuit.work !== 'brake' || !circuit.axle) return UNKNOWN_STIFFNESS;
  const { input } = size.empty;
  const taken = (mpa: number): number =>
    sumMl(takenMl(input[circuit.axle!], input.lines[circuit.axle!], input.fluid.bulkGPa, 0, mpa));
  const givesMlPerMPa = (taken(atMPa + 0.1) - taken(atMPa - 0.1)) / 0.2;
  const reservoirs = bleeding.find(({ work }) => work === circuit.work)?.reservoirs ?? [];
  const { family } = fluidById(fluidFor(plan, reservoirs))!;
  const volumeMl = shutInMl(circuit, view);
  return volumeMl > 0 && givesMlPerMPa > 0
    ? (EXPANSION[family] * volumeMl) / givesMlPerMPa
    : UNKNOWN_STIFFNESS;
}

/** What of a circuit bears least, by its maker's rating, or by what brake hose is proven to hold. */
function leastRated(circuit: Circuit, { lines, plan }: PlanView): HoldAsk['rated'] {
  const { parts, hoses } = onCircuit(circuit.id, lines, plan.hoses, plan.parts);
  const rated = [
    ...parts.flatMap(({ name, figures: { ratingMPa: mpa } }) =>
      mpa === undefined ? [] : [{ name, mpa }],
    ),
    ...hoses
      .filter(({ service }) => service === 'pressure')
      .map(({ name }) => ({ name, mpa: HOSE_HOLDS_MPA })),
  ];
  return rated.reduce<HoldAsk['rated']>((a, b) => (a && a.mpa <= b.mpa ? a : b), null);
}

const tenths = (mpa: number): number => Math.round(mpa * 10) / 10;
/** What the hold of a circuit asks. A rating that is lower never lowers it: that is a snag of its own. */
export function holdAsk(circuit: Circuit, view: PlanView): HoldAsk {
  const known = pressureOf(circuit, view);
  const isClutch = circuit.work === 'clutch';
  const planned = known?.plannedMPa ?? (isClutch ? CLUTCH_MPA : USUAL_MPA);
  const [least, most] = WORKING_MPA;
  const wantedMPa = tenths(isClutch ? planned : Math.min(Math.max(planned, least), most));
  const stiffness = stiffnessOf(circuit, view, wantedMPa);
  return {
    circuitId: circuit.id,
    wantedMPa,
    mostMPa: known && tenths(known.mostMPa),
    rated: leastRated(circuit, view),
    stiffnessMPaPerK: stiffness,
    stiffnessSigmaMPaPerK: STIFFNESS_DOUBT * stiffness,
  };
}
