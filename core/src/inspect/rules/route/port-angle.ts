import { figure } from '../../../lib/faults/index.ts';
import type { LineView } from '../../../plan/index.ts';
import { addScaled, angleDeg, dot, sub, tenths } from '../../../lib/vec/index.ts';
import { defineRule, type Fix } from '../../define-rule.ts';
import { cornerAt, endName, onLine, withCorners, type Bent } from '../../rule-kit/places.ts';

/** How far a tube may leave a port's axis before its nut starts across the thread. Common practice. */
const MOST_DEG = 3;
/** Where a corner straight out of a port is put at the nearest: nut, shoe and half a bend. */
const LEAST_REACH_MM = 50;

const offAxisDeg = (line: LineView, end: 'a' | 'b'): number => {
  const [port, next] =
    end === 'a' ? [line.nodesMm[0], line.nodesMm[1]] : [line.nodesMm.at(-1), line.nodesMm.at(-2)];
  return port && next ? angleDeg(line.ports[end]!.port.direction, sub(next, port)) : 0;
};

/** A corner straight out of the port: in place of the first one, else before it; offered only where the line can then be bent. */
function straightOut(view: Bent, line: LineView, end: 'a' | 'b'): Fix | undefined {
  const { cornersMm, id } = line.line;
  const [port, next] =
    end === 'a'
      ? [line.nodesMm[0]!, line.nodesMm[1]!]
      : [line.nodesMm.at(-1)!, line.nodesMm.at(-2)!];
  const { direction } = line.ports[end]!.port;
  const reach = Math.max(LEAST_REACH_MM, dot(sub(next, port), direction));
  const corner = tenths(addScaled(port, direction, reach));
  const ways =
    end === 'a'
      ? [
          [corner, ...cornersMm.slice(1)],
          [corner, ...cornersMm],
        ]
      : [
          [...cornersMm.slice(0, -1), corner],
          [...cornersMm, corner],
        ];
  const good = ways.find((corners) => {
    const after = withCorners(view, line, corners);
    return (
      after.card &&
      offAxisDeg(after, end) <= MOST_DEG &&
      offAxisDeg(after, end === 'a' ? 'b' : 'a') <= MOST_DEG
    );
  });
  return (
    good && {
      label: 'Lead it straight out of the port',
      call: { edit: 'setCorners', with: { id, cornersMm: good } },
    }
  );
}

/** A tube must come straight out of its port. */
export const portAngle = defineRule({
  id: 'port-angle',
  station: 'route',
  about: 'end',
  reads: ['plan.bench', 'ports'],
  judge: (line, end, view) => {
    const at = line.ports[end];
    if (!at || line.fault || line.nodesMm.length < 2) return [];
    const off = offAxisDeg(line, end);
    if (off <= MOST_DEG) return [];
    const text = `The tube leaves ${at.part.name}, ${at.port.name} ${figure(off)}° off the port’s axis. Over ${MOST_DEG}° the nut cross-threads.`;
    return [
      {
        level: 'caution',
        place: onLine(line, cornerAt(line, end)),
        where: `${line.line.name}, ${endName(end)}`,
        text,
        fix: () => straightOut(view, line, end),
      },
    ];
  },
});
