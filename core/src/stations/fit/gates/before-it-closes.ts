import { isMade } from '../../make/making/index.ts';
import { lineSpace, type Gate, type Ref } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import type { Vec3 } from '../../../lib/vec/index.ts';

/** Something to be done while a gate is still open. */
export interface GateTask {
  readonly id: string;
  readonly kind: 'measure' | 'run' | 'join' | 'torque' | 'test';
  readonly text: string;
  readonly place: Ref;
}
type Looked = Pick<PlanView, 'lines' | 'ports' | 'points' | 'plan'>;

/** Whether a place lies behind a gate. */
export const isIn =
  ({ minMm, maxMm }: Gate) =>
  (at: Vec3 | undefined): boolean =>
    at !== undefined && at.every((v, i) => v >= minMm[i]! && v <= maxMm[i]!);

/** What a gate closes: what must be measured, run, joined, torqued and held under pressure before it does. */
export function beforeItCloses({ lines, ports, points, plan }: Looked, gate: Gate): GateTask[] {
  const inside = isIn(gate);
  const used = new Set(lines.flatMap(({ line }) => [line.ends.a.portId, line.ends.b.portId]));
  const held = new Set(plan.hoses.flatMap(({ ends }) => [ends.a.portId, ends.b.portId]));
  const measure = [
    ...[...ports.values()]
      .filter(({ port, fixed }) => used.has(port.id) && fixed.guess && inside(fixed.atMm))
      .map(({ part, port }) => ({
        name: `${part.name}, ${port.name}`,
        place: { kind: 'port', id: port.id } as const,
      })),
    ...[...points.values()]
      .filter(({ fixed }) => fixed.guess && inside(fixed.atMm))
      .map(({ point }) => ({ name: point.name, place: { kind: 'point', id: point.id } as const })),
  ].map(({ name, place }): GateTask => ({
    id: `measure ${place.id}`,
    kind: 'measure',
    place,
    text: `Measure ${name}: it is a guess.`,
  }));
  const through = lines.filter((line) =>
    (lineSpace(plan, line)?.points ?? line.nodesMm).some(inside),
  );
  const run = through.map((line): GateTask => {
    const clips = (lineSpace(plan, line)?.clips ?? []).filter(({ pointMm }) =>
      inside(pointMm),
    ).length;
    const clipped = clips
      ? `, ${clips} ${clips === 1 ? 'clip' : 'clips'} inside`
      : ', and it has no clip inside';
    return {
      id: `run ${line.line.id}`,
      kind: 'run',
      place: { kind: 'line', id: line.line.id },
      text: `${isMade(line) ? 'Run' : 'Make and run'} ${line.line.name}${clipped}.`,
    };
  });
  const joints = lines.flatMap((line) =>
    (['a', 'b'] as const).flatMap((end) => {
      const at = line.nodesMm.at(end === 'a' ? 0 : -1);
      return inside(at) ? [{ line, end, name: `${line.line.name}, end ${end.toUpperCase()}` }] : [];
    }),
  );
  const torque = joints
    .filter(({ line, end }) => line.ports[end] && line.line.ends[end].joint.torqueNm === null)
    .map(({ line, end, name }): GateTask => ({
      id: `torque ${line.line.id} ${end}`,
      kind: 'torque',
      place: { kind: 'line', id: line.line.id, node: end === 'a' ? 0 : line.nodesMm.length - 1 },
      text: `Look up the torque of ${name}, tighten and write it down.`,
    }));
  const waits = [...ports.values()]
    .filter(
      ({ port, fixed }) =>
        port.role !== 'bleeder' &&
        port.role !== 'spare' &&
        !used.has(port.id) &&
        !held.has(port.id) &&
        inside(fixed.atMm),
    )
    .map(({ part, port }): GateTask => ({
      id: `join ${port.id}`,
      kind: 'join',
      place: { kind: 'port', id: port.id },
      text: `Nothing is joined to ${part.name}, ${port.name}: join, plug or cap it.`,
    }));
  const open = joints
    .filter(({ line, end }) => !line.ports[end] && !line.line.ends[end].open?.capped)
    .map(({ line, end, name }): GateTask => ({
      id: `cap ${line.line.id} ${end}`,
      kind: 'join',
      place: { kind: 'line', id: line.line.id },
      text: `Cap ${name}, which waits for its mate.`,
    }));
  const test: GateTask[] = joints.length
    ? [
        {
          id: 'test',
          kind: 'test',
          place: { kind: 'gate', id: gate.id },
          text: `Hold ${joints.length === 1 ? 'this joint' : `these ${joints.length} joints`} under pressure and look at each dry: ${joints.map(({ name }) => name).join('; ')}.`,
        },
      ]
    : [];
  return [...measure, ...run, ...waits, ...open, ...torque, ...test];
}

/** Gates in the order in which they close; those without a day last. */
export const byDay = (a: Gate, b: Gate): number => (a.on ?? '9999').localeCompare(b.on ?? '9999');
