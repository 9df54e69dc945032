import { ADAPTERS, formsSeal, type Adapter, type FemaleHalf, type Half, type MaleHalf } from '../stock/index.ts';
import { mate, threadOf } from '../threads/index.ts';

export interface AdaptInput {
  readonly from: Half;
  readonly to: Half;
  /** Most sealing faces, 1 to 8. */
  readonly maxJoints?: number;
}
export interface Join {
  readonly male: MaleHalf;
  readonly female: FemaleHalf;
}
export interface Chain {
  readonly parts: readonly string[];
  /** One for each sealing face, in order. */
  readonly joins: readonly Join[];
  readonly joints: number;
  readonly costMinor: number;
  readonly why: readonly string[];
}
export interface Adapted {
  readonly chains: readonly Chain[];
  readonly nearest?: { readonly missing: string };
}

const DEFAULT_MOST = 4;
/** Ways that are kept to choose from. */
const CHAINS = 3;

export const halfKey = (half: Half): string => `${half.gender}|${half.thread}|${half.gender === 'male' ? half.end : half.seat}`;
export const joinOf = (a: Half, b: Half): Join | null => {
  if (a.gender === b.gender) return null;
  const [m, f] = a.gender === 'male' ? [a, b] : [b, a];
  if (m.gender !== 'male' || f.gender !== 'female') return null;
  return { male: { thread: m.thread, end: m.end }, female: { thread: f.thread, seat: f.seat } };
};
const seals = (a: Half, b: Half): boolean => {
  const join = joinOf(a, b);
  // Forms are compared first: most pairs differ there, and only then are the threads looked at.
  return join !== null && formsSeal(join.male.end, join.female.seat) && mate(join).verdict === 'seals';
};
/** Sealing faces of a join: a banjo has one on each side of its eye. */
const facesOf = (a: Half, b: Half): number => ([a, b].some((half) => half.gender === 'male' && half.end === 'banjo') ? 2 : 1);

interface Edge {
  readonly part: Adapter;
  /** Its half that seals on what is held, and the one that looks onward, which is the node it leads to. */
  readonly near: Half;
  readonly onward: Half;
  readonly to: number;
  readonly faces: number;
}
/** A catalogue made ready for searching: every kind of half is a node, every part leads from what it seals on to its other halves. */
export class AdapterGraph {
  private readonly nodes = new Map<string, number>();
  private readonly halves: Half[] = [];
  private readonly edges: Edge[][] = [];
  /** Halves of parts by node; a half is a node of its own the moment it is seen. */
  private readonly ends: { readonly node: number; readonly part: Adapter; readonly near: Half; readonly onward: Half }[] = [];

  constructor(readonly parts: readonly Adapter[]) {
    for (const part of parts) {
      // Tees would leave a branch open, plugs lead nowhere.
      if (part.halves.length !== 2) continue;
      const [a, b] = part.halves as [Half, Half];
      this.ends.push({ node: this.nodeOf(a), part, near: a, onward: b }, { node: this.nodeOf(b), part, near: b, onward: a });
    }
  }

  nodeOf(half: Half): number {
    const key = halfKey(half);
    const known = this.nodes.get(key);
    if (known !== undefined) return known;
    const node = this.halves.length;
    this.nodes.set(key, node);
    this.halves.push(half);
    return node;
  }
  half(node: number): Half {
    return this.halves[node]!;
  }

  /** From a half to the onward halves of the parts that seal on it; of parts that lead to the same half the cheapest few. */
  from(node: number): readonly Edge[] {
    const known = this.edges[node];
    if (known) return known;
    const half = this.halves[node]!;
    const sealing = new Map<number, boolean>();
    const cheapest = new Map<number, Edge[]>();
    for (const { node: at, part, near, onward } of this.ends) {
      if (!sealing.has(at)) sealing.set(at, seals(half, near));
      if (!sealing.get(at)) continue;
      const to = this.nodeOf(onward);
      const edges = cheapest.get(to) ?? [];
      edges.push({ part, near, onward, to, faces: facesOf(half, near) });
      cheapest.set(to, edges);
    }
    const found = [...cheapest.values()].flatMap((edges) =>
      edges.sort((a, b) => a.part.costMinor - b.part.costMinor).slice(0, CHAINS),
    );
    this.edges[node] = found;
    return found;
  }
}

interface Way {
  readonly node: number;
  readonly joints: number;
  readonly costMinor: number;
  readonly before: Way | null;
  readonly edge: Edge | null;
}
const better = (a: Way, b: Way): boolean => a.joints < b.joints || (a.joints === b.joints && a.costMinor < b.costMinor);

