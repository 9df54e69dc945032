import { clearanceTo, meshEpoch, obstacleOf, thingAt, type Thing } from '../frame/index.ts';
import {
  freeTurnDeg, judge, mover, posesOf, RIDE, worstOf, type Clamp, type HoseVerdict, type Motion, type NamedPose, type Pose, type Settled, type Shape,
} from '../hose/index.ts'; // prettier-ignore
import { InputError } from '../fault/index.ts';
import { freeMm, type Hose, type HoseEnd, type Plan, type PortView } from '../plan/index.ts';
import { hoseById, hoseFittingById, type HoseFitting, type HoseStock } from '../stock/index.ts';
import { addScaled, distance, radians, rotate, scale, squareTo, unit, type Vec3 } from '../vec/index.ts';

/** How near to a thing is still worth saying, mm. */
const SHOWN_MM = 60;
/** So much of a hose next to its fittings may lie on what these are mounted on. Common practice. */
const SPARED_MM = 35;

/** A hose's end as it stands at ride: its seat, and where and which way the hose leaves it. */
export interface EndPlace {
  readonly seatMm: Vec3;
  readonly thread: Vec3;
  readonly clamp: Clamp;
}
export interface HoseNear {
  readonly thing: Thing;
  readonly distanceMm: number;
  readonly wantedMm: number;
}
/** A hose in one pose of its travel. */
export interface HoseState extends NamedPose {
  readonly verdict: HoseVerdict;
  readonly minRadiusMm: number | null;
  readonly chordMm: number;
  readonly slackMm: number;
  readonly shape: Shape | null;
  readonly rods: readonly Settled[];
  readonly clampB: Clamp;
  /** How far from free of twist it hangs, against ride; null where it does not reach. */
  readonly turnDeg: number | null;
  /** What it comes nearest to touching, and what heats it most; null where nothing is near. */
  readonly near: HoseNear | null;
  readonly hot: HoseNear | null;
}
export interface HoseView {
  readonly hose: Hose;
  readonly stock: HoseStock;
  readonly fittings: { readonly a: HoseFitting; readonly b: HoseFitting };
  readonly ends: { readonly a: EndPlace; readonly b: EndPlace };
  readonly freeMm: number;
  readonly states: readonly HoseState[];
  readonly worst: HoseState | null;
  /** Twist that the travel puts in where neither end can turn; 0 where one can. */
  readonly twistDeg: number;
  /** Why there are no states. */
  readonly fault: string | null;
}

/** Where an end of a hose stands. */
export function placeEnd(end: HoseEnd, ports: ReadonlyMap<string, PortView>): EndPlace {
  const at = end.portId === null ? null : (ports.get(end.portId) ?? null);
  const seatMm = at ? at.fixed.atMm : end.atMm;
  const own = unit(at ? at.port.direction : end.direction)!;
  const thread = at && end.through ? scale(own, -1) : own;
  const { stemMm, legMm, bendDeg } = hoseFittingById(end.fittingId)!;
  const side = rotate(squareTo(thread), thread, end.turnDeg);
  const bend = radians(bendDeg);
  const direction = addScaled(scale(thread, Math.cos(bend)), side, Math.sin(bend));
  const pointMm = addScaled(addScaled(seatMm, thread, stemMm), direction, legMm);
  return { seatMm, thread, clamp: { pointMm, direction } };
}

/** End B's clamp in a pose of its travel; null where its arm cannot go that far. */
export function clampAt(motion: Motion, { clamp }: EndPlace, pose: Pose): Clamp | null {
  const moved = mover(motion, pose);
  return moved && { pointMm: moved.place(clamp.pointMm), direction: moved.direction(clamp.direction) };
}

const share = (s: number, [low, high]: readonly [number, number]): number => (s < 0 ? -s * low : s * high);
/** A thing as it stands while a hose's end is in a pose. */
export const posedThing = (thing: Thing, pose: Pose): Thing =>
  thingAt(thing, (travel) => ({
    heaveMm: share(pose.heave, travel.heaveMm),
    rollDeg: pose.roll * travel.rollDeg,
    lockDeg: pose.lock * travel.lockDeg,
  }));

/** What a hose comes nearest to, against what is wanted there, things standing in the same pose; what its ends stand on spared near them. */
export function nearestThing(things: readonly Thing[], shape: Shape, odMm: number, pose: Pose): HoseNear | null {
  let best: HoseNear | null = null;
  for (const thing of things) {
    const gap = clearanceTo(obstacleOf(posedThing(thing, pose)), shape.pointsMm, odMm, thing.keepMm + SHOWN_MM, SPARED_MM, shape.lengthMm - SPARED_MM);
    if (!gap) continue;
    const wantedMm = thing.holds ? 0 : thing.keepMm;
    if (!best || gap.distanceMm - wantedMm < best.distanceMm - best.wantedMm) best = { thing, distanceMm: gap.distanceMm, wantedMm };
  }
  return best;
} // prettier-ignore

