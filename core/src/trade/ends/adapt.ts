import FlatQueue from 'flatqueue';
import {
  halfWords,
  ADAPTERS,
  type Adapter,
  type FemaleHalf,
  type Half,
  type MaleHalf,
} from '../stock/index.ts';
import { mate, threadOf } from '../threads/index.ts';
import { AdapterGraph, CHAINS, facesOf, JOINT, type Edge } from './adapter-graph.ts';

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

export const joinOf = (a: Half, b: Half): Join | null => {
  if (a.gender === b.gender) return null;
  const [m, f] = a.gender === 'male' ? [a, b] : [b, a];
  if (m.gender !== 'male' || f.gender !== 'female') return null;
  return { male: { thread: m.thread, end: m.end }, female: { thread: f.thread, seat: f.seat } };
};
/** Part of a chain: where it stands, what it weighs so far, and the edge that led there. */
interface Way {
  readonly node: number;
  readonly weight: number;
  readonly before: Way | null;
  readonly edge: Edge | null;
}
const edgesOf = (way: Way): Edge[] => (way.edge ? [...edgesOf(way.before!), way.edge] : []);
const twice = (join: Join, faces: number): Join[] => Array.from({ length: faces }, () => join);

/** Of the edges onward the few that lead to the lightest chains: three better ones leave no room for a fourth. */
function bestOf(
  edges: readonly Edge[],
  soFar: number,
  weights: ArrayLike<number>,
  most: number,
): { edge: Edge; whole: number }[] {
  const best: { edge: Edge; whole: number }[] = [];
  for (const edge of edges) {
    const whole = soFar + edge.weight + (weights[edge.to] ?? Infinity);
    if (whole >= most || (best.length === CHAINS && whole >= best[CHAINS - 1]!.whole)) continue;
    best.push({ edge, whole });
    best.sort((a, b) => a.whole - b.whole);
    best.length = Math.min(best.length, CHAINS);
  }
  return best;
}

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
  const banjo =
    joins.length > parts.length + 1 ? ' A banjo counts as two: it seals on both washers.' : '';
  const why = parts.length
    ? [
        `${parts.length === 1 ? 'One part' : `${parts.length} parts`}, ${joins.length} sealing faces.${banjo}`,
        ...parts.map((part) => part.name),
      ]
    : ['The ends join directly.'];
  return { parts: parts.map((part) => part.id), joins, joints: joins.length, costMinor, why };
}

/**
 * The shortest chains of adapters between two ports over a catalog: fewest sealing faces first,
 * then cost, every join one that seals; up to three, best first, none with more than one joint over the
 * shortest. Throws InputError for a thread or a
 * form that does not exist. One pass back from the far port tells what every half still has to go, and
 * ways are then followed best first by what they weigh in all, so that hardly one is followed in vain.
 */
export function adapt(
  { from, to, maxJoints = DEFAULT_MOST }: AdaptInput,
  graph: AdapterGraph = STOCK,
): Adapted {
  threadOf(from, 'from');
  threadOf(to, 'to');
  const start = graph.nodeOf(from);
  // Whatever its price, a chain of one joint more weighs more.
  const asked = (maxJoints + 1) * JOINT;
  const leads = graph.from(start).length > 0 || graph.lastFaces(start, to) > 0;
  const { weights, most } = leads
    ? graph.weightsTo(to, start, asked)
    : { weights: [], most: asked };
  const ways = new FlatQueue<Way>();
  const toGo = weights[start] ?? Infinity;
  if (toGo < most) ways.push({ node: start, weight: 0, before: null, edge: null }, toGo);
  const chains: Chain[] = [];
  const kept = new Set<string>();
  const passed = new Map<number, number>();
  while (ways.length && chains.length < CHAINS) {
    const way = ways.pop()!;
    if (way.node < 0) {
      const chain = chainOf(from, to, way.before!);
      const key = chain.parts.join();
      if (!kept.has(key)) chains.push(chain);
      kept.add(key);
      continue;
    }
    const count = passed.get(way.node) ?? 0;
    if (count >= CHAINS) continue;
    passed.set(way.node, count + 1);
    const last = graph.lastFaces(way.node, to);
    // Node -1 stands for the far port reached.
    if (last)
      ways.push({ node: -1, weight: 0, before: way, edge: null }, way.weight + last * JOINT);
    for (const { edge, whole } of bestOf(graph.from(way.node), way.weight, weights, most))
      ways.push({ node: edge.to, weight: way.weight + edge.weight, before: way, edge }, whole);
  }
  if (chains.length) return { chains };
  const stuck = !leads ? `: nothing in the catalog seals on ${halfWords(from)} and leads on` : '';
  return {
    chains,
    nearest: {
      missing: `No adapters in the catalog join ${halfWords(from)} to ${halfWords(to)} in ${maxJoints} joints${stuck}.`,
    },
  };
}

/** The shipped catalog. */
export const STOCK = new AdapterGraph(ADAPTERS);

/** What closes a port: plugs and caps of the stock and of one's own that seal in it, the cheapest first. */
export const plugsFor = (port: Half, adapters: readonly Adapter[] = ADAPTERS): Adapter[] =>
  adapters
    .filter(({ halves: [half, ...others] }) => {
      const join = half && !others.length ? joinOf(port, half) : null;
      return join !== null && mate(join).verdict === 'seals';
    })
    .sort((a, b) => a.costMinor - b.costMinor);
