import { derive } from '../../lib/derive/index.ts';
import { InputError } from '../../lib/faults/index.ts';
import { bleed, type BleedInput, type BleedPlan } from '../../physics/bleeding/index.ts';
import { reach, type Network } from '../../physics/flow-graph/index.ts';
import { galleriesOf, reservoirsFilledFrom } from '../network/index.ts';
import type { LineView, PortView } from '../layout/line-view.ts';
import { hoseVolumeMl } from '../layout/hose-figures.ts';
import { makesPressure } from '../model/index.ts';
import type { Circuit, Hose, Part, PartKind, Plan, Port } from '../model/index.ts';

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
  }[];
  readonly bleeders: readonly {
    readonly portId: string;
    readonly partId: string;
    readonly at: string;
    readonly cavityMl: number;
  }[];
}
/** The bleeding of one kind of work: all brake circuits, or the clutch. */
export interface BleedView {
  readonly work: Circuit['work'];
  readonly bleeders: readonly { readonly part: Part; readonly port: Port }[];
  /** The parts that its fluid is poured into. */
  readonly reservoirs: readonly Part[];
  /** Its pipes, outlets and bleeders with the places they join; null where there is no order. */
  readonly net: BleedNet | null;
  /** Steps by id of the bleeder port. */
  readonly result: BleedPlan | null;
  /** Why there is none, and the line or bleeder port it is about. */
  readonly fault: {
    readonly message: string;
    readonly lineId?: string;
    readonly portId?: string;
  } | null;
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

/** Bleeders of a part, that nearest to the middle of the vehicle first: of two on a caliper the inner one comes first. Common practice. */
const bleedersOf = (part: Part, ports: ReadonlyMap<string, PortView>): Port[] => {
  const outMm = ({ id }: Port): number => Math.abs(ports.get(id)?.fixed.atMm[1] ?? 0);
  return part.ports.filter(({ role }) => role === 'bleeder').sort((a, b) => outMm(a) - outMm(b));
};

/** What a part that no line joins yet is for. */
const workOf = (part: Part): Circuit['work'] =>
  part.kind === 'slave' || part.kind === 'release-bearing' ? 'clutch' : 'brake';

/** What of a plan its bleeding rests on besides its lines. */
type Bled = Pick<Plan, 'bleeding' | 'circuits' | 'parts' | 'hoses'>;
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
function joinedOf(
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
function placeNames({ parts }: Pick<Plan, 'parts'>): {
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
function wetMl({ parts, hoses }: Bled, drawn: Pick<ReadonlyMap<string, unknown>, 'has'>): number {
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
function placeOfFault(
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
const runsOf = ({ lines, pipes }: Joined, placeOf: PlaceOf) => [
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

const netOf = (
  runs: ReturnType<typeof runsOf>,
  outlets: readonly PortView[],
  { bleeders, heldMl }: Joined,
  placeOf: PlaceOf,
): BleedNet => ({
  pipes: runs.map(({ kind, id, from, to }) => ({ kind, id, from, to })),
  outlets: outlets.map(({ port, part }) => ({
    at: placeOf({ part, port }),
    portId: port.id,
    partId: part.id,
  })),
  bleeders: bleeders.map(({ part, port }) => ({
    portId: port.id,
    partId: part.id,
    at: placeOf({ part, port }),
    cavityMl: part.cavityMl + heldMl(part),
  })),
});

function viewOf(
  plan: Bled,
  work: Circuit['work'],
  lines: readonly LineView[],
  ports: ReadonlyMap<string, PortView>,
  network: Network,
): BleedView {
  const joined = joinedOf(plan, work, lines, ports);
  const { bleeders, heldMl } = joined;
  const none = (fault: NonNullable<BleedView['fault']>): BleedView => ({
    work,
    bleeders,
    reservoirs: [],
    net: null,
    result: null,
    fault,
  });
  const unfinished = joined.lines.find((v) => !v.card);
  if (unfinished)
    return none({
      message: `${unfinished.line.name} has no length yet: mend its corners first.`,
      lineId: unfinished.line.id,
    });
  if (!bleeders.length) return none({ message: 'No part on these lines has a bleeder.' });
  const outlets = joined.touched.filter((p) => makesPressure(p.part) && p.port.role !== 'feed');
  if (!outlets.length)
    return none({ message: 'No line starts at a master, so there is no outlet to measure from.' });
  const { labelOf, placeOf } = placeNames(plan);
  const runs = runsOf(joined, placeOf);
  const drawn = reach(
    network,
    outlets.map(({ port }) => port.id),
  );
  const input: BleedInput = {
    pipes: runs.map(({ from, to, lengthMm, volumeMl }) => ({ from, to, lengthMm, volumeMl })),
    outlets: [...new Set(outlets.map(placeOf))],
    bleeders: bleeders.map(({ part, port }) => ({
      id: labelOf(port.id),
      at: placeOf({ part, port }),
      cavityMl:
        (part.cavityMl + heldMl(part)) / part.ports.filter((p) => p.role === 'bleeder').length,
    })),
    school: plan.bleeding.school,
    // One bleeder needs no list to stand in.
    listed: (bleeders.length === 1
      ? bleeders.map((b) => b.port.id)
      : plan.bleeding.listed.filter((id) => bleeders.some((b) => b.port.id === id))
    ).map(labelOf),
    wetMl: wetMl(plan, drawn),
    purge: plan.bleeding.purge,
  };
  const idOf = new Map(bleeders.map(({ port }) => [labelOf(port.id), port.id]));
  try {
    const found = bleedFromMaster(
      input,
      new Map(bleeders.map(({ part, port }) => [labelOf(port.id), part.kind])),
    );
    return {
      work,
      bleeders,
      reservoirs: reservoirsFilledFrom(
        network,
        plan.parts,
        new Set(outlets.map(({ part }) => part.id)),
      ),
      net: netOf(runs, outlets, joined, placeOf),
      result: { ...found, order: found.order.map((step) => ({ ...step, id: idOf.get(step.id)! })) },
      fault: null,
    };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return none({ message: error.message, ...placeOfFault(error, joined) });
  }
}

/** Kinds whose bleeders come before the wheels', in this order. Common practice; a maker's sheet stands as it is written. */
const FIRST: readonly PartKind[] = ['master', 'actuator', 'modulator', 'handbrake-cylinder'];
/** The order of a school with master, modulator and inline cylinder first. */
function bleedFromMaster(input: BleedInput, kinds: ReadonlyMap<string, PartKind>): BleedPlan {
  const found = bleed(input);
  if (input.school === 'as-listed' || !found.order.some(({ id }) => FIRST.includes(kinds.get(id)!)))
    return found;
  const order = found.order.map(({ id }) => id);
  const listed = [
    ...FIRST.flatMap((kind) => order.filter((id) => kinds.get(id) === kind)),
    ...order.filter((id) => !FIRST.includes(kinds.get(id)!)),
  ];
  return bleed({ ...input, school: 'as-listed', listed });
}

/** One view for each kind of work that has lines, brakes first. */
export const bleedViews = derive(
  'bleeding',
  (
    { bleeding, circuits, parts, hoses }: Bled,
    lines: readonly LineView[],
    ports: ReadonlyMap<string, PortView>,
    network: Network,
  ) => [lines, ports, network, bleeding, circuits, parts, hoses],
  (lines, ports, network, bleeding, circuits, parts, hoses): BleedView[] => {
    const kinds = (['brake', 'clutch'] as const).filter((work) =>
      circuits.some((c) => c.work === work && lines.some(({ line }) => line.circuitId === c.id)),
    );
    return kinds.map((work) =>
      viewOf({ bleeding, circuits, parts, hoses }, work, lines, ports, network),
    );
  },
);
