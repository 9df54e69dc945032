import type { InputError } from '../../lib/faults/index.ts';
import { galleriesOf } from '../network/index.ts';
import type { LineView, PortView } from '../layout/line-view.ts';
import { hoseVolumeMl } from '../layout/hose-figures.ts';
import {
  makesPressure,
  type Circuit,
  type Hose,
  type Part,
  type Plan,
  type Port,
} from '../model/index.ts';

/** What is bled, by the places where fluid meets. */
export interface BleedNet {
  readonly pipes: readonly {
    readonly kind: 'line' | 'hose';
    readonly id: string;
    readonly from: string;
    readonly to: string;
  }[];
  readonly outlets: readonly {
    readonly at: string;
    readonly portId: string;
    readonly partId: string;
    /** Height of the fluid that it draws from; null where it is not known. */
    readonly levelMm: number | null;
  }[];
  readonly bleeders: readonly {
    readonly portId: string;
    readonly partId: string;
    readonly at: string;
    readonly cavityMl: number;
  }[];
}

/** Names by id that differ from one another, so that the core's sentences speak of parts and not of ids. */
function labels(named: readonly (readonly [id: string, name: string])[]): (id: string) => string {
  const count = new Map<string, number>();
  for (const [, name] of named) count.set(name, (count.get(name) ?? 0) + 1);
  const byId = new Map(
    named.map(([id, name]) => [id, count.get(name)! > 1 ? `${name} (${id})` : name]),
  );
  return (id) => byId.get(id)!;
}

/** Farther than this below another one of its gallery a bleeder is kept shut: air stays above it. */
const SPARE_BELOW_MM = 20;
/** Whether a bleeder is kept shut: another one of the same gallery stands well above it. */
export function isSpareBleeder(
  part: Part,
  bleeder: Port,
  ports: ReadonlyMap<string, PortView>,
): boolean {
  const upMm = ({ id }: Port): number => ports.get(id)?.fixed.atMm[2] ?? 0;
  const gallery = galleriesOf(part).find((all) => all.includes(bleeder)) ?? [];
  return gallery.some(
    (port) => port.role === 'bleeder' && upMm(port) - upMm(bleeder) > SPARE_BELOW_MM,
  );
}
/** Bleeders of a part that are bled at, that nearest to the middle of the vehicle first: of two on a caliper the inner one comes first. Common practice. */
const bleedersOf = (part: Part, ports: ReadonlyMap<string, PortView>): Port[] => {
  const outMm = ({ id }: Port): number => Math.abs(ports.get(id)?.fixed.atMm[1] ?? 0);
  return part.ports
    .filter((port) => port.role === 'bleeder' && !isSpareBleeder(part, port, ports))
    .sort((a, b) => outMm(a) - outMm(b));
};

/** What a part that no line joins yet is for. */
const workOf = (part: Part): Circuit['work'] =>
  part.kind === 'slave' || part.kind === 'release-bearing' ? 'clutch' : 'brake';

/** What of a plan its bleeding rests on besides its lines. */
export type Bled = Pick<Plan, 'bleeding' | 'circuits' | 'parts' | 'hoses'>;
/** What of one kind of work is joined: its lines and hoses, the ports they touch, the bleeders they lead to. */
interface Joined {
  readonly lines: readonly LineView[];
  /** Hoses between two parts: pipes. */
  readonly pipes: readonly { readonly hose: Hose; readonly a: PortView; readonly b: PortView }[];
  readonly touched: readonly PortView[];
  readonly bleeders: readonly { readonly part: Part; readonly port: Port }[];
  /** Fluid in the hoses that hang from a part and end at a place of their own, mL. */
  readonly heldMl: (part: Part) => number;
}
export function joinedOf(
  plan: Bled,
  work: Circuit['work'],
  lines: readonly LineView[],
  ports: ReadonlyMap<string, PortView>,
): Joined {
  const circuits = new Set(plan.circuits.filter((c) => c.work === work).map((c) => c.id));
  const whole = lines.filter((v) => v.ports.a && v.ports.b);
  const joined = whole.filter((v) => circuits.has(v.line.circuitId));
  const elsewhere = new Set(
    whole.filter((v) => !joined.includes(v)).flatMap((v) => [v.ports.a!.part, v.ports.b!.part]),
  );
  const hoses = plan.hoses
    .filter((hose) => hose.service === 'pressure' && circuits.has(hose.circuitId))
    .map((hose) => ({
      hose,
      a: ports.get(hose.ends.a.portId ?? ''),
      b: ports.get(hose.ends.b.portId ?? ''),
    }));
  // Between two parts a hose is a pipe; one that ends at a place of its own belongs to the part it hangs from.
  const pipes = hoses.flatMap(({ hose, a, b }) =>
    a && b && a.part !== b.part ? [{ hose, a, b }] : [],
  );
  const heldMl = (part: Part): number =>
    hoses.reduce(
      (sum, { hose, a, b }) =>
        sum + ((a ?? b)?.part === part && !(a && b && a.part !== b.part) ? hoseVolumeMl(hose) : 0),
      0,
    );
  const touched = new Map(
    [
      ...joined.flatMap((v) => [v.ports.a!, v.ports.b!]),
      ...pipes.flatMap(({ a, b }) => [a, b]),
    ].map((p) => [p.port.id, p]),
  );
  const parts = new Set([...touched.values()].map((p) => p.part));
  const bleeders = plan.parts.flatMap((part) =>
    parts.has(part) || (workOf(part) === work && !elsewhere.has(part))
      ? bleedersOf(part, ports).map((port) => ({ part, port }))
      : [],
  );
  return { lines: joined, pipes, touched: [...touched.values()], bleeders, heldMl };
}

