import {
  HARD_MPA,
  masterMmPerMl,
  sumMl,
  takenMl,
  type DiagnoseInput,
} from '../../physics/hydraulics/index.ts';
import type { Circuit, PedalCurve, Plan, SingleSheet } from '../../plan/index.ts';
import { BULK_GPA, linesWith, pressureOf, type PlanView } from '../../plan/results/index.ts';
import type { BuiltTo } from './true-vehicle.ts';

/** What a curve is held against: the pedal of the plan without air, and how much of it may be too much. */
export type HeldAgainst = Required<Pick<DiagnoseInput, 'expected' | 'referenceMPa' | 'limitMm'>>;

/** Of the travel there is, the share that may be too much. Ours, said to be a judgement. */
const LIMIT_SHARE = 0.07;
/** Pads that settle and seals that roll take this at low pressure, mL an axle, known to so much; most of it by this pressure. Ours, said to be a judgement. */
const SEATING_ML = 0.15;
const SEATING_DOUBT_ML = 0.1;
const SEATING_MPA = 0.4;
/** How well the plan's own figures give what swells, and gaps of pads and shoes, as shares; what a pedal box gives besides, mm/MPa; play of a pushrod where nobody measured it, mm and its doubt, and as it is felt, mm at the pad. Ours, said to be a judgement. */
const FLEX_DOUBT = 0.15;
const GAP_DOUBT = 0.15;
const BOX_MM_PER_MPA = 0.2;
const PLAY_MM = 1;
const PLAY_DOUBT_MM = 0.5;
const FELT_DOUBT_MM = 1;

/** A pedal or lever on the fluid it moves: its ratio and stroke, its master's lost stroke, and its travel by what the brakes take and for each mL more. */
interface Press {
  readonly ratio: number;
  readonly strokeMm: number;
  readonly deadMm: number;
  readonly plannedMPa: number;
  readonly mmAt: (pMPa: number) => number;
  readonly mmPerMl: number;
}
/** Stroke of a pedal of no plan, mm. Common practice. */
const USUAL_STROKE_MM = 150;
const boreArea = (mm: number): number => (Math.PI / 4) * mm ** 2;

function footPress({ size }: Pick<PlanView, 'size'>, plannedMPa: number): Press | null {
  if (!size) return null;
  const { input } = size.empty;
  const moves = masterMmPerMl(input);
  const { ratio, strokeMm } = input.pedal;
  const { bulkGPa } = input.fluid;
  return {
    ratio,
    strokeMm,
    deadMm: input.master.deadMm,
    plannedMPa,
    mmAt: (p) =>
      (['front', 'rear'] as const).reduce(
        (sum, axle) =>
          sum + ratio * moves[axle] * sumMl(takenMl(input[axle], input.lines[axle], bulkGPa, 0, p)),
        0,
      ),
    mmPerMl: ratio * (moves.front + moves.rear),
  };
}
function leverPress(
  sheet: SingleSheet,
  { plan, lines }: Pick<PedalAsked, 'plan' | 'lines'>,
  plannedMPa: number,
): Press {
  const { lever, brake, wheels, boreMm, deadMm } = sheet;
  const own = linesWith(plan, lines, sheet.circuitId ? [sheet.circuitId] : [], sheet.hose);
  const mmPerMl = (lever.ratio * 1000) / boreArea(boreMm);
  return {
    ratio: lever.ratio,
    strokeMm: lever.strokeMm,
    deadMm,
    plannedMPa,
    mmAt: (p) => {
      const taken = takenMl(brake, own, BULK_GPA, 0, p);
      return mmPerMl * (sumMl(taken) - (wheels === 1 ? taken.pads / 2 : 0));
    },
    mmPerMl,
  };
}
type Sheets = Pick<Plan, 'wheelEnds' | 'parts' | 'singles' | 'trailer' | 'circuits' | 'hoses'>;
export type PedalAsked = Pick<PlanView, 'size' | 'works' | 'lines'> & { readonly plan: Sheets };
/** Free play at the pad as it was felt, or from the master's sheet; mm and how well it is known. */
function playOf({ wheelEnds, parts }: Sheets, ratio: number): { mm: number; sigmaMm: number } {
  const felt = wheelEnds.play.coldMm;
  return felt === null
    ? {
        mm: ratio * (parts.find(({ kind }) => kind === 'master')?.figures.freePlayMm ?? PLAY_MM),
        sigmaMm: ratio * PLAY_DOUBT_MM,
      }
    : { mm: felt, sigmaMm: FELT_DOUBT_MM };
}