/** The state before this one in the order of `posesOf`: its nearest neighbour toward ride. */
function neighbour(states: readonly HoseState[], pose: Pose): HoseState | undefined {
  const apart = (one: Pose): number => Math.abs(one.heave - pose.heave) + Math.abs(one.lock - pose.lock) + Math.abs(one.roll - pose.roll) + Math.abs(one.float - pose.float); // prettier-ignore
  return states.reduce<HoseState | undefined>((best, one) => (one.rods.length && (!best || apart(one.pose) < apart(best.pose)) ? one : best), undefined); // prettier-ignore
}

/**
 * A hose of a free length through its travel: found all round at ride, then from state to state,
 * each time with a few other starts besides, so that no state keeps a shape that it would jump out of. Throws InputError where a shape does not come to rest or the arm does not
 * reach. `things` null: nothing is measured to. Ends early after a state that is `enough`.
 */
export function sweep(motion: Motion, a: Clamp, b: EndPlace, lengthMm: number, stock: HoseStock, things: readonly Thing[] | null, enough: (state: HoseState) => boolean = () => false): HoseState[] {
  const states: HoseState[] = [];
  // Heat is no matter of length: it is told apart from what the hose touches.
  const hot = things?.filter((thing) => thing.nature === 'hot') ?? [];
  const cold = things?.filter((thing) => thing.nature !== 'hot') ?? [];
  let freeAtRide = 0;
  for (const named of posesOf(motion)) {
    const clampB = clampAt(motion, b, named.pose);
    if (!clampB) throw new InputError('motion', `The arm is too short for ${named.name}: check travel and the line it swings about.`);
    const judged = judge(lengthMm, a, clampB, stock.minRadiusMm, neighbour(states, named.pose)?.rods, named.name, true);
    const { shape } = judged;
    const mark = mover(motion, named.pose)!.direction(squareTo(b.clamp.direction));
    const free = shape && freeTurnDeg(shape.pointsMm, unit(a.direction)!, scale(clampB.direction, -1), squareTo(unit(a.direction)!), mark);
    if (named.pose === RIDE || !states.length) freeAtRide = free ?? 0;
    const turned = free === null ? null : ((free - freeAtRide + 540) % 360) - 180;
    states.push({
      ...named,
      verdict: judged.verdict,
      minRadiusMm: shape?.minRadiusMm ?? null,
      chordMm: judged.chordMm,
      slackMm: lengthMm - judged.chordMm,
      shape,
      rods: judged.rods,
      clampB,
      turnDeg: turned,
      near: shape && nearestThing(cold, shape, stock.odMm, named.pose),
      hot: shape && nearestThing(hot, shape, stock.odMm, named.pose),
    });
    if (enough(states.at(-1)!)) break;
  }
  return states;
} // prettier-ignore

const remembered = new WeakMap<Hose, { on: readonly unknown[]; view: HoseView }>();

/** A hose with all that follows from it; the same hose among the same things is computed once. */
export function hoseView(plan: Pick<Plan, 'things'>, hose: Hose, ports: ReadonlyMap<string, PortView>): HoseView {
  const on = [plan.things, meshEpoch(), ...(['a', 'b'] as const).flatMap((end) => [ports.get(hose.ends[end].portId ?? '')?.fixed.atMm.join(), ports.get(hose.ends[end].portId ?? '')?.port.direction])]; // prettier-ignore
  const before = remembered.get(hose);
  if (before?.on.every((value, i) => value === on[i])) return before.view;
  const view = build(plan.things, hose, ports);
  remembered.set(hose, { on, view });
  return view;
}

function build(things: readonly Thing[], hose: Hose, ports: ReadonlyMap<string, PortView>): HoseView {
  const stock = hoseById(hose.stockId)!;
  const fittings = { a: hoseFittingById(hose.ends.a.fittingId)!, b: hoseFittingById(hose.ends.b.fittingId)! };
  const ends = { a: placeEnd(hose.ends.a, ports), b: placeEnd(hose.ends.b, ports) };
  const free = freeMm(hose);
  const base = { hose, stock, fittings, ends, freeMm: free };
  const without = (fault: string): HoseView => ({ ...base, states: [], worst: null, twistDeg: 0, fault });
  if (free <= 0) return without(`Its two fittings alone are longer than the ${hose.orderMm} mm ordered.`);
  try {
    const states = sweep(hose.motion, ends.a.clamp, ends.b, free, stock, things);
    const held = !fittings.a.swivels && !fittings.b.swivels;
    const turns = states.map((state) => state.turnDeg ?? 0);
    return { ...base, states, worst: worstOf(states), twistDeg: held ? Math.max(...turns) - Math.min(...turns) : 0, fault: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return without(error.message);
  }
}

/** The straight way between its two seats at ride, mm. */
export const seatsApartMm = ({ ends }: HoseView): number => distance(ends.a.seatMm, ends.b.seatMm);
