import { angleDeg, scale, sub } from '../../vec/index.ts';
import { figure } from '../../fault/index.ts';
import { cornerAt, ENDS, endName, onLine, type Rule, type Snag } from '../snag.ts';

/** How far a tube may leave a port's axis before its nut starts across the thread. Common practice. */
const MOST_DEG = 3;

/** A tube must come straight out of its port. */
export const portAngle: Rule = (view) =>
  view.lines.flatMap((line) =>
    ENDS.flatMap((end): Snag[] => {
      const port = line.ports[end];
      const nodes = end === 'a' ? line.nodesMm : line.nodesMm.toReversed();
      if (!port || nodes.length < 2) return [];
      const off = angleDeg(port.port.direction, sub(nodes[1]!, nodes[0]!));
      if (off <= MOST_DEG || line.fault) return [];
      const reach = Math.max(40, Math.abs(nodes[1]!.reduce((s, v, i) => s + (v - nodes[0]![i]!) * port.port.direction[i]!, 0)));
      const straightOut = nodes[0]!.map(
        (v, i) => Math.round((v + scale(port.port.direction, reach)[i]!) * 10) / 10,
      ) as unknown as readonly [number, number, number];
      const index = end === 'a' ? 0 : line.line.cornersMm.length;
      const sharp = off > 90;
      return [{
        rule: 'port-angle', level: 'mind', station: 'route', place: onLine(line, cornerAt(line, end)), where: `${line.line.name}, ${endName(end)}`,
        text: `The tube leaves ${port.part.name}, ${port.port.name} ${figure(off)}° off the port's axis; over ${MOST_DEG}° the nut starts across its thread.`,
        ...(sharp ? {} : { mend: { label: 'Add a corner straight out of the port', call: { edit: 'insertCorner', with: { id: line.line.id, index, atMm: straightOut } } as const } }),
      }]; // prettier-ignore
    }),
  );