/**
 * The pedal of a brake circuit as Size calculates it without air, both axles pressed, or a lever of its own: free play,
 * gaps, what gives with pressure, and what settles at first. Null where Size is not begun, and for a clutch, whose
 * pressure is its diaphragm's. Source: volumes as in Size.
 */
export function expectedPedal(circuit: Circuit, view: PedalAsked): HeldAgainst | null {
  const { singles } = view.plan;
  const plannedMPa = pressureOf(circuit, view)?.plannedMPa;
  if (circuit.work !== 'brake' || !plannedMPa) return null;
  const lever = singles.find(({ circuitId }) => circuitId === circuit.id);
  const press = lever ? leverPress(lever, view, plannedMPa) : footPress(view, plannedMPa);
  if (!press) return null;
  const { ratio, strokeMm, deadMm, mmAt, mmPerMl } = press;
  const play = lever
    ? { mm: ratio * PLAY_MM, sigmaMm: ratio * PLAY_DOUBT_MM }
    : playOf(view.plan, ratio);
  const gapsMm = mmAt(0);
  // A hard stop, or the planned pressure where that is less.
  const referenceMPa = Math.min(HARD_MPA, Math.max(1, plannedMPa));
  const flexMmPerMPa = (mmAt(referenceMPa) - gapsMm) / referenceMPa;
  return {
    expected: {
      t0Mm: play.mm + ratio * deadMm,
      flexMmPerMPa,
      padMm: gapsMm + mmPerMl * SEATING_ML,
      padMPa: SEATING_MPA,
      sigma: {
        t0Mm: Math.hypot(play.sigmaMm, 0.2 * ratio * deadMm),
        flexMmPerMPa: Math.hypot(FLEX_DOUBT * flexMmPerMPa, BOX_MM_PER_MPA),
        padMm: Math.hypot(GAP_DOUBT * gapsMm, mmPerMl * SEATING_DOUBT_ML),
      },
    },
    referenceMPa,
    limitMm: LIMIT_SHARE * strokeMm,
  };
}

/** The pedal ratio and master bore that a curve of a circuit is taken on; a common pedal where no figure says. */
export function pedalOn(
  { id, work, axle }: Circuit,
  { sizing, clutch, singles }: Pick<Plan, 'sizing' | 'clutch' | 'singles'>,
): Pick<PedalCurve, 'ratio' | 'boreMm'> {
  if (work === 'clutch' && clutch)
    return { ratio: clutch.pedal.ratio, boreMm: clutch.masterBoreMm };
  const lever = singles.find(({ circuitId }) => circuitId === id);
  if (lever) return { ratio: lever.lever.ratio, boreMm: lever.boreMm };
  if (!sizing) return { ratio: 5, boreMm: 22.2 };
  const { pedal, master } = sizing;
  return {
    ratio: pedal.ratio,
    boreMm:
      master.kind === 'tandem'
        ? master.boreMm
        : axle === 'rear'
          ? master.rearBoreMm
          : master.frontBoreMm,
  };
}
/** What a vehicle would be built to, to have the calculated pedal. */
export const builtTo = (
  { ratio, boreMm }: Pick<PedalCurve, 'ratio' | 'boreMm'>,
  { expected }: Pick<HeldAgainst, 'expected'>,
): BuiltTo => ({
  ratio,
  boreMm,
  t0Mm: expected.t0Mm,
  gapMm: expected.padMm,
  flexMmPerMPa: expected.flexMmPerMPa,
});
/** A calculated pedal for a vehicle of no plan: what it was built to, known as well as a plan's own is. */
export const againstBuilt = ({ ratio, t0Mm, gapMm, flexMmPerMPa }: BuiltTo): HeldAgainst => ({
  expected: {
    t0Mm,
    flexMmPerMPa,
    padMm: gapMm,
    padMPa: SEATING_MPA,
    sigma: {
      t0Mm: ratio * PLAY_DOUBT_MM,
      flexMmPerMPa: Math.hypot(FLEX_DOUBT * flexMmPerMPa, BOX_MM_PER_MPA),
      padMm: GAP_DOUBT * gapMm + 1,
    },
  },
  referenceMPa: HARD_MPA,
  limitMm: LIMIT_SHARE * USUAL_STROKE_MM,
});
