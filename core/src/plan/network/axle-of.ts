import type { Axle } from '../../physics/hydraulics/index.ts';
import type { PortView } from '../layout/line-view.ts';
import type { Part } from '../model/index.ts';

/** The axle of a part: as set, else the nearer one; null for a part that has no port and so no place. */
export function axleOf(
  { axle, ports: [first] }: Part,
  ports: ReadonlyMap<string, PortView>,
  wheelbaseMm: number,
): Axle | null {
  if (axle) return axle;
  const at = first && ports.get(first.id)?.fixed.atMm;
  return at ? (at[0] < wheelbaseMm / 2 ? 'front' : 'rear') : null;
}
