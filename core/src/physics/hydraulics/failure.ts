import { braking, loadsN, pushN } from './balance.ts';
import { twinBoreMm, twinShare, type CircuitShare } from './circuits.ts';
import { stoppingM, usableZ } from './limits.ts';
import type { ResidualBrakingRule } from './rules.ts';
import { sumMl, takenMl } from './size.ts';
import {
  AXLES,
  boreArea,
  DEFAULT_MU,
  GRAVITY_MS2,
  perAxle,
  type Axles,
  type SizeInput,
} from './types.ts';

/** What is left when something has failed, at the foot force that the vehicle's rule names. */
export interface Failure {
  /** The circuit, or the booster. */
  readonly failed: string;
  /** What is left of each axle's brakes. */
  readonly left: Axles<number>;
  readonly footN: number;
  /** The most in what is left. */
  readonly pressureMPa: number;
  /** Deceleration that can be had: by that foot, and no more than the wheels that are left can hold. */
  readonly z: number;
  /** The grip of an axle sets it, not the foot. */
  readonly locks: boolean;
  readonly travelMm: number;
  /** The master or the pedal runs out of stroke before the deceleration that is asked for. */
  readonly strokesOut: boolean;
}

/** Share of a tandem's stroke that each chamber has to itself. Common practice: halves; the maker's sheet comes first. */
const CHAMBER_SHARE = 0.5;

/** Deceleration by the brakes that are left, and the adhesion that the wheels with brakes then use, the most of both axles. */
function leftAt(
  input: SizeInput,
  left: Axles<number>,
  push: number,
): { readonly z: number; readonly used: number; readonly pressureMPa: Axles<number> } {
  const { pressureMPa, forceN } = braking(input, push);
  const own = perAxle((axle) => left[axle] * forceN[axle]);
  const z = (own.front + own.rear) / (input.vehicle.massKg * GRAVITY_MS2);
  const loads = loadsN(input.vehicle, z);
  const used = AXLES.map((axle) =>
    own[axle] > 0 ? (loads[axle] > 0 ? own[axle] / (left[axle] * loads[axle]) : Infinity) : 0,
  );
  return { z, used: Math.max(...used), pressureMPa };
}
/** The greatest push up to `most` for which something still holds. */
function greatest(most: number, holds: (push: number) => boolean): number {
  if (holds(most)) return most;
  let [low, high] = [0, most];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * What is left when a circuit has failed: the wheels of no other circuit brake. A tandem's dead chamber
 * closes up (half its stroke) and the other takes the whole push; on a balance bar a dead master runs to
 * its end and the other keeps the share of the push that the bar gives it. The stroke is asked at the
 * push for the deceleration that the rule asks, where the foot gives that much. Source: statics of both,
 * loads from moments about the tyre contacts; chamber halves are common practice.
 */
export function withFailed(
  given: SizeInput,
  { name, share }: CircuitShare,
  rule: ResidualBrakingRule | null = null,
): Failure {
  const footN = rule?.footMostN ?? given.pedal.forceN;
  const input = { ...given, pedal: { ...given.pedal, forceN: footN } };
  const left = perAxle((axle) => Math.max(0, 1 - share[axle]));
  const { master, pedal } = input;
  const foot = pushN(pedal, input.booster);
  const mu = input.mu ?? DEFAULT_MU;
  const push = greatest(foot, (one) => leftAt(input, left, one).used <= mu);
  const { z, pressureMPa } = leftAt(input, left, push);
  const askedZ = Math.min(z, rule ? rule.leastMs2 / GRAVITY_MS2 : z);
  const asked = leftAt(
    input,
    left,
    greatest(push, (one) => leftAt(input, left, one).z <= askedZ),
  );
  const ml = perAxle(
    (axle) =>
      left[axle] *
      sumMl(
        takenMl(
          input[axle],
          input.lines[axle],
          input.fluid.bulkGPa,
          input.airMl[axle],
          asked.pressureMPa[axle],
        ),
      ),
  );
  const stroke = master.kind === 'tandem' ? tandemStroke(master, ml) : twinStroke(master, left, ml);
  const travelMm = stroke.mm * pedal.ratio;
  return {
    failed: name,
    left,
    footN,
    pressureMPa: Math.max(...AXLES.map((axle) => (left[axle] > 0 ? pressureMPa[axle] : 0))),
    z,
    locks: push < foot,
    travelMm,
    strokesOut: stroke.isOut || travelMm > pedal.strokeMm,
  };
}
type MasterOf<K> = Extract<SizeInput['master'], { kind: K }>;
interface Stroke {
  readonly mm: number;
  readonly isOut: boolean;
}
function tandemStroke({ boreMm, strokeMm, deadMm }: MasterOf<'tandem'>, ml: Axles<number>): Stroke {
  const ownMm = (1000 * (ml.front + ml.rear)) / boreArea(boreMm);
  return {
    mm: deadMm + ownMm + CHAMBER_SHARE * strokeMm,
    isOut: deadMm + ownMm > (1 - CHAMBER_SHARE) * strokeMm,
  };
}
/** The dead master runs to its end, the other takes what is left; both move the pedal by their share of the bar. */
function twinStroke(master: MasterOf<'twin'>, left: Axles<number>, ml: Axles<number>): Stroke {
  const { strokeMm, deadMm } = master;
  const alive: CircuitShare = { name: '', share: left };
  const ownMm = (1000 * (ml.front + ml.rear)) / boreArea(twinBoreMm(master, alive));
  const bar = twinShare(master, alive);
  return {
    mm: deadMm + bar * ownMm + (1 - bar) * (strokeMm - deadMm),
    isOut: deadMm + ownMm > strokeMm,
  };
}

/** What the foot alone does when the booster gives nothing; null where there is none. */
export function withoutBooster(
  given: SizeInput,
  rule: ResidualBrakingRule | null = null,
): Failure | null {
  if (!given.booster) return null;
  const footN = rule?.footMostN ?? given.pedal.forceN;
  const input = { ...given, booster: null, pedal: { ...given.pedal, forceN: footN } };
  const brakes = braking(input, pushN(input.pedal));
  const z = usableZ(input);
  return {
    failed: 'Booster',
    left: { front: 1, rear: 1 },
    footN,
    pressureMPa: brakes.pressureMPa.front,
    z,
    locks: z < brakes.z - 1e-9,
    travelMm: 0,
    strokesOut: false,
  };
}

/** Whether what is left is as much as the rule asks: by its distance, or by its mean deceleration. */
export const isEnough = ({ z }: Failure, rule: ResidualBrakingRule, buildUpS: number): boolean =>
  stoppingM(rule.fromKmh, z, buildUpS) <= rule.mostM(rule.fromKmh) + 1e-9 ||
  z * GRAVITY_MS2 >= rule.leastMs2 - 1e-9;
