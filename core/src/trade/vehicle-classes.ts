import type { Category } from './categories.ts';

/** Classes of road vehicle by which brake rules differ, each with the kind of vehicle that it is one of. Source: UN R.E.3 for M and N (from memory). */
export const VEHICLE_CLASSES = ['M1', 'N1', 'M2', 'M3', 'N2', 'N3', 'US'] as const;
export type VehicleClass = (typeof VEHICLE_CLASSES)[number];

/** Classes that a kind of vehicle may be of, the usual one first; none: its rules are not by class. */
export const CLASSES_OF: Readonly<Partial<Record<Category, readonly VehicleClass[]>>> = {
  light: ['M1', 'N1'],
  heavy: ['N2', 'N3', 'M2', 'M3', 'US'],
};
/** Mass up to which the rules for light vehicles hold. Source: UN R13-H (from memory). */
export const LIGHT_MOST_KG = 3500;

/** The class whose rules a vehicle is held to: the one that was given where it fits, else the usual one; null where there is none. A light vehicle over 3.5 t is heavy. */
export function classOf(
  category: Category,
  massKg: number,
  given?: VehicleClass,
): VehicleClass | null {
  const kind = category === 'light' && massKg > LIGHT_MOST_KG ? 'heavy' : category;
  const may = CLASSES_OF[kind] ?? [];
  return may.find((one) => one === given) ?? may[0] ?? null;
}
