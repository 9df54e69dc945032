import { lineSpace, portsHeldBy, type Gate, type Ref } from '../../../plan/index.ts';
import type { PlanView } from '../../../plan/results/index.ts';
import type { Vec3 } from '../../../lib/vec/index.ts';

/** Something to be done while a gate is still open. */
export interface GateTask {
  readonly id: string;
  readonly kind: 'measure' | 'run' | 'join' | 'test';
  readonly text: string;
  readonly place: Ref;
  /** Of what is held under pressure: in which circuits. */
  readonly circuitIds?: readonly string[];
}
type Looked = Pick<PlanView, 'lines' | 'ports' | 'points' | 'plan'>;

/** Whether a place lies behind a gate. */
export const isIn =
  ({ minMm, maxMm }: Gate) =>
  (at: Vec3 | undefined): boolean =>
    at !== undefined && at.every((v, i) => v >= minMm[i]! && v <= maxMm[i]!);

type Inside = (at: Vec3 | undefined) => boolean;

/** Places inside that lines rest on and that are a guess. */
function measureFirst({ ports, points }: Looked, used: ReadonlySet<string>, inside: Inside) {
  return [
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
    text: `Measure ${name}: it is an estimate.`,
  }));
}

/** Lines that run through. */
const runThrough = ({ lines, plan }: Looked, inside: Inside): GateTask[] =>
  lines
    .filter((view) => (lineSpace(plan, view)?.points ?? view.nodesMm).some(inside))
    .map(({ line: { id, name } }) => ({
      id: `run ${id}`,
      kind: 'run',
      place: { kind: 'line', id },
      text: `Run ${name}.`,
    }));

/** Ports inside that nothing is joined to. */
const joinFirst = ({ ports }: Looked, taken: ReadonlySet<string>, inside: Inside): GateTask[] =>
  [...ports.values()]
    .filter(
      ({ port, fixed }) =>
        port.role !== 'bleeder' &&
        port.role !== 'spare' &&
        !taken.has(port.id) &&
        inside(fixed.atMm),
    )
    .map(({ part, port }) => ({
      id: `join ${port.id}`,
      kind: 'join',
      place: { kind: 'port', id: port.id },
      text: `Port open: ${part.name}, ${port.name}. Join, plug or cap it.`,
    }));

/** What a gate closes: what must be measured, run, joined and held under pressure before it does. How each joint is tightened is work of Fit. */
export function beforeItCloses(looked: Looked, gate: Gate): GateTask[] {
  const { lines, plan } = looked;
  const inside = isIn(gate);
  const drawn = lines.map(({ line }) => line);
  const joints = lines.flatMap((view) =>
    (['a', 'b'] as const).flatMap((end) => {
      const node = end === 'a' ? 0 : view.nodesMm.length - 1;
      const { id, name, ends, circuitId } = view.line;
      return inside(view.nodesMm[node])
        ? [
            {
              id,
              circuitId,
              end,
              port: view.ports[end],
              at: ends[end],
              name: `${name}, end ${end.toUpperCase()}`,
            },
          ]
        : [];
    }),
  );
  const open = joints
    .filter(({ port, at }) => !port && !at.open?.capped)
    .map(({ id, end, name }): GateTask => ({
      id: `cap ${id} ${end}`,
      kind: 'join',
      place: { kind: 'line', id },
      text: `Cap ${name} until its mating part is fitted.`,
    }));
  const these = joints.length === 1 ? 'this joint' : `these ${joints.length} joints`;
  const test: GateTask = {
    id: 'test',
    kind: 'test',
    place: { kind: 'gate', id: gate.id },
    circuitIds: joints.map(({ circuitId }) => circuitId),
    text: `Hold ${these} under pressure and check each is dry: ${joints.map(({ name }) => name).join('; ')}.`,
  };
  return [
    ...measureFirst(looked, portsHeldBy(drawn), inside),
    ...runThrough(looked, inside),
    ...joinFirst(looked, portsHeldBy([...drawn, ...plan.hoses]), inside),
    ...open,
    ...(joints.length ? [test] : []),
  ];
}

/** Gates in the order in which they close; those without a day last. */
export const byDay = (a: Gate, b: Gate): number => (a.on ?? '9999').localeCompare(b.on ?? '9999');
