import {
  kneeByBalance,
  realBalance,
  stoppingM,
  usableZ,
  DEFAULT_MU,
  GRAVITY_MS2,
  type RealBalance,
} from '../../physics/hydraulics/index.ts';
import { ROUGH_KMH } from '../../physics/proof-tests/index.ts';
import { quantitiesOf } from '../../lib/units/index.ts';
import type { Plan, StopTest } from '../../plan/index.ts';
import type { LoadView, PlanView } from '../../plan/results/index.ts';

type Advised = Pick<PlanView, 'size'> & {
  readonly plan: Pick<Plan, 'sizing' | 'units' | 'ownUnits'>;
};

/** Turns by which the knee must come down to where Size keeps the rear behind the front, at least one; null where that is not known. */
function turnsDown({ size, plan: { sizing } }: Advised): number | null {
  const valve = sizing?.rearValve;
  const perTurn = sizing?.kneePerTurnMPa;
  const allowed = valve && size?.kneeFor(valve.slope);
  return valve && perTurn && allowed
    ? Math.max(1, Math.ceil((valve.kneeMPa - allowed) / perTurn - 1e-9))
    : null;
}

/** What the valve may do after a stop in which the front locked first: never past the knee that Size allows, the unladen case among them. */
function roomToRear({ size, plan }: Advised): string {
  const { sizing } = plan;
  const valve = sizing?.rearValve;
  if (!valve || !size) return '';
  const { pressure } = quantitiesOf(plan);
  const allowed = size.kneeFor(valve.slope);
  if (allowed === null)
    return ' No knee of this valve keeps the rear behind: give the rear no more.';
  const perTurn = sizing.kneePerTurnMPa;
  if (perTurn === null)
    return ` The knee is at ${pressure(valve.kneeMPa, 2)}, and Size allows ${pressure(allowed, 2)}. Enter what a turn moves it before giving the rear more.`;
  return valve.kneeMPa + perTurn <= allowed
    ? ` The knee is at ${pressure(valve.kneeMPa, 2)}, and Size allows ${pressure(allowed, 2)} unladen and laden: one turn more stays under it. Enter the new knee in Size, and change nothing else in the same run.`
    : ` The knee is at ${pressure(valve.kneeMPa, 2)}, and Size allows ${pressure(allowed, 2)}: give the rear no more.`;
}

/** What to do after a stop: by which axle locked, and by what Size allows. */
export function stopAdvice(stop: StopTest, view: Advised): string {
  const { sizing } = view.plan;
  if (stop.locked === 'rear') {
    const turns = turnsDown(view);
    const by = turns === null || turns === 1 ? 'one turn' : `${turns} turns`;
    const to =
      stop.valveTurns === null ? '' : `, to ${Math.max(0, stop.valveTurns - (turns ?? 1))}`;
    return sizing?.rearValve
      ? `The rear locked first: the vehicle can spin. Reduce the rear by ${by}${to}, one change per run, then repeat from a lower speed.`
      : 'The rear locked first: the vehicle can spin. Do not drive it. Fit a valve in the rear circuit, or another bore: see Size.';
  }
  return stop.locked === 'front' ? `The front locked first, as it should.${roomToRear(view)}` : '';
}

const loadOf = (
  { laden }: Pick<StopTest, 'laden'>,
  size: NonNullable<PlanView['size']>,
): LoadView => (laden ? size.laden : size.empty);
/** Distance from a speed with a valve's knee elsewhere, m. */
function stopWith({ input, limits }: LoadView, fromKmh: number, kneeMPa?: number): number {
  const { rearValve } = input;
  const changed =
    rearValve && kneeMPa !== undefined ? { ...input, rearValve: { ...rearValve, kneeMPa } } : input;
  return stoppingM(fromKmh, usableZ(changed), limits?.buildUpS);
}
/** The distance that Size expects from the speed of a stop, as it was loaded, m; null where Size is not begun. */
export function expectedStopM(
  stop: Pick<StopTest, 'fromKmh' | 'laden'>,
  { size }: Pick<PlanView, 'size'>,
): number | null {
  return size ? stopWith(loadOf(stop, size), stop.fromKmh) : null;
}

/** How well a deceleration is read as an axle locks, as a share; and a road’s grip that somebody gave, or that of Size. Ours, said to be a judgement. */
const READ_SHARE = 0.04;
const GRIP_GIVEN = 0.05;
const GRIP_ASSUMED = 0.1;

