import { stoppingM } from '../../physics/hydraulics/index.ts';
import { quantitiesOf } from '../../lib/units/index.ts';
import type { Plan, StopTest } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';

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

/** The distance that Size expects from the speed of a stop, unladen, m; null where Size is not begun. */
export function expectedStopM(
  { fromKmh }: Pick<StopTest, 'fromKmh'>,
  { size }: Pick<PlanView, 'size'>,
): number | null {
  if (!size) return null;
  const { usableZ, limits } = size.empty;
  return stoppingM(fromKmh, usableZ, limits?.buildUpS);
}
