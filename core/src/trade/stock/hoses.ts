import type { FluidFamily } from './fluids.ts';

/** How a hose takes fluid under pressure. */
export type HoseClass = 'regular' | 'low-expansion' | 'braided-ptfe' | 'feed';
export const HOSE_CLASS_NAMES: Record<HoseClass, string> = {
  regular: 'rubber',
  'low-expansion': 'rubber, low expansion',
  'braided-ptfe': 'braided PTFE',
  feed: 'feed hose, no pressure',
};
/** Stiffness in twist by that in bending: rubber alone 1/(1 + ν) with ν a half; braid resists twist far more than bending. A judgement: no published figures are known to us. */
export const TWIST_BY_BEND: Record<HoseClass, number> = {
  feed: 1 / 1.5,
  regular: 2,
  'low-expansion': 2,
  'braided-ptfe': 5,
};
export interface HoseStock {
  readonly id: string;
  readonly name: string;
  readonly kind: HoseClass;
  readonly boreMm: number;
  readonly odMm: number;
  /** Least radius to which its middle may be bent. The maker's sheet comes first. */
  readonly minRadiusMm: number;
  /**
   * Fluid that a metre takes at a pressure, from nought upwards; straight between the points, since it is not in
   * proportion. Of rubber it is the most that the rule allows, of which a sound hose takes `TAKES` in fact.
   */
  readonly expansion: readonly { readonly pressureMPa: number; readonly mlPerM: number }[];
  readonly burstMPa: number;
  /** Made for brakes; fuel hose and the like are known here since they are found on vehicles. */
  readonly brakeClass: boolean;
  /** Fluids that its liner stands: rubber for brakes that of glycol and silicone, PTFE all. Common practice; the maker's sheet comes first. */
  readonly stands: readonly FluidFamily[];
  /** Years after which it is renewed, whatever it looks like. */
  readonly lifeYears: number;
  readonly source: string;
}

/** What a sound hose takes of the points of its class: rubber well under what the rule allows; points of PTFE are its makers'. Common practice, our judgement: about 0.6. */
const TAKES: Record<HoseClass, number> = {
  regular: 0.6,
  'low-expansion': 0.6,
  'braided-ptfe': 1,
  feed: 1,
};
const ML_PER_FOOT = 1 / 0.3048;
const points = (
  ...pairs: readonly (readonly [psi: number, mlPerFoot: number])[]
): HoseStock['expansion'] => [
  { pressureMPa: 0, mlPerM: 0 },
  ...pairs.map(([psi, ml]) => ({ pressureMPa: psi * 0.006894757, mlPerM: ml * ML_PER_FOOT })),
];
const LAW =
  '49 CFR 571.106, maximum expansion, 1/8 in or 3 mm bore or smaller; burst 7,000 psi (from memory)';
const LAW_WIDE =
  '49 CFR 571.106, maximum expansion, bore over 1/8 to 3/16 in; burst 5,000 psi (from memory)';
const MAKERS = 'common practice; the maker’s sheet comes first';

/** What any brake hose must hold for two minutes: 4,000 psi. Source: 49 CFR 571.106 S5.3 (from memory). */
export const HOSE_HOLDS_MPA = 27.6;

const RUBBER: readonly FluidFamily[] = ['glycol', 'silicone'];
const PTFE: readonly FluidFamily[] = ['glycol', 'silicone', 'mineral'];

/** Hose by size and class. Radii: common practice, by the size that trades under the name. */
export const HOSES: readonly HoseStock[] = [
  {
    id: 'rubber-1-8', name: '1/8 in rubber', kind: 'regular', boreMm: 3.2, odMm: 10.5, minRadiusMm: 50,
    expansion: points([1000, 0.66], [1500, 0.79], [2900, 1.21]), burstMPa: 48.3, brakeClass: true, stands: RUBBER, lifeYears: 6, source: LAW,
  },
  {
    id: 'rubber-low-1-8', name: '1/8 in rubber, low expansion', kind: 'low-expansion', boreMm: 3.2, odMm: 10.5, minRadiusMm: 50,
    expansion: points([1000, 0.33], [1500, 0.42], [2900, 0.61]), burstMPa: 48.3, brakeClass: true, stands: RUBBER, lifeYears: 6, source: LAW,
  },
  {
    id: 'rubber-3-16', name: '3/16 in rubber', kind: 'regular', boreMm: 4.8, odMm: 12.5, minRadiusMm: 65,
    expansion: points([1000, 0.86], [1500, 1.02], [2900, 1.67]), burstMPa: 34.5, brakeClass: true, stands: RUBBER, lifeYears: 6, source: LAW_WIDE,
  },
  {
    id: 'rubber-low-3-16', name: '3/16 in rubber, low expansion', kind: 'low-expansion', boreMm: 4.8, odMm: 12.5, minRadiusMm: 65,
    expansion: points([1000, 0.55], [1500, 0.72], [2900, 0.91]), burstMPa: 34.5, brakeClass: true, stands: RUBBER, lifeYears: 6, source: LAW_WIDE,
  },
  {
    id: 'ptfe-3', name: '-3 braided PTFE', kind: 'braided-ptfe', boreMm: 3.2, odMm: 6.2, minRadiusMm: 38,
    expansion: points([1000, 0.07], [1500, 0.11], [2900, 0.23]), burstMPa: 48.3, brakeClass: true, stands: PTFE, lifeYears: 10, source: MAKERS,
  },
  {
    id: 'ptfe-4', name: '-4 braided PTFE', kind: 'braided-ptfe', boreMm: 5.6, odMm: 8.2, minRadiusMm: 51,
    expansion: points([1000, 0.16], [1500, 0.25], [2900, 0.5]), burstMPa: 48.3, brakeClass: true, stands: PTFE, lifeYears: 10, source: MAKERS,
  },
  {
    id: 'feed-8', name: '8 mm reservoir hose', kind: 'feed', boreMm: 8, odMm: 14, minRadiusMm: 60,
    expansion: points(), burstMPa: 2, brakeClass: true, stands: RUBBER, lifeYears: 6, source: MAKERS,
  },
  {
    id: 'fuel-6', name: '6 mm fuel hose', kind: 'regular', boreMm: 6, odMm: 12, minRadiusMm: 50,
    expansion: points(), burstMPa: 4, brakeClass: false, stands: RUBBER, lifeYears: 6, source: MAKERS,
  },
]; // prettier-ignore

