/** What fluid passes through from one port to another. */
export interface Duct {
  /** The tube or hose, or the part whose passage it is. */
  readonly id: string;
  readonly kind: 'tube' | 'hose' | 'passage';
  readonly from: string;
  readonly to: string;
  /**
   * From a master's feed to its chamber: open at rest and shut under pressure, so that it brings fluid
   * and joins no circuits.
   */
  readonly supplies: boolean;
}
/** Ports joined by ducts, ready to be asked. Fluid passes a duct both ways. */
export interface Network {
  readonly ports: readonly string[];
  readonly ducts: readonly Duct[];
  readonly index: ReadonlyMap<string, number>;
  /** Ducts at the port of index i: `touching[first[i]]` to `touching[first[i + 1] - 1]`. */
  readonly first: Int32Array;
  readonly touching: Int32Array;
  /** Indices of both ports of each duct, one after the other. */
  readonly ends: Int32Array;
}
/** Which ducts count. */
export type Through = (duct: Duct) => boolean;
/** Under pressure a master's feed is shut. */
export const underPressure: Through = (duct) => !duct.supplies;
export const anyDuct: Through = () => true;

/** A network of these ports and of those that ducts name besides. */
export function networkOf(named: Iterable<string>, ducts: readonly Duct[]): Network {
  const index = new Map<string, number>();
  const at = (port: string): number => {
    let i = index.get(port);
    if (i === undefined) index.set(port, (i = index.size));
    return i;
  };
  for (const port of named) at(port);
  const ends = new Int32Array(2 * ducts.length);
  ducts.forEach(({ from, to }, k) => {
    ends[2 * k] = at(from);
    ends[2 * k + 1] = at(to);
  });
  const first = new Int32Array(index.size + 1);
  for (const i of ends) first[i + 1]!++;
  for (let i = 0; i < index.size; i++) first[i + 1]! += first[i]!;
  const filled = first.slice();
  const touching = new Int32Array(ends.length);
  ends.forEach((i, k) => (touching[filled[i]!++] = k >> 1));
  return { ports: [...index.keys()], ducts, index, first, touching, ends };
}

/** Ducts at a port. */
export function ductsAt({ index, first, touching, ducts }: Network, port: string): Duct[] {
  const i = index.get(port);
  return i === undefined
    ? []
    : [...touching.subarray(first[i], first[i + 1])].map((k) => ducts[k]!);
}
export const otherEnd = ({ from, to }: Duct, port: string): string => (from === port ? to : from);

/** A number for each port, the same for those that are joined: 0 for the first port's and so on as they come. */
export function components(network: Network, through: Through = anyDuct): Int32Array {
  const group = new Int32Array(network.ports.length).fill(-1);
  const counts = network.ducts.map(through);
  let groups = 0;
  const queue: number[] = [];
  for (let start = 0; start < group.length; start++) {
    if (group[start] !== -1) continue;
    group[start] = groups;
    queue.push(start);
    for (let i = queue.pop(); i !== undefined; i = queue.pop())
      for (let k = network.first[i]!; k < network.first[i + 1]!; k++) {
        const duct = network.touching[k]!;
        const next = network.ends[2 * duct]! + network.ends[2 * duct + 1]! - i;
        if (!counts[duct] || group[next] !== -1) continue;
        group[next] = groups;
        queue.push(next);
      }
    groups++;
  }
  return group;
}

/** One step of a way: the port it comes to, by which duct, from which step; neither at the start. */
export interface Step {
  readonly port: string;
  readonly duct: Duct | null;
  readonly before: Step | null;
}
/** What is reached from some ports by the fewest ducts, nearest first, each port with the way that led there. */
export function reach(
  network: Network,
  from: Iterable<string>,
  through: Through = anyDuct,
): ReadonlyMap<string, Step> {
  const found = new Map<string, Step>();
  for (const port of from)
    if (network.index.has(port)) found.set(port, { port, duct: null, before: null });
  for (const step of found.values())
    for (const duct of ductsAt(network, step.port)) {
      const port = otherEnd(duct, step.port);
      if (through(duct) && !found.has(port)) found.set(port, { port, duct, before: step });
    }
  return found;
}
/** The ports of a way from its start to a step, both with it. */
export function wayOf(step: Step): Step[] {
  const way: Step[] = [];
  for (let one: Step | null = step; one; one = one.before) way.unshift(one);
  return way;
}

/** A duct that closes a loop, so that fluid has two ways; null where there is none. */
export function loopIn(network: Network, through: Through = anyDuct): Duct | null {
  const root = Int32Array.from(network.ports, (_, i) => i);
  const rootOf = (i: number): number => {
    while (root[i] !== i) i = root[i] = root[root[i]!]!;
    return i;
  };
  for (const [k, duct] of network.ducts.entries()) {
    if (!through(duct)) continue;
    const [a, b] = [rootOf(network.ends[2 * k]!), rootOf(network.ends[2 * k + 1]!)];
    if (a === b) return duct;
    root[a] = b;
  }
  return null;
}