/** A heap of ways, the best on top. */
class Ways {
  private readonly heap: Way[] = [];
  get size(): number {
    return this.heap.length;
  }
  add(way: Way): void {
    const { heap } = this;
    heap.push(way);
    for (let i = heap.length - 1; i > 0;) {
      const up = (i - 1) >> 1;
      if (!better(heap[i]!, heap[up]!)) return;
      [heap[i], heap[up]] = [heap[up]!, heap[i]!];
      i = up;
    }
  }
  take(): Way {
    const { heap } = this;
    const best = heap[0]!;
    const last = heap.pop()!;
    if (!heap.length) return best;
    heap[0] = last;
    for (let i = 0; ;) {
      let least = i;
      for (const child of [2 * i + 1, 2 * i + 2]) if (child < heap.length && better(heap[child]!, heap[least]!)) least = child;
      if (least === i) return best;
      [heap[i], heap[least]] = [heap[least]!, heap[i]!];
      i = least;
    }
  }
}

const edgesOf = (way: Way): Edge[] => (way.edge ? [...edgesOf(way.before!), way.edge] : []);
const twice = (join: Join, faces: number): Join[] => Array.from({ length: faces }, () => join);

function chainOf(from: Half, to: Half, way: Way): Chain {
  const joins: Join[] = [];
  const parts: Adapter[] = [];
  let half = from;
  for (const { part, near, onward, faces } of edgesOf(way)) {
    joins.push(...twice(joinOf(half, near)!, faces));
    parts.push(part);
    half = onward;
  }
  joins.push(...twice(joinOf(half, to)!, facesOf(half, to)));
  const costMinor = parts.reduce((sum, part) => sum + part.costMinor, 0);
  const banjo = joins.length > parts.length + 1 ? ' A banjo counts twice: it seals on both its washers.' : '';
  const why = parts.length
    ? [
        `${parts.length === 1 ? 'One part' : `${parts.length} parts`}, ${joins.length} sealing faces.${banjo}`,
        ...parts.map((part) => part.name),
      ]
    : ['They join directly.'];
  return { parts: parts.map((part) => part.id), joins, joints: joins.length, costMinor, why };
}

/** The words for a half: `3/8-24 UNF, bubble`. */
const halfWords = (half: Half): string => `${half.gender} ${half.thread}, ${half.gender === 'male' ? half.end : half.seat}`;

/**
 * The shortest chains of adapters between two ports over a catalogue: fewest sealing faces first,
 * then cost, every join one that seals; up to three, best first. Throws InputError for a thread or a
 * form that does not exist. Ways are searched best first, each node left as often as ways are kept.
 */
export function adapt({ from, to, maxJoints = DEFAULT_MOST }: AdaptInput, graph: AdapterGraph = STOCK): Adapted {
  threadOf(from, 'from');
  threadOf(to, 'to');
  const chains: Chain[] = [];
  const left = new Map<number, number>();
  const ways = new Ways();
  ways.add({ node: graph.nodeOf(from), joints: 0, costMinor: 0, before: null, edge: null });
  const seen = new Set<string>();
  /** Node -1 stands for the far port reached. */
  while (ways.size && chains.length < CHAINS) {
    const way = ways.take();
    if (way.node < 0) {
      const chain = chainOf(from, to, way.before!);
      const key = chain.parts.join();
      if (!seen.has(key)) chains.push(chain);
      seen.add(key);
      continue;
    }
    const count = (left.get(way.node) ?? 0) + 1;
    if (count > CHAINS) continue;
    left.set(way.node, count);
    const half = graph.half(way.node);
    if (seals(half, to)) {
      const joints = way.joints + facesOf(half, to);
      if (joints <= maxJoints) ways.add({ node: -1, joints, costMinor: way.costMinor, before: way, edge: null });
    }
    for (const edge of graph.from(way.node)) {
      const joints = way.joints + edge.faces;
      // One face more is needed to reach the far port.
      if (joints + 1 <= maxJoints)
        ways.add({ node: edge.to, joints, costMinor: way.costMinor + edge.part.costMinor, before: way, edge });
    }
  }
  if (chains.length) return { chains };
  const stuck = graph.from(graph.nodeOf(from)).length === 0 && !seals(from, to) ? from : to;
  return {
    chains,
    nearest: {
      missing: `No part in the catalogue leads from ${halfWords(from)} to ${halfWords(to)} in ${maxJoints} joints${stuck === from ? `: nothing seals on ${halfWords(from)} that leads on` : ''}.`,
    },
  };
}

/** The shipped catalogue. */
export const STOCK = new AdapterGraph(ADAPTERS);
