import {
  applyEdit,
  emptyPlan,
  newPart,
  newPort,
  type Part,
  type PartKind,
  type Plan,
  type PortRole,
} from '../plan/index.ts';
import { newLine } from '../plan/edits/new-line.ts';
import { inspect } from '../inspect/index.ts';
import { demo } from './demo-plans.ts';

export const bare = (): Plan => ({
  ...emptyPlan('p', 'P', '2026-01-01T00:00:00.000Z'),
  parts: [],
  lines: [],
});
/** Parts by name, with ports beyond those of their kind as `name role`. */
export function withParts(
  parts: Record<string, PartKind | readonly [PartKind, ...string[]]>,
): Plan {
  return Object.entries(parts).reduce((plan, [name, spec], i) => {
    const [kind, ...more] = typeof spec === 'string' ? [spec] : spec;
    const known = {
      how: 'typed',
      atMm: [700 * i, 500 * (i % 3), 400 + 250 * (i % 2)],
      sigmaMm: [1, 1, 1],
    } as const;
    const made: Part = { ...newPart(plan, kind, known), name };
    const ports = more.reduce((own, text) => {
      const [portName, role] = text.split(':') as [string, PortRole];
      return [
        ...own,
        newPort(
          { ...plan, parts: [...plan.parts, { ...made, ports: own }] },
          portName,
          role,
          [0, 0, 1],
          known,
        ),
      ];
    }, made.ports);
    return { ...plan, parts: [...plan.parts, { ...made, ports }] };
  }, bare());
}
export const portOf = (plan: Plan, text: string) => {
  const [name, port] = text.split('.') as [string, string];
  return plan.parts.find((part) => part.name === name)!.ports.find((one) => one.name === port)!;
};
/** A tube or a hose from port to port: `master.outlet > tee.inlet`, in the circuit of an axle. */
export function joined(
  plan: Plan,
  joins: readonly (readonly [
    join: string,
    circuit?: 'front' | 'rear' | 'clutch',
    by?: 'tube' | 'hose' | 'feed',
  ])[],
): Plan {
  const typical = demo('gannet').hoses[0] ?? demo('wheatear').hoses[0]!;
  return joins.reduce((now, [join, circuit = 'front', by = 'tube'], i) => {
    const [a, b] = join.split(' > ').map((text) => portOf(now, text)) as [
      ReturnType<typeof portOf>,
      ReturnType<typeof portOf>,
    ];
    const circuitId = { front: 'circuit-1', rear: 'circuit-2', clutch: 'circuit-3' }[circuit];
    if (by === 'tube') return { ...now, lines: [...now.lines, newLine(now, a, b, circuitId)] };
    const ends = { a: { ...typical.ends.a, portId: a.id }, b: { ...typical.ends.b, portId: b.id } };
    return {
      ...now,
      hoses: [
        ...now.hoses,
        {
          ...typical,
          id: `hose-${i}`,
          name: `H${i}`,
          circuitId,
          ends,
          service: by === 'feed' ? 'feed' : 'pressure',
        },
      ],
    };
  }, plan);
}
export const said = (plan: Plan, rule: string): string[] =>
  inspect(plan)
    .filter((snag) => snag.rule === rule)
    .map(({ level, where, text }) => `${level} ${where}: ${text}`);
export const passages = (
  plan: Plan,
  name: string,
  groups: readonly (readonly string[])[],
): Plan => {
  const part = plan.parts.find((one) => one.name === name)!;
  return applyEdit(plan, {
    edit: 'changePart',
    with: {
      id: part.id,
      patch: {
        passages: groups.map((own) =>
          own.map((port) => part.ports.find((p) => p.name === port)!.id),
        ),
      },
    },
  });
};
