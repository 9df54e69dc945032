import { shownUnitOf, type ShownUnits, type UnitSystem } from '@firm-line/core/lib/units';
import { inUnit } from '@firm-line/core/lib/units/quantity';

/** The name of an axis as it is shown, and what a figure in the unit of its name is multiplied by. */
export interface ChartAxis {
  readonly title: string;
  readonly factor: number;
}

/** The unit that is shown for one that a figure is stored in; forces at the road are in kN while force is in N. */
function shownFor(stored: string, system: UnitSystem, units: ShownUnits): string {
  if (stored === 'mm') return system === 'inch' ? 'in' : 'mm';
  if (stored === 'kN') return units.force === 'N' ? 'kN' : units.force;
  return shownUnitOf(stored, units);
}

/** An axis by its name, such as `pressure, MPa` or `kN`, in the units that are shown. */
export function axisIn(name: string, system: UnitSystem, units: ShownUnits): ChartAxis {
  const stored = name.split(', ').at(-1)!;
  const unit = shownFor(stored, system, units);
  return unit === stored
    ? { title: name, factor: 1 }
    : {
        title: `${name.slice(0, name.length - stored.length)}${unit}`,
        factor: inUnit(1, stored, unit),
      };
}
