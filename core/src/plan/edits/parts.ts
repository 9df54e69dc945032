import { InputError } from '../../lib/faults/index.ts';
import { allPorts, type PositionSource, type Part, type Plan, type Port } from '../model/index.ts';
import { type Target } from '../model/record-kind.ts';
import { movePart } from './move-part.ts';
import { linesFollow } from './follow.ts';
import { changeRecord, detached, patched, type Patch } from './records.ts';

const partOf = (plan: Plan, portId: string): Part => {
  const found = allPorts(plan).find(({ port }) => port.id === portId);
  if (!found) throw new InputError(portId, 'This port is no longer in the plan.');
  return found.part;
};
const changePort = (plan: Plan, { id, patch }: { id: string; patch: Patch<Port> }): Plan => {
  const changed = changeRecord(plan, 'part', partOf(plan, id).id, (part) => ({
    ...part,
    ports: patched(part.ports, id, (port) => ({ ...port, ...patch })),
  }));
  return patch.role && patch.role !== 'bleeder'
    ? {
        ...changed,
        bleeding: { ...changed.bleeding, listed: changed.bleeding.listed.filter((p) => p !== id) },
      }
    : changed;
};

/** Edits of parts and of what stands in them. */
export const PART_EDITS = {
  addPort: (plan: Plan, { partId, port }: { partId: string; port: Port }): Plan =>
    changeRecord(plan, 'part', partId, (part) => ({ ...part, ports: [...part.ports, port] })),
  changePort,
  removePort: (plan: Plan, { id }: { id: string }): Plan => {
    const without = changeRecord(plan, 'part', partOf(plan, id).id, (part) => ({
      ...part,
      ports: part.ports.filter((port) => port.id !== id),
    }));
    return detached(without, new Set([id]), plan);
  },
  /** Parts, lines and circuits of a layout on top of what is there. */
  addLayout: (
    plan: Plan,
    { parts, circuits, lines, hoses }: Pick<Plan, 'parts' | 'circuits' | 'lines' | 'hoses'>,
  ): Plan => ({
    ...plan,
    parts: [...plan.parts, ...parts],
    circuits: [...plan.circuits, ...circuits],
    lines: [...plan.lines, ...lines],
    hoses: [...plan.hoses, ...hoses],
  }),
  movePart,
  /** How a point or port is known; a line goes along with a port that moves by it. An id that is no longer there is an error. */
  setKnown: (plan: Plan, { target, known }: { target: Target; known: PositionSource }): Plan =>
    linesFollow(
      plan,
      target.kind === 'point'
        ? changeRecord(plan, 'point', target.id, (point) => ({ ...point, known }))
        : changePort(plan, { id: target.id, patch: { known } }),
    ),
} as const;
