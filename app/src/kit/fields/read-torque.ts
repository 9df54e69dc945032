import type { ShownUnits } from '@firm-line/core/lib/units';
import { inUnit, parseQuantity } from '@firm-line/core/lib/units/quantity';
import type { Read } from './text-input';

/** A torque as people write it, N·m: alone in the unit that is shown, else with its own; empty is none, and nothing is no torque. */
export function readTorque(text: string, unit: ShownUnits['torque']): Read<number | null> {
  if (!text.trim()) return { ok: true, value: null };
  const read = parseQuantity(text, unit);
  if (!read.ok) return read;
  return read.value <= 0
    ? { ok: false, message: 'Enter a torque above zero, such as 17 N·m.' }
    : { ok: true, value: inUnit(read.value, unit, 'N·m') };
}