export const hoseById = (id: string): HoseStock | undefined => HOSES.find((hose) => hose.id === id);

/** Its points at a pressure, mL a metre; past the last one drawn on at the last slope. Null where nothing is known. */
function pointMlPerM({ expansion }: HoseStock, pressureMPa: number): number | null {
  if (expansion.length < 2) return null;
  const next = expansion.findIndex((point) => point.pressureMPa >= pressureMPa);
  const i = Math.max(1, next < 0 ? expansion.length - 1 : next);
  const [a, b] = [expansion[i - 1]!, expansion[i]!];
  return (
    a.mlPerM +
    ((b.mlPerM - a.mlPerM) * (pressureMPa - a.pressureMPa)) / (b.pressureMPa - a.pressureMPa)
  );
}
/** Fluid that a metre of sound hose takes at a pressure, mL. Null where nothing is known. */
export function hoseMlPerM(stock: HoseStock, pressureMPa: number): number | null {
  const points = pointMlPerM(stock, pressureMPa);
  return points && points * TAKES[stock.kind];
}
/** The most that the rule lets a metre of it take, mL. Null where its points are its maker's. */
export const allowedMlPerM = (stock: HoseStock, pressureMPa: number): number | null =>
  TAKES[stock.kind] < 1 ? pointMlPerM(stock, pressureMPa) : null;

export const HOSE_FITTING_KINDS = [
  'straight',
  'angled',
  'banjo',
  'bulkhead',
  'dry-break',
  'barb',
] as const;
export type HoseFittingKind = (typeof HOSE_FITTING_KINDS)[number];
/** What is crimped, screwed or clamped on a hose's end, from the face that meets the seat to the hose. */
export interface HoseFitting {
  readonly id: string;
  readonly name: string;
  readonly kind: HoseFittingKind;
  /** From the seat's face along the port's axis to where it bends. */
  readonly stemMm: number;
  /** From there to where the hose begins. */
  readonly legMm: number;
  /** By how much it bends; a banjo's hose leaves square to its bolt, less what its neck is cranked. */
  readonly bendDeg: number;
  /** It can be turned under its nut or bolt while the hose hangs still. */
  readonly swivels: boolean;
  /** Of a feed: held by a clamp. */
  readonly clamped: boolean;
}
/** Fittings as they are sold. Lengths: common practice, to be measured on the part. */
export const HOSE_FITTINGS: readonly HoseFitting[] = [
  { id: 'straight-swivel', name: 'straight, swivel nut', kind: 'straight', stemMm: 32, legMm: 0, bendDeg: 0, swivels: true, clamped: false },
  { id: 'straight-fixed', name: 'straight, fixed male', kind: 'straight', stemMm: 30, legMm: 0, bendDeg: 0, swivels: false, clamped: false },
  { id: 'angled-45', name: '45°, swivel nut', kind: 'angled', stemMm: 18, legMm: 24, bendDeg: 45, swivels: true, clamped: false },
  { id: 'angled-90', name: '90°, swivel nut', kind: 'angled', stemMm: 22, legMm: 26, bendDeg: 90, swivels: true, clamped: false },
  { id: 'banjo', name: 'banjo, straight neck', kind: 'banjo', stemMm: 6, legMm: 34, bendDeg: 90, swivels: true, clamped: false },
  { id: 'banjo-20', name: 'banjo, neck cranked 20°', kind: 'banjo', stemMm: 6, legMm: 36, bendDeg: 70, swivels: true, clamped: false },
  { id: 'banjo-45', name: 'banjo, neck cranked 45°', kind: 'banjo', stemMm: 6, legMm: 38, bendDeg: 45, swivels: true, clamped: false },
  { id: 'bulkhead', name: 'bulkhead, fixed', kind: 'bulkhead', stemMm: 40, legMm: 0, bendDeg: 0, swivels: false, clamped: false },
  { id: 'dry-break', name: 'dry break half', kind: 'dry-break', stemMm: 55, legMm: 0, bendDeg: 0, swivels: true, clamped: false },
  { id: 'barb-8', name: '8 mm barb with clamp', kind: 'barb', stemMm: 22, legMm: 0, bendDeg: 0, swivels: true, clamped: true },
]; // prettier-ignore
export const hoseFittingById = (id: string): HoseFitting | undefined =>
  HOSE_FITTINGS.find((fitting) => fitting.id === id);
