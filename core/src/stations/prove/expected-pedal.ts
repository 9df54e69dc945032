import {
  HARD_MPA,
  masterMmPerMl,
  sumMl,
  takenMl,
  type DiagnoseInput,
} from '../../physics/hydraulics/index.ts';
import type { Circuit } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';

/** What a curve is held against: the pedal of the plan without air, and how much of it may be too much. */
export type HeldAgainst = Required<Pick<DiagnoseInput, 'expected' | 'referenceMPa' | 'limitMm'>>;

/** Of the travel there is, the share that may be too much. Ours, said to be a judgement. */
const LIMIT_SHARE = 0.07;
/** Pads that settle and seals that roll take this at low pressure, mL an axle, known to so much; most of it by this pressure. Ours, said to be a judgement. */
const SEATING_ML = 0.15;
const SEATING_DOUBT_ML = 0.1;
const SEATING_MPA = 0.4;
/** How well the plan's own figures give what swells, and gaps of pads and shoes, as shares; what a pedal box gives besides, mm/MPa; play of a pushrod, mm. Ours, said to be a judgement. */
const FLEX_DOUBT = 0.15;
const GAP_DOUBT = 0.15;
const BOX_MM_PER_MPA = 0.2;
const PLAY_MM = 0.5;

/**
 * The pedal of a brake circuit as Size calculates it without air, both axles pressed: free play, gaps, what gives with
 * pressure, and what settles at first. Null where Size is not begun, and for a clutch. Source: volumes as in Size.
 */
export function expectedPedal(
  circuit: Circuit,
  { size, plan }: Pick<PlanView, 'size' | 'plan'>,
): HeldAgainst | null {
  if (!size || circuit.work !== 'brake') return null;
  const { input } = size.empty;
  const { ratio, strokeMm } = input.pedal;
  const moves = masterMmPerMl(input);
  const mmAt = (mpa: number): number =>
    (['front', 'rear'] as const).reduce(
      (sum, axle) =>
        sum +
        ratio *
          moves[axle] *
          sumMl(takenMl(input[axle], input.lines[axle], input.fluid.bulkGPa, 0, mpa)),
      0,
    );
  const play = plan.parts.find(({ kind }) => kind === 'master')?.figures.freePlayMm ?? 1;
  const gapsMm = mmAt(0);
  // A hard stop, or the planned pressure where that is less.
  const referenceMPa = Math.min(HARD_MPA, Math.max(1, size.empty.size.pressureMPa.front));
  const flexMmPerMPa = (mmAt(referenceMPa) - gapsMm) / referenceMPa;
  const seatingMm = (ml: number): number => ratio * (moves.front + moves.rear) * ml;
  return {
    expected: {
      t0Mm: ratio * (play + input.master.deadMm),
      flexMmPerMPa,
      padMm: gapsMm + seatingMm(SEATING_ML),
      padMPa: SEATING_MPA,
      sigma: {
        t0Mm: ratio * PLAY_MM,
        flexMmPerMPa: Math.hypot(FLEX_DOUBT * flexMmPerMPa, BOX_MM_PER_MPA),
        padMm: Math.hypot(GAP_DOUBT * gapsMm, seatingMm(SEATING_DOUBT_ML)),
      },
    },
    referenceMPa,
    limitMm: LIMIT_SHARE * strokeMm,
  };
}
