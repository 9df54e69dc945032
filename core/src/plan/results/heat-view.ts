import { derive } from '../../lib/derive/index.ts';
import type { Category } from '../../trade/categories.ts';
import {
  AXLES,
  braking,
  heating,
  type FadeRule,
  type HeatInput,
  type Heating,
  type Limits,
  type SizeInput,
  type TrailerSize,
} from '../../physics/hydraulics/index.ts';
import type { Sizing, TrailerSheet } from '../model/index.ts';

/** Deceleration at which the share of each axle in braking is taken, of g: what repeated brakings are made with. */
const SHARE_Z = 0.3;

type Heats = readonly [input: HeatInput, category: Category, fade: FadeRule | null];
/** Worked out once for what heats the brakes, whatever else of the plan changes: for both loads, and some between. */
const heatOf = derive(
  'heat of brakes',
  (sheet: object, ...heats: Heats) => [sheet, JSON.stringify(heats)],
  (_sheet: object, key: string): Heating[] => heating(...(JSON.parse(key) as Heats)),
  6,
);

/** How hot a vehicle's brakes become in one state of loading; null while their discs and drums are not set down. */
export function heatView(
  { heat, category }: Sizing,
  input: SizeInput,
  limits: Limits | null,
): Heating[] | null {
  if (!heat) return null;
  let [low, high] = [0, 1];
  while (braking(input, high).z < SHARE_Z && high < 1e9) high *= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (braking(input, middle).z < SHARE_Z) low = middle;
    else high = middle;
  }
  const { forceN } = braking(input, high);
  const all = forceN.front + forceN.rear;
  const axles = AXLES.map((axle) => ({
    name: axle,
    rotor: heat.rotor[axle],
    kind: input[axle].kind,
    share: forceN[axle] / all,
  }));
  return heatOf(
    heat,
    { ...heat, massKg: input.vehicle.massKg + heat.towKg, axles },
    category,
    limits?.fade ?? null,
  );
}

/** The same for a trailer on its own brakes, laden: its axles brake as its actuator's pressure makes them. */
export function trailerHeatView(
  { heat, axles }: TrailerSheet,
  { axles: sized }: TrailerSize,
): Heating[] | null {
  if (!heat) return null;
  const all = sized.reduce((sum, { forceN }) => sum + forceN, 0);
  const hot = axles.map(({ brake: { kind } }, i) => ({
    name: `axle ${i + 1}`,
    rotor: heat.rotor,
    kind,
    share: sized[i]!.forceN / all,
  }));
  const massKg = axles.reduce((sum, { ladenKg }) => sum + ladenKg, 0);
  return heatOf(heat, { ...heat, massKg, axles: hot }, 'trailer', null);
}
