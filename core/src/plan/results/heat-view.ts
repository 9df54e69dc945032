import { braking, heating, perAxle, type Heating, type SizeInput } from '../../hydraulics/index.ts';
import type { Sizing } from '../model/index.ts';

/** Deceleration at which the share of each axle in braking is taken, of g: what repeated brakings are made with. */
const SHARE_Z = 0.3;

/** How hot a vehicle's brakes become in one state of loading; null while their discs and drums are not set down. */
export function heatView({ heat, category }: Sizing, input: SizeInput): Heating[] | null {
  if (!heat) return null;
  let [low, high] = [0, 1];
  while (braking(input, high).z < SHARE_Z && high < 1e9) high *= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (braking(input, middle).z < SHARE_Z) low = middle;
    else high = middle;
  }
  const { front, rear } = braking(input, high).forceN;
  const kind = perAxle((axle) => input[axle].kind);
  const share = { front: front / (front + rear), rear: rear / (front + rear) };
  return heating({ ...heat, massKg: input.vehicle.massKg + heat.towKg, kind, share }, category);
}
