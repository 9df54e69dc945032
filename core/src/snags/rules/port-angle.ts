import { figure } from '../../fault/index.ts';
import type { LineView, PlanView } from '../../plan/index.ts';
import { addScaled, angleDeg, dot, sub, type Vec3 } from '../../vec/index.ts';
import { cornerAt, eachEnd, endName, onLine, withCorners, type Snag } from '../snag.ts';

/** How far a tube may leave a port's axis before its nut starts across the thread. Common practice. */
const MOST_DEG = 3;
/** Where a corner straight out of a port is put at the nearest: nut, shoe and half a bend. */
const LEAST_REACH_MM = 50;

const offAxisDeg = (line: LineView, end: 'a' | 'b'): number => {
  const [port, next] = end === 'a' ? [line.nodesMm[0], line.nodesMm[1]] : [line.nodesMm.at(-1), line.nodesMm.at(-2)];
  return port && next ? angleDeg(line.ports[end]!.port.direction, sub(next, port)) : 0;
};

/** A corner straight out of the port: in place of the first one, else before it; offered only where the line can then be bent. */
function straightOut(view: PlanView, line: LineView, end: 'a' | 'b'): Snag['mend'] {
  const { cornersMm, id } = line.line;
  const [port, next] = end === 'a' ? [line.nodesMm[0]!, line.nodesMm[1]!] : [line.nodesMm.at(-1)!, line.nodesMm.at(-2)!];
  const { direction } = line.ports[end]!.port;
  const reach = Math.max(LEAST_REACH_MM, dot(sub(next, port), direction));
  const corner = addScaled(port, direction, reach).map((v) => Math.round(v * 10) / 10) as unknown as Vec3;
  const ways = end === 'a' ? [[corner, ...cornersMm.slice(1)], [corner, ...cornersMm]] : [[...cornersMm.slice(0, -1), corner], [...cornersMm, corner]]; // prettier-ignore
  const good = ways.find((corners) => {
    const after = withCorners(view, line, corners);
    return after.card && offAxisDeg(after, end) <= MOST_DEG && offAxisDeg(after, end === 'a' ? 'b' : 'a') <= MOST_DEG;
  });
  return good && { label: 'Lead it straight out of the port', call: { edit: 'setCorners', with: { id, cornersMm: good } } };
}

/** A tube must come straight out of its port. */
export const portAngle = eachEnd((line, end, view) => {
  const at = line.ports[end];
  if (!at || line.fault || line.nodesMm.length < 2) return [];
  const off = offAxisDeg(line, end);
  if (off <= MOST_DEG) return [];
  const mend = straightOut(view, line, end);
  const text = `The tube leaves ${at.part.name}, ${at.port.name} ${figure(off)}° off the port's axis; over ${MOST_DEG}° the nut starts across its thread.`;
  return [
    {
      rule: 'port-angle',
      level: 'mind',
      station: 'route',
      place: onLine(line, cornerAt(line, end)),
      where: `${line.line.name}, ${endName(end)}`,
      text,
      ...(mend ? { mend } : {}),
    },
  ];
});
