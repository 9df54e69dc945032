import { derive } from '../../lib/derive/index.ts';
import type { Category } from '../../trade/categories.ts';
import {
  AXLES,
  braking,
  heating,
  type FadeRule,
  type Heating,
  type HotAxle,
  type Limits,
  type Rotor,
  type SizeInput,
  type TrailerSize,
} from '../../physics/hydraulics/index.ts';
import type { HeatSheet, Sizing, TrailerSheet } from '../model/index.ts';

/** Deceleration at which the share of each axle in braking is taken, of g: what repeated brakings are made with. */
const SHARE_Z = 0.3;

type AnySheet = HeatSheet | NonNullable<TrailerSheet['heat']>;
/** What heats the brakes besides the sheet itself. */
interface Heats {
  readonly massKg: number;
  readonly axles: readonly Omit<HotAxle, 'rotor'>[];
  readonly category: Category;
  readonly fade: FadeRule | null;
}
const rotorOf = ({ rotor }: AnySheet, axle: string): Rotor =>
  'front' in rotor ? rotor[axle as keyof typeof rotor] : rotor;
/** Worked out once for what heats the brakes, whatever else of the plan changes: for both loads, and some between. */
const heatOf = derive(
  'heat of brakes',
  (sheet: AnySheet, heats: Heats) => [sheet, JSON.stringify(heats)],
  (sheet: AnySheet, key: string): Heating[] => {
    const { massKg, axles, category, fade } = JSON.parse(key) as Heats;
    const hot = axles.map((one) => ({ ...one, rotor: rotorOf(sheet, one.name) }));
    return heating({ ...sheet, massKg, axles: hot }, category, fade);
  },
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
    kind: input[axle].kind,
    share: forceN[axle] / all,
  }));
  return heatOf(heat, {
    massKg: input.vehicle.massKg + heat.towKg,
    axles,
    category,
    fade: limits?.fade ?? null,
  });
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
    kind,
    share: sized[i]!.forceN / all,
  }));
  const massKg = axles.reduce((sum, { ladenKg }) => sum + ladenKg, 0);
  return heatOf(heat, { massKg, axles: hot, category: 'trailer', fade: null });
}
