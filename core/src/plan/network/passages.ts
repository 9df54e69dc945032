import { derive } from '../../lib/derive/index.ts';
import type { Duct } from '../../physics/flow-graph/index.ts';
import type { Part, PartKind, Port } from '../model/index.ts';

/** How the ports of a part are connected inside. */
type Inside = 'all' | 'apart' | 'by circuit';
/** By kind; what is not named here connects all of its ports. Common practice; the maker's sheet comes first. */
const INSIDE: Partial<Record<PartKind, Inside>> = {
  // Each outlet of a tandem is a chamber of its own.
  master: 'apart',
  actuator: 'apart',
  'combination-valve': 'by circuit',
  modulator: 'by circuit',
  'proportioning-valve': 'by circuit',
};

const isInlet = ({ role }: Port): boolean => role === 'inlet';
/** The word that tells the circuits of a part apart: "front inlet" and "front left" are one. */
const circuitWord = ({ name }: Port): string => name.toLowerCase().split(/[\s,]+/)[0]!;

/** Galleries of a part with a passage for each circuit: outlets by the first word of their inlet's name, else in order. */
function byCircuit(ports: readonly Port[]): readonly (readonly Port[])[] {
  const inlets = ports.filter(isInlet);
  const others = ports.filter((port) => !isInlet(port) && port.role !== 'spare');
  if (inlets.length < 2) return [ports];
  const words = inlets.map(circuitWord);
  const named = others.map((port) => words.indexOf(circuitWord(port)));
  const isClear = new Set(words).size === words.length && !named.includes(-1);
  const of = (i: number): number =>
    isClear
      ? named[i]!
      : Math.min(inlets.length - 1, Math.floor((i * inlets.length) / others.length));
  return inlets.map((inlet, k) => [inlet, ...others.filter((_, i) => of(i) === k)]);
}

/** The galleries of a part: sets of its ports that are connected inside, as its user says or as its kind has them. */
export function galleriesOf({
  kind,
  ports,
  passages,
}: Pick<Part, 'kind' | 'ports' | 'passages'>): readonly (readonly Port[])[] {
  if (passages) return passages.map((ids) => ports.filter(({ id }) => ids.includes(id)));
  switch (INSIDE[kind] ?? 'all') {
    case 'apart':
      // A bleeder on a master belongs to the outlet that it was put in with; feeds are told by `suppliesOf`.
      return ports
        .filter(({ role }) => role === 'outlet')
        .map((outlet, i, outlets) => [outlet, ...bleedersOf(ports, i, outlets.length)]);
    case 'by circuit':
      return byCircuit(ports);
    case 'all':
      return [ports];
  }
}
const bleedersOf = (ports: readonly Port[], i: number, outlets: number): Port[] =>
  ports.filter(({ role }) => role === 'bleeder').filter((_, k) => Math.min(k, outlets - 1) === i);

/** Which feed of a master fills which chamber: in order where there are as many of each, else every feed every chamber. */
function suppliesOf({
  kind,
  ports,
}: Pick<Part, 'kind' | 'ports'>): (readonly [feed: Port, outlet: Port])[] {
  if (kind !== 'master' && kind !== 'actuator') return [];
  const [feeds, outlets] = [
    ports.filter(({ role }) => role === 'feed'),
    ports.filter(({ role }) => role === 'outlet'),
  ];
  return feeds.flatMap((feed, i) =>
    (feeds.length === outlets.length ? [outlets[i]!] : outlets).map(
      (outlet) => [feed, outlet] as const,
    ),
  );
}

/** The ducts inside a part: each gallery as a star about its first port. */
export const passagesOf = derive(
  'passages',
  ({ ports, id, kind, passages }: Part) => [ports, id, kind, passages],
  (ports, id, kind, passages): readonly Duct[] => {
    const duct = (from: Port, to: Port, supplies: boolean): Duct => ({
      id,
      kind: 'passage',
      from: from.id,
      to: to.id,
      supplies,
    });
    return [
      ...galleriesOf({ kind, ports, passages }).flatMap(([first, ...rest]) =>
        rest.map((port) => duct(first!, port, false)),
      ),
      // What another master presses through is open to it.
      ...suppliesOf({ kind, ports }).map(([feed, outlet]) =>
        duct(feed, outlet, !feed.takesPressure),
      ),
    ];
  },
);
