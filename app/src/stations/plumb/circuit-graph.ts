import { makesPressure, type Part, type LaidPlan, type Port } from '@firm-line/core/plan';
import type { BoxToLay, WireToLay } from '../../worker/circuit-layout';

const ROW_PX = 22;
const HEAD_PX = 40;
export const BOX_PX = 190;

/** Ports that are drawn with a line or want one; a bleeder is a mark on the box. */
export const drawnPorts = (part: Part): Port[] =>
  part.ports.filter((port) => port.role !== 'bleeder');

/** Where pressure comes in is on the left, where it goes out on the right. */
const sideOf = (part: Part, port: Port): 'WEST' | 'EAST' =>
  port.role === 'outlet' || (port.role === 'feed' && !makesPressure(part)) ? 'EAST' : 'WEST';

/** The circuits as boxes and wires; a wire runs the way the pressure goes. */
export function circuitGraph({ plan, lines, ports }: LaidPlan): {
  boxes: BoxToLay[];
  wires: WireToLay[];
} {
  const boxes = plan.parts.map((part): BoxToLay => {
    const rows = { WEST: 0, EAST: 0 };
    const ports = drawnPorts(part).map((port) => {
      const side = sideOf(part, port);
      return {
        id: port.id,
        side,
        x: side === 'WEST' ? 0 : BOX_PX,
        y: HEAD_PX + ROW_PX * rows[side]++ + ROW_PX / 2 - 4,
      };
    });
    return {
      id: part.id,
      width: BOX_PX,
      height: HEAD_PX + Math.max(1, rows.WEST, rows.EAST) * ROW_PX + 4,
      ports,
    };
  });
  const joined = [
    ...lines.map(({ line, ports: { a, b } }) => ({ id: line.id, a, b })),
    ...plan.hoses.map(({ id, ends }) => ({
      id,
      a: ports.get(ends.a.portId ?? ''),
      b: ports.get(ends.b.portId ?? ''),
    })),
  ];
  const wires = joined.flatMap(({ id, a, b }): WireToLay[] => {
    // A hose that hangs from a part into the air belongs to that part.
    if (!a || !b || a.part === b.part) return [];
    const backward = sideOf(a.part, a.port) === 'WEST' && sideOf(b.part, b.port) === 'EAST';
    return [{ id, from: (backward ? b : a).port.id, to: (backward ? a : b).port.id }];
  });
  return { boxes, wires };
}
