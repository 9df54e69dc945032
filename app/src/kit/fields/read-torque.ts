import { parseTorque } from '@firm-line/core/lib/units/torque';
import type { Read } from './text-input';

/** A torque as people write it, N·m; empty is none, and nothing is no torque. */
export function readTorque(text: string): Read<number | null> {
  if (!text.trim()) return { ok: true, value: null };
  const read = parseTorque(text);
  return read.ok && read.value <= 0
    ? { ok: false, message: 'Enter a torque above zero, such as 17 N·m.' }
    : read;
}
