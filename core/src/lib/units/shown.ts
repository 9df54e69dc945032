import { figure } from '../faults/index.ts';
import type { UnitSystem } from './length.ts';
import { inUnit } from './quantity.ts';

/**
 * Kinds of figures whose unit people choose: the units that can be shown, the first as a plan stores it and the metric
 * preset shows it; the inch preset's unit; usual digits in the stored unit. Lengths have their own system.
 */
export const UNIT_KINDS = {
  pressure: { name: 'Pressure', units: ['MPa', 'bar', 'psi'], inch: 'psi', digits: 1 },
  torque: { name: 'Torque', units: ['N·m', 'lbf·ft'], inch: 'lbf·ft', digits: 0 },
  force: { name: 'Force', units: ['N', 'kgf', 'lbf'], inch: 'lbf', digits: 0 },
  speed: { name: 'Speed', units: ['km/h', 'mph'], inch: 'mph', digits: 0 },
  distance: { name: 'Distance', units: ['m', 'ft'], inch: 'ft', digits: 1 },
  volume: { name: 'Volume', units: ['mL', 'fl oz'], inch: 'fl oz', digits: 0 },
} as const satisfies Readonly<
  Record<string, { name: string; units: readonly string[]; inch: string; digits: number }>
>;
export type UnitKind = keyof typeof UNIT_KINDS;
/** The unit that is shown for each kind. */
export type ShownUnits = {
  readonly [K in UnitKind]: (typeof UNIT_KINDS)[K]['units'][number];
};

const KINDS = Object.keys(UNIT_KINDS) as UnitKind[];
const of = (unit: (kind: UnitKind) => string): ShownUnits =>
  Object.fromEntries(KINDS.map((kind) => [kind, unit(kind)])) as unknown as ShownUnits;
const PRESETS: Readonly<Record<UnitSystem, ShownUnits>> = {
  metric: of((kind) => UNIT_KINDS[kind].units[0]),
  inch: of((kind) => UNIT_KINDS[kind].inch),
};

/** The units of a preset with those that were chosen by themselves. */
export function shownUnits(system: UnitSystem, own: Partial<ShownUnits> = {}): ShownUnits {
  return KINDS.every((kind) => own[kind] === undefined)
    ? PRESETS[system]
    : of((kind) => own[kind] ?? PRESETS[system][kind]);
}

/** The unit in which a figure that is stored in `stored` is shown: itself where its kind has no choice. */
export function shownUnitOf(stored: string, shown: ShownUnits): string {
  const kind = KINDS.find((one) => UNIT_KINDS[one].units[0] === stored);
  return kind ? shown[kind] : stored;
}

/**
 * A stored figure as it is shown, with as many places as say no more than `digits` places say in its own unit:
 * 7.2 MPa are 72 bar or 1040 psi.
 */
export function shownFigure(value: number, stored: string, unit: string, digits = 1): string {
  if (stored === unit) return figure(value, digits);
  const factor = inUnit(1, stored, unit);
  const places = digits - Math.trunc(Math.log10(factor));
  if (places >= 0) return figure(value * factor, places);
  const step = 10 ** -places;
  return figure(Math.round((value * factor) / step) * step, 0);
}

/** Figures for sentences, each with its unit. `pressure(7.2)` is `7.2 MPa`, or `72 bar`. */
export type Quantities = Readonly<Record<UnitKind, (value: number, digits?: number) => string>>;

/** The words for every kind in the units that are shown. */
export const quantitiesIn = (shown: ShownUnits): Quantities =>
  Object.fromEntries(
    KINDS.map((kind) => {
      const { units, digits: usual } = UNIT_KINDS[kind];
      const unit = shown[kind];
      return [
        kind,
        (value: number, digits: number = usual) =>
          `${shownFigure(value, units[0], unit, digits)} ${unit}`,
      ];
    }),
  ) as unknown as Quantities;

/** The words of the metric preset. */
export const METRIC_QUANTITIES: Quantities = quantitiesIn(PRESETS.metric);
/** The words for every kind in the units that a plan shows. */
export const quantitiesOf = (plan: {
  readonly units: UnitSystem;
  readonly ownUnits?: Partial<ShownUnits>;
}): Quantities => quantitiesIn(shownUnits(plan.units, plan.ownUnits));
