import {
  APPLICATIONS,
  kneeFor,
  rearLeads,
  reserveOf,
  shareFor,
  size,
  stoppingM,
  usableZ,
  withFailed,
  withoutBooster,
  type CircuitShare,
  type Failure,
  type Heating,
  type Limits,
  type Reserve,
  type Size,
  type SizeInput,
} from '../../physics/hydraulics/index.ts';
import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import type { LineView } from '../layout/line-view.ts';
import { heatView } from './heat-view.ts';
import { limitsOf, LOADS, sizeInputOf, type LoadName } from './sizing.ts';
import type { Plan, Sizing } from '../model/index.ts';

/** From foot to road in one state of loading. */
export interface LoadView {
  readonly input: SizeInput;
  readonly size: Size;
  /** Deceleration that can be had before an axle locks. */
  readonly usableZ: number;
  readonly stopM: number;
  readonly rearLeads: { readonly fromZ: number; readonly toZ: number } | null;
  /** Each circuit failed in turn, and the booster where there is one. */
  readonly failed: readonly Failure[];
  /** What a vacuum booster has left without its supply; null where its volume is not set down. */
  readonly reserve: Reserve | null;
  /** How hot the brakes become; null while their discs and drums are not set down. */
  readonly heat: readonly Heating[] | null;
  readonly limits: Limits | null;
  /** Speed that the stop is reckoned from, km/h. */
  readonly fromKmh: number;
}
export interface SizeView {
  readonly at: (share: number) => LoadView;
  readonly empty: LoadView;
  readonly laden: LoadView;
  /** Pressures with the most force that the rule allows the foot, booster and all; with the planned force where no rule is known. */
  readonly mostMPa: Size['pressureMPa'];
  /** The highest knee at which a valve of a slope keeps the rear behind the front in both loads; null where none of that slope does. */
  readonly kneeFor: (slope: number) => number | null;
  /** The same for one load, for a valve that is moved by it. */
  readonly kneeAt: (slope: number, load: LoadName) => number | null;
  /** The least front share of a balance bar that does so; null where none does or there is no bar. */
  readonly barFor: () => number | null;
}

const DEFAULT_KMH = 100;

/** A valve that steps aside when the front circuit has failed. */
const bypassed = ({ valveSheet }: Sizing, input: SizeInput, { share }: CircuitShare): SizeInput =>
  valveSheet?.bypass && share.front === 1 ? { ...input, rearValve: null } : input;

function reserveView(
  { booster, boosterBy, master }: Sizing,
  input: SizeInput,
  limits: Limits | null,
): Reserve | null {
  return booster && boosterBy && 'chamberMl' in boosterBy
    ? reserveOf(
        { ...input, booster },
        boosterBy.chamberMl,
        master.strokeMm,
        APPLICATIONS[boosterBy.kind],
        limits?.residual ?? null,
      )
    : null;
}

function loadView(
  sizing: Sizing,
  input: SizeInput,
  limits: Limits | null,
  circuits: readonly CircuitShare[],
): LoadView {
  const z = usableZ(input);
  const sized = size(input, circuits);
  const fromKmh = limits?.fromKmh ?? DEFAULT_KMH;
  return {
    input,
    size: sized,
    usableZ: z,
    stopM: stoppingM(fromKmh, z, limits?.buildUpS),
    rearLeads: rearLeads(input, limits?.balance),
    failed: [
      ...circuits.map((one) => withFailed(bypassed(sizing, input, one), one, limits?.residual)),
      withoutBooster(input, limits?.residual),
    ].filter((one) => one !== null),
    reserve: reserveView(sizing, input, limits),
    heat: heatView(sizing, input, limits),
    limits,
    fromKmh,
  };
}

const mostMPa = ({ input, limits }: LoadView, circuits: readonly CircuitShare[]) => {
  const forceN = Math.max(input.pedal.forceN, limits?.pedalMostN ?? 0);
  return size({ ...input, pedal: { ...input.pedal, forceN } }, circuits).pressureMPa;
};

function sizeOf(
  plan: Pick<Plan, 'circuits' | 'hoses'>,
  sizing: Sizing | null,
  lines: readonly LineView[],
  circuits: readonly CircuitShare[],
): SizeView | null {
  if (!sizing) return null;
  const at = (share: number): LoadView =>
    loadView(sizing, sizeInputOf(plan, sizing, lines, share), limitsOf(sizing), circuits);
  try {
    const [empty, laden] = LOADS.map((_: LoadName, i) => at(i)) as [LoadView, LoadView];
    const cases = [empty.input.vehicle, laden.input.vehicle];
    return {
      at,
      empty,
      laden,
      mostMPa: mostMPa(empty, circuits),
      kneeFor: (slope) => kneeFor(empty.input, cases, slope, empty.limits?.balance),
      kneeAt: (slope, load) =>
        kneeFor(empty.input, [{ empty, laden }[load].input.vehicle], slope, empty.limits?.balance),
      barFor: () => shareFor(empty.input, cases, empty.limits?.balance),
    };
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** What the foot does to the road in a plan; null until its sizing is begun or where its figures cannot be reckoned with. */
export const sizeView = derive(
  'from foot to road',
  (
    { sizing, circuits, hoses }: Pick<Plan, 'sizing' | 'circuits' | 'hoses'>,
    lines: readonly LineView[],
    shares: readonly CircuitShare[],
  ) => [lines, sizing, circuits, hoses, shares],
  (lines, sizing, circuits, hoses, shares) => sizeOf({ circuits, hoses }, sizing, lines, shares),
);
