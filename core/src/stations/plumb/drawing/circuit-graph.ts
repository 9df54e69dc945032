import {
  isBrake,
  isInline,
  makesPressure,
  type LaidPlan,
  type Part,
  type Port,
} from '../../../plan/index.ts';
import { brakePlace } from '../../../plan/network/index.ts';
import { boxWidthPx, GRID_PX, type BoxToPlace, type DrawnPort, type WireToRoute } from './drawn.ts';

const BOX_HEIGHT_PX = 6 * GRID_PX;
/** Ports that are drawn with a line or want one; a bleeder is a mark on the box. */
export const drawnPorts = (part: Part): Port[] =>
  part.ports.filter((port) => port.role !== 'bleeder');

/** Pressure comes in on top and goes out below. */
const faceOf = (part: Part, port: Port): DrawnPort['face'] =>
  port.role === 'outlet' || (port.role === 'feed' && !makesPressure(part)) ? 'bottom' : 'top';

/** Where a hose leaves a part at the port that its tube comes in at: the other side of that port. */
export const farSide = (portId: string): string => `${portId}/far`;

interface Joined {
  readonly part: Part;
  readonly port: Port;
}
/** A wire from the end that pressure comes from. */
function wireBetween(id: string, name: string, ends: readonly [Joined, Joined]): WireToRoute {
  const [a, b] = ends.map(({ part, port }) => faceOf(part, port));
  const [from, to] = a === 'top' && b === 'bottom' ? [ends[1], ends[0]] : ends;
  const through = isInline(from.part) && faceOf(from.part, from.port) === 'top';
  return { id, name, from: through ? farSide(from.port.id) : from.port.id, to: to.port.id };
}

/** The circuits as boxes and wires; a wire runs the way the pressure goes. */
export function circuitGraph({ plan, lines, ports }: LaidPlan): {
  boxes: BoxToPlace[];
  wires: WireToRoute[];
} {
  const at = (portId: string | null): Joined | undefined => ports.get(portId ?? '');
  const wires = [...lines.map(({ line }) => line), ...plan.hoses].flatMap(
    ({ id, name, ends }): WireToRoute[] => {
      const [a, b] = [at(ends.a.portId), at(ends.b.portId)];
      // A hose that hangs from a part into the air belongs to that part.
      return a && b && a.part !== b.part ? [wireBetween(id, name, [a, b])] : [];
    },
  );
  const left = new Set(wires.map(({ from }) => from));
  const aftOf = ({ ports: [port] }: Part): number => ports.get(port?.id ?? '')?.fixed.atMm[0] ?? 0;
  const brakesAft = plan.parts.filter(isBrake).map(aftOf);
  /** A brake whose axle is set stands with the first or the last ones. */
  const axleAft = { front: Math.min(...brakesAft), rear: Math.max(...brakesAft) };
  const boxes = plan.parts.map((part): BoxToPlace => {
    const drawn = drawnPorts(part).flatMap((port): DrawnPort[] => {
      const own = { id: port.id, face: faceOf(part, port) };
      const far = farSide(port.id);
      return left.has(far) ? [own, { id: far, face: 'bottom' }] : [own];
    });
    const first = part.ports[0] && ports.get(part.ports[0].id);
    const rightMm = first?.fixed.atMm[1] ?? 0;
    const most = Math.max(
      2,
      ...(['top', 'bottom'] as const).map(
        (side) => drawn.filter(({ face }) => face === side).length,
      ),
    );
    return {
      id: part.id,
      width: boxWidthPx(most),
      height: BOX_HEIGHT_PX,
      ports: drawn,
      aftMm: part.axle ? axleAft[part.axle] : aftOf(part),
      rightMm,
      corner: isBrake(part) ? (brakePlace(part, ports, null).side ?? 'middle') : null,
    };
  });
  return { boxes, wires };
}