/** Names of the places where fluid meets, and of ports, that differ from one another. */
export function placeNames({ parts }: Pick<Plan, 'parts'>): {
  readonly labelOf: (id: string) => string;
  readonly placeOf: (at: Pick<PortView, 'part' | 'port'>) => string;
} {
  const labelOf = labels([
    ...parts.map((part) => [part.id, part.name] as const),
    ...parts.flatMap((part) =>
      part.ports.map((port) => [port.id, `${part.name}, ${port.name}`] as const),
    ),
  ]);
  // Each gallery of a part is a place of its own, by the part's name where it is the only one.
  const placeOf = ({ part, port }: Pick<PortView, 'part' | 'port'>): string => {
    const galleries = galleriesOf(part);
    const own = galleries.find((gallery) => gallery.includes(port));
    return labelOf(
      own && galleries.length === 1 && !makesPressure(part) ? part.id : (own?.[0] ?? port).id,
    );
  };
  return { labelOf, placeOf };
}

/** Fluid in what has no bleeder of its own, back to the reservoir and with its feed, mL. */
export function wetMl(
  { parts, hoses }: Bled,
  drawn: Pick<ReadonlyMap<string, unknown>, 'has'>,
): number {
  const held = parts
    .filter(
      ({ ports: own }) =>
        own.some(({ id }) => drawn.has(id)) && !own.some(({ role }) => role === 'bleeder'),
    )
    .reduce((sum, part) => sum + part.cavityMl, 0);
  const fed = hoses
    .filter(
      ({ service, ends }) =>
        service === 'feed' && [ends.a, ends.b].some(({ portId }) => drawn.has(portId ?? '')),
    )
    .reduce((sum, hose) => sum + hoseVolumeMl(hose), 0);
  return held + fed;
}

/** The line or the bleeder that a fault of the order is about. */
export function placeOfFault(
  { path }: InputError,
  { lines, bleeders }: Joined,
): { readonly lineId?: string; readonly portId?: string } {
  const index = Number(/\d+/.exec(path)?.[0] ?? -1);
  if (path.startsWith('pipes'))
    return index < lines.length ? { lineId: lines[index]!.line.id } : {};
  return path.startsWith('bleeders') ? { portId: bleeders[index]!.port.id } : {};
}

type PlaceOf = (at: Pick<PortView, 'part' | 'port'>) => string;
/** Each line and hose between the places it joins. */
export const runsOf = ({ lines, pipes }: Joined, placeOf: PlaceOf) => [
  ...lines.map((v) => ({
    kind: 'line' as const,
    id: v.line.id,
    from: placeOf(v.ports.a!),
    to: placeOf(v.ports.b!),
    lengthMm: v.card!.developedMm,
    volumeMl: v.volumeMl,
  })),
  ...pipes.map(({ hose, a, b }) => ({
    kind: 'hose' as const,
    id: hose.id,
    from: placeOf(a),
    to: placeOf(b),
    lengthMm: hose.orderMm,
    volumeMl: hoseVolumeMl(hose),
  })),
];

export const netOf = (
  runs: ReturnType<typeof runsOf>,
  outlets: readonly PortView[],
  { bleeders, heldMl }: Joined,
  placeOf: PlaceOf,
  levelOf: (master: Part) => number | null,
): BleedNet => ({
  pipes: runs.map(({ kind, id, from, to }) => ({ kind, id, from, to })),
  outlets: outlets.map(({ port, part }) => ({
    at: placeOf({ part, port }),
    portId: port.id,
    partId: part.id,
    levelMm: levelOf(part),
  })),
  bleeders: bleeders.map(({ part, port }) => ({
    portId: port.id,
    partId: part.id,
    at: placeOf({ part, port }),
    cavityMl: part.cavityMl + heldMl(part),
  })),
});
