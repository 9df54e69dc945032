import createGraph from 'ngraph.graph';
import { aStar } from 'ngraph.path';
import { adapt, AdapterGraph, joinOf, type Adapted } from '../core/src/trade/ends/index.ts';
import {
  ADAPTERS,
  comesAs,
  END_FORMS,
  SEAT_FORMS,
  THREADS,
  threadTakes,
  type Adapter,
  type Half,
} from '../core/src/trade/stock/index.ts';
import { mate } from '../core/src/trade/threads/index.ts';
import { middleMs } from './lines.ts';

const HALVES: Half[] = THREADS.flatMap((t): Half[] => [
  ...END_FORMS.filter((end) => comesAs(t, 'male') && threadTakes(t, end)).map((end): Half => ({
    gender: 'male',
    thread: t.name,
    end,
  })),
  ...SEAT_FORMS.filter((seat) => comesAs(t, 'female') && threadTakes(t, seat)).map(
    (seat): Half => ({
      gender: 'female',
      thread: t.name,
      seat,
    }),
  ),
]);
const ASKED = 200;
const MOST_JOINTS = 8;
/** Joints weigh more than any price. */
const JOINT = 1e7;

/** Numbers from 0 to 1 that come again. */
const numbers = (seed: number) => (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;

/** Made-up parts with two random ends. */
function madeUp(count: number): Adapter[] {
  const random = numbers(7);
  const half = (): Half => HALVES[Math.floor(random() * HALVES.length)]!;
  return Array.from({ length: count }, (_, i): Adapter => ({
    id: `made-up-${i}`,
    name: `Made up ${i}`,
    family: 'made-up',
    material: 'steel',
    halves: [half(), half()],
    costMinor: 100 + Math.floor(random() * 900),
  }));
}

const facesBetween = (a: Half, b: Half): number => {
  const join = joinOf(a, b);
  if (!join || mate(join).verdict !== 'seals') return 0;
  return join.male.end === 'banjo' ? 2 : 1;
};

/** The same nodes and edges as a graph of the library's, each half with a goal of its own behind it. */
function theirs(graph: AdapterGraph) {
  const made = createGraph();
  const nodes = HALVES.map((half) => graph.nodeOf(half));
  for (const node of nodes)
    for (const { to, faces, part } of graph.from(node)) {
      const weight = faces * JOINT + part.costMinor;
      const known = made.getLink(node, to);
      if (!known || known.data > weight) made.addLink(node, to, weight);
    }
  for (const half of HALVES)
    for (const other of HALVES) {
      const faces = facesBetween(half, other);
      if (faces) made.addLink(graph.nodeOf(half), `goal ${graph.nodeOf(other)}`, faces * JOINT);
    }
  return {
    made,
    finder: aStar(made, { oriented: true, distance: (_, __, link) => link.data as number }),
  };
}

function compare(name: string, parts: readonly Adapter[]): void {
  const graph = new AdapterGraph(parts);
  const { made, finder } = theirs(graph);
  const random = numbers(11);
  // Ports that some part leads on from; any two of them.
  const ports = HALVES.filter((half) => graph.from(graph.nodeOf(half)).length);
  const pick = (): Half => ports[Math.floor(random() * ports.length)]!;
  const pairs = Array.from({ length: ASKED }, () => [pick(), pick()] as const);
  const ours = (): Adapted[] =>
    pairs.map(([from, to]) => adapt({ from, to, maxJoints: MOST_JOINTS }, graph));
  const search = (): number[] =>
    pairs.map(([from, to]) => {
      const path = finder.find(graph.nodeOf(from), `goal ${graph.nodeOf(to)}`).reverse();
      const cost = path
        .slice(1)
        .reduce((sum, node, i) => sum + (made.getLink(path[i]!.id, node.id)!.data as number), 0);
      return path.length ? Math.floor(cost / JOINT) : 0;
    });
  const [a, b] = [ours(), search()];
  const apart = pairs.filter(
    (_, i) => (b[i]! > MOST_JOINTS ? 0 : b[i]!) !== (a[i]!.chains[0]?.joints ?? 0),
  ).length;
  const found = a.filter(({ chains }) => chains.length).length;
  const [oursMs, theirsMs] = [middleMs(7, ours), middleMs(7, search)];
  const ratio = oursMs / theirsMs;
  console.log(
    `adapters, ${name}: ${((1000 * oursMs) / pairs.length).toFixed(0)} µs a search of up to three chains, ${ratio.toFixed(2)} times ngraph.path’s for one (2 asked)${ratio > 2 ? ' NOT MET' : ''}; ${found} of ${pairs.length} found, joint counts differ in ${apart}${apart ? ' NOT MET' : ''}`,
  );
}

/** The adapter search beside the same graph searched with ngraph.path. */
export function benchAdapters(): void {
  compare(`${ADAPTERS.length} in stock`, ADAPTERS);
  compare('5,000 made up', madeUp(5000));
}