export interface FoundBalance extends RealBalance {
  /** The grip that was reckoned with. */
  readonly grip: number;
  /** The knee that this balance allows, with twice its doubt on the safe side and never over what Size allows; null where there is no valve, or none of its slope does. */
  readonly kneeMPa: number | null;
}
/** The real balance out of a stop in which an axle locked at a known deceleration; null where one of them is not there, undefined where the grip cannot be so. */
export function balanceFound(
  stop: StopTest,
  { size, plan: { sizing } }: Advised,
): FoundBalance | null | undefined {
  if (!size || !sizing || stop.locked === 'none' || stop.lockedAtMs2 === undefined) return null;
  const load = loadOf(stop, size);
  const z = stop.lockedAtMs2 / GRAVITY_MS2;
  const grip = stop.grip ?? sizing.mu ?? DEFAULT_MU;
  const found = realBalance(load.input, {
    axle: stop.locked,
    z,
    zSigma: READ_SHARE * z,
    grip,
    gripSigma: stop.grip === undefined ? GRIP_ASSUMED : GRIP_GIVEN,
  });
  if (!found) return undefined;
  const valve = sizing.rearValve;
  const cases = [size.empty.input.vehicle, size.laden.input.vehicle];
  // A rear that is stronger than found would lock first: so the front is taken as weaker by twice its doubt.
  const front = Math.max(0.05, found.frontShare - 2 * found.sigma);
  const knee =
    valve &&
    kneeByBalance(size.empty.input, cases, valve.slope, found, front, size.empty.limits?.balance);
  const allowed = valve && size.kneeFor(valve.slope);
  return {
    ...found,
    grip,
    kneeMPa: knee === null || allowed === null || !valve ? null : Math.min(knee!, allowed!),
  };
}
/** The same as a sentence; empty where nothing can be told. */
export function balanceWords(stop: StopTest, view: Advised): string {
  const found = balanceFound(stop, view);
  if (found === null) return '';
  if (found === undefined)
    return 'No balance gives this: the road had another grip than entered. Enter its grip, or read the deceleration again.';
  const { frontShare, sigma, calculated, grip, kneeMPa } = found;
  const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;
  const { pressure } = quantitiesOf(view.plan);
  const knee =
    kneeMPa === null
      ? ''
      : kneeMPa === Infinity
        ? ' By that the valve is not needed.'
        : ` Set the knee no higher than ${pressure(kneeMPa, 2)}.`;
  return `The ${stop.locked} locked at ${(stop.lockedAtMs2! / GRAVITY_MS2).toFixed(2)} g on a road of grip ${grip.toFixed(2)}: the front makes ${percent(frontShare)} ± ${percent(2 * sigma)} of the braking, and Size calculates ${percent(calculated)}.${knee}`;
}

const turnsBetween = (before: StopTest, stop: StopTest): number =>
  before.valveTurns === null || stop.valveTurns === null ? 0 : stop.valveTurns - before.valveTurns;
const areAlike = (a: StopTest, b: StopTest): boolean =>
  a.when === b.when &&
  (a.laden ?? false) === (b.laden ?? false) &&
  Math.abs(a.fromKmh - b.fromKmh) <= ROUGH_KMH;
/** By how much Size expects so many turns of the valve to change a stop, m; null where it does not know what a turn does. */
function expectedChangeM(stop: StopTest, turned: number, { size, plan }: Advised): number | null {
  const { rearValve: valve, kneePerTurnMPa: perTurn } = plan.sizing ?? {};
  if (!valve || !perTurn || !size) return null;
  const load = loadOf(stop, size);
  return (
    stopWith(load, stop.fromKmh, valve.kneeMPa) -
    stopWith(load, stop.fromKmh, Math.max(0, valve.kneeMPa - turned * perTurn))
  );
}
/** What a change was to do to the distance since the stop before, and what it did; empty where nothing was changed. */
export function changeWords(before: StopTest | undefined, stop: StopTest, view: Advised): string {
  const turned = before ? turnsBetween(before, stop) : 0;
  if (!before || (!turned && !stop.changed)) return '';
  if (turned && stop.changed)
    return 'The valve and something else were changed in one run: nobody can tell which did what. Change one thing per run.';
  if (!areAlike(before, stop))
    return 'The stop before was made with another speed, load or bedding. Repeat it to compare.';
  const { distance } = quantitiesOf(view.plan);
  const went = (m: number): string => `${m < 0 ? '−' : '+'}${distance(Math.abs(m), 1)}`;
  const came = went(stop.distanceM * (before.fromKmh / stop.fromKmh) ** 2 - before.distanceM);
  if (!turned) return `Changed: ${stop.changed}. Distance ${came}.`;
  const turns = `${Math.abs(turned)} ${Math.abs(turned) === 1 ? 'turn' : 'turns'} ${turned > 0 ? 'in' : 'out'}`;
  const expectedM = expectedChangeM(stop, turned, view);
  return expectedM === null
    ? `Valve ${turns}. Distance ${came}. Enter in Size what a turn moves the knee, to see what was to be expected.`
    : `Valve ${turns}. Expected ${went(expectedM)}, came ${came}.`;
}
