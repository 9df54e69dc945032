import { braking, pressurePerN, pushN } from './balance.ts';
import { perAxle, type Axles, type SizeInput } from './types.ts';

/** What a combination valve may hold besides its proportioning part. */
export interface Combination {
  /** The metering part keeps pressure from the front brakes below this. */
  readonly holdOffMPa: number;
  /** The shuttle moves, and lights its lamp, where the two circuits differ by this. */
  readonly differentialMPa: number;
}
export interface CombinationSize {
  /** Foot at which the front brakes begin. */
  readonly frontFromN: number;
  /** Deceleration by the rear brakes alone until then. */
  readonly rearAloneZ: number;
  /** Foot at which the lamp lights with that circuit empty; null where this foot never lights it. */
  readonly warnsFromN: Axles<number | null>;
}

/** The foot that makes a push; the booster helps until its vacuum is used up, so the push rises steadily with the foot. */
function footFor({ pedal, booster }: SizeInput, push: number): number {
  let [low, high] = [0, push / (pedal.ratio * pedal.efficiency)];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (pushN({ ...pedal, forceN: middle }, booster) < push) low = middle;
    else high = middle;
  }
  return high;
}

/** What metering and the pressure-differential shuttle do in this system. Source: Pascal; the valve's own figures from its maker's sheet. */
export function combination(input: SizeInput, valve: Combination): CombinationSize {
  const per = pressurePerN(input.master);
  const holdPush = valve.holdOffMPa / per.front;
  const rear = braking(input, holdPush);
  const most = pushN(input.pedal, input.booster);
  const warns = (left: 'front' | 'rear'): number | null => {
    const push = valve.differentialMPa / per[left];
    return push <= most ? footFor(input, push) : null;
  };
  return {
    frontFromN: footFor(input, holdPush),
    rearAloneZ: (rear.z * rear.forceN.rear) / (rear.forceN.front + rear.forceN.rear),
    // With one circuit empty its pressure is nothing and the other's is the difference.
    warnsFromN: perAxle((failed) => warns(failed === 'front' ? 'rear' : 'front')),
  };
}
